package stillpond.app.sheet;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface GroupRepository extends Repository<StoredGroup, StoredGroup.Key> {

    List<StoredGroup> findByKeyLayerIdOrderByPosition(UUID layerId);

    List<StoredGroup> findByKeyLayerIdAndLockedTrueOrderByPosition(UUID layerId);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("delete from StoredGroup g where g.key.layerId = :layer")
    void clear(UUID layer);

    List<StoredGroup> saveAllAndFlush(Iterable<StoredGroup> groups);
}
