package stillpond.app.visit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface VisitLinkRepository extends JpaRepository<StoredVisitLink, UUID> {

    List<StoredVisitLink> findByProjectIdOrderByMadeAtDesc(UUID project);

    Optional<StoredVisitLink> findByIdAndProjectId(UUID id, UUID project);

    Optional<StoredVisitLink> findByCodeHash(String hash);
}
