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

    /** Sheets of a project that are as they were when a file of them was written last. */
    @NativeQuery("""
            select s.id from sheet s
            where s.project_id = :project
                  and s.revision = (select max(f.revision) from handed_file f where f.sheet_id = s.id and f.state = 'WRITTEN')""")
    List<UUID> findUnchanged(UUID project);
}
