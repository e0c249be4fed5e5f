package stillpond.app.check;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface DifferenceRepository extends Repository<StoredDifference, StoredDifference.Key> {

    StoredDifference save(StoredDifference difference);

    List<StoredDifference> findByKeyLayerIdOrderByKeyKey(UUID layer);

    @Modifying
    @Query("delete from StoredDifference d where d.key.layerId = :layer")
    void deleteOf(UUID layer);
}
