package stillpond.app.sheet;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface DamRepository extends Repository<StoredDam, StoredDam.Key> {

    List<StoredDam> findByKeyLayerId(UUID layerId);

    @Modifying
    @NativeQuery("""
            insert into dam (layer_id, opening, state) values (:layer, :opening, :state)
            on conflict (layer_id, opening) do update set state = excluded.state""")
    void set(UUID layer, int opening, String state);

    @Modifying
    @NativeQuery("delete from dam where layer_id = :layer and opening = :opening")
    void clear(UUID layer, int opening);

    @Modifying
    @NativeQuery(
            "insert into dam (layer_id, opening, state) select :to, opening, state from dam where layer_id = :from")
    void copy(UUID from, UUID to);
}
