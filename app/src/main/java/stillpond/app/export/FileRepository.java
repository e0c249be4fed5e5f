package stillpond.app.export;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface FileRepository extends Repository<StoredFile, StoredFile.Key> {

    StoredFile save(StoredFile file);

    Optional<StoredFile> findById(StoredFile.Key key);

    List<StoredFile> findByKeyJobIdOrderByKeyPosition(UUID job);

    Optional<StoredFile> findFirstByKeyJobIdAndStateOrderByKeyPosition(UUID job, StoredFile.State state);

    /** What was written last of a sheet. */
    @NativeQuery("""
            select f.* from handed_file f join handed_job j on j.id = f.job_id
            where f.sheet_id = :sheet and f.state = 'WRITTEN' order by j.made_at desc limit 1""")
    Optional<StoredFile> findLatestOf(UUID sheet);
}
