package stillpond.app.carry;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface RunSheetRepository extends Repository<StoredRunSheet, StoredRunSheet.Key> {

    StoredRunSheet save(StoredRunSheet sheet);

    Optional<StoredRunSheet> findById(StoredRunSheet.Key key);

    List<StoredRunSheet> findByKeyRunIdOrderByKeyPosition(UUID run);

    Optional<StoredRunSheet> findFirstByKeyRunIdAndStateOrderByKeyPosition(UUID run, StoredRunSheet.State state);
}
