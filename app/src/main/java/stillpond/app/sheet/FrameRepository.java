package stillpond.app.sheet;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FrameRepository extends JpaRepository<StoredFrame, UUID> {}
