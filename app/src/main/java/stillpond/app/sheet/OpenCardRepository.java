package stillpond.app.sheet;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface OpenCardRepository extends Repository<OpenCard, OpenCard.Key> {

    List<OpenCard> findByKeySheetIdInOrderByPosition(Collection<UUID> sheets);

    List<OpenCard> findByKeySheetIdOrderByPosition(UUID sheetId);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("delete from OpenCard c where c.key.sheetId = :sheet")
    void clear(UUID sheet);

    List<OpenCard> saveAllAndFlush(Iterable<OpenCard> cards);
}
