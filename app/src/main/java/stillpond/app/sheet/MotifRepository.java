package stillpond.app.sheet;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MotifRepository extends JpaRepository<StoredMotif, UUID> {

    List<StoredMotif> findByProjectIdOrderByMadeAtAscIdAsc(UUID projectId);

    Optional<StoredMotif> findByIdAndProjectId(UUID id, UUID projectId);

    int countByProjectId(UUID projectId);
}
