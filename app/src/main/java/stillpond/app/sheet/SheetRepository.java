package stillpond.app.sheet;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface SheetRepository extends JpaRepository<StoredSheet, UUID> {

    @EntityGraph(attributePaths = "layers")
    List<StoredSheet> findByProjectIdOrderByPositionAscMadeAtAsc(UUID projectId);

    @EntityGraph(attributePaths = "layers")
    Optional<StoredSheet> findByIdAndProjectId(UUID id, UUID projectId);

    int countBySceneId(UUID sceneId);

    /** Changes to one sheet are made one after the other: whoever holds this row makes the next one. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from StoredSheet s where s.id = :id")
    Optional<StoredSheet> findAndLock(UUID id);
}
