package stillpond.app.project;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SceneRepository extends JpaRepository<StoredScene, UUID> {

    List<StoredScene> findByProjectIdOrderByPosition(UUID projectId);

    Optional<StoredScene> findByIdAndProjectId(UUID id, UUID projectId);

    int countByProjectId(UUID projectId);
}
