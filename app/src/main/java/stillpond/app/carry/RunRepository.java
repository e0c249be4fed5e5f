package stillpond.app.carry;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface RunRepository extends Repository<StoredRun, UUID> {

    StoredRun save(StoredRun run);

    Optional<StoredRun> findById(UUID id);

    Optional<StoredRun> findByIdAndProjectId(UUID id, UUID project);

    /** Against two people who say different things of it at once. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select r from StoredRun r where r.id = :id and r.projectId = :project")
    Optional<StoredRun> findAndLock(UUID id, UUID project);

    List<StoredRun> findByProjectIdOrderByMadeAtDesc(UUID project);

    List<StoredRun> findByState(StoredRun.State state);

    void delete(StoredRun run);
}
