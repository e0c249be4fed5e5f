package stillpond.app.export;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface JobRepository extends Repository<StoredJob, UUID> {

    StoredJob save(StoredJob job);

    Optional<StoredJob> findById(UUID id);

    Optional<StoredJob> findByIdAndProjectId(UUID id, UUID project);

    List<StoredJob> findByProjectIdOrderByMadeAtDesc(UUID project);

    List<StoredJob> findByFinishedAtIsNullAndCancelledAtIsNull();

    void delete(StoredJob job);
}
