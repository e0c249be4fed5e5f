package stillpond.app.palette;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.JpaRepository;

interface CardRepository extends JpaRepository<StoredCard, UUID> {

    @EntityGraph(attributePaths = "swatches")
    List<StoredCard> findByProjectIdOrderByPosition(UUID projectId);

    int countByProjectId(UUID projectId);
}
