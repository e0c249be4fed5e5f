package stillpond.app.account;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface KeysRepository extends JpaRepository<StoredKeys, UUID> {}
