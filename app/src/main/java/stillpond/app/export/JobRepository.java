package stillpond.app.export;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface JobRepository extends Repository<StoredJob, UUID> {

    StoredJob save(StoredJob job);

    Optional<StoredJob> findById(UUID id);

    Optional<StoredJob> findByIdAndProjectId(UUID id, UUID project);

    List<StoredJob> findByProjectIdOrderByMadeAtDesc(UUID project);

    List<StoredJob> findByFinishedAtIsNullAndCancelledAtIsNull();

    void delete(StoredJob job);

    /** Has the story of the project tell of a job, however long its files are kept. */
    @Modifying(flushAutomatically = true)
    @NativeQuery("""
            insert into handed_note (id, project_id, author_id, made_at, words)
            select id, project_id, author_id, made_at, words from handed_job where id = :job""")
    void note(UUID job);
}
