package stillpond.app.export;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface ContentRepository extends Repository<StoredContent, StoredFile.Key> {

    StoredContent save(StoredContent content);

    Optional<StoredContent> findById(StoredFile.Key key);
}
