package stillpond.app.palette;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StagedRepository extends JpaRepository<StagedEntry, StagedEntry.Key> {

    List<StagedEntry> findByIdProjectId(UUID projectId);
}
