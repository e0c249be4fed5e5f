package stillpond.app.sheet;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ShadowRepository extends Repository<StoredShadow, StoredShadow.Key> {

    List<StoredShadow> findByKeyLayerId(UUID layerId);

    @Query("select s.key.number from StoredShadow s where s.key.layerId = :layer")
    List<Integer> findNumbers(UUID layer);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("delete from StoredShadow s where s.key.layerId = :layer and s.key.number in :numbers")
    void remove(UUID layer, Collection<Integer> numbers);

    List<StoredShadow> saveAllAndFlush(Iterable<StoredShadow> shadows);
}
