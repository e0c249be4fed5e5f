package stillpond.app.sheet;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReferenceRepository extends JpaRepository<StoredReference, UUID> {}
