package stillpond.app.sheet;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface OpenCardRepository extends Repository<OpenCard, OpenCard.Key> {

    List<OpenCard> findByKeySheetIdOrderByPosition(UUID sheetId);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("delete from OpenCard c where c.key.sheetId = :sheet")
    void clear(UUID sheet);

    List<OpenCard> saveAllAndFlush(Iterable<OpenCard> cards);

    /**
     * The cards on each sheet, as somebody said and as it wears them, in that order; those that only ink wears come last. Native: it counts the cells of whole projects, and is asked for every desk
     * that opens.
     *
     * @param only null: all sheets of the project; else those of the scene of that sheet
     */
    @NativeQuery("""
            select sheet, card from (
                select o.sheet_id as sheet, o.card_id as card, 0 as later, o.position as place
                from open_card o join sheet s on s.id = o.sheet_id
                where s.project_id = :project
                union all
                select s.id, w.card_id, case when count(*) filter (where f.cell >= 0) > 0 then 1 else 2 end, -count(*)
                from sheet s
                join layer l on l.sheet_id = s.id and l.is_current
                join cell_wears f on f.layer_id = l.id
                join swatch w on w.id = f.swatch_id
                join card c on c.id = w.card_id and c.kind = 'CAST' and c.removed_at is null
                where s.project_id = :project and s.removed_at is null
                group by s.id, w.card_id) as on_sheet
            where cast(:only as uuid) is null or sheet in (
                select s.id from sheet s join sheet own on own.id = cast(:only as uuid) and own.scene_id = s.scene_id)
            order by later, place""")
    List<OnSheet> findSaidAndWorn(UUID project, UUID only);

    /** One row of {@link #findSaidAndWorn}. */
    interface OnSheet {
        UUID getSheet();

        UUID getCard();
    }
}
