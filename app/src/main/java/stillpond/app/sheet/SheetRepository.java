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

    @EntityGraph(attributePaths = {"layers", "layers.standing"})
    List<StoredSheet> findByProjectIdOrderByPositionAscMadeAtAsc(UUID projectId);

    @EntityGraph(attributePaths = {"layers", "layers.standing"})
    Optional<StoredSheet> findByIdAndProjectId(UUID id, UUID projectId);

    @Query("select s.projectId from StoredSheet s where s.id = :id")
    Optional<UUID> findProject(UUID id);

    List<StoredSheet> findBySceneIdOrderByPositionAscMadeAtAsc(UUID sceneId);

    int countBySceneId(UUID sceneId);

    /** Sheets of a project, not removed, that were made from this very file. */
    @Query("""
            select s from StoredSheet s join s.layers l
            where s.projectId = :project and s.removedAt is null and l.current and l.source = :source
            order by s.madeAt""")
    List<StoredSheet> findMadeFrom(UUID project, String source);

    /** Whether any sheet has a cutting with an id. */
    @Query("select count(l) > 0 from StoredLayer l where l.id = :layer")
    boolean existsLayer(UUID layer);

    /** Changes to one sheet are made one after the other: whoever holds this row makes the next one. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from StoredSheet s where s.id = :id")
    Optional<StoredSheet> findAndLock(UUID id);
}
