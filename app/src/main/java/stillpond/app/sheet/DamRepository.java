package stillpond.app.sheet;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DamRepository extends JpaRepository<StoredDam, StoredDam.Key> {

    List<StoredDam> findByKeyLayerId(UUID layerId);

    /** Says of a layer without dams what is said of another with the same openings. */
    default void copy(UUID from, UUID to) {
        saveAll(findByKeyLayerId(from).stream()
                .map(dam -> new StoredDam(to, dam.opening(), dam.state()))
                .toList());
    }
}
