package stillpond.app.sheet;

import jakarta.persistence.EntityManager;
import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Opacity;
import stillpond.core.fill.Places;

/**
 * The fill that nearly every fill is: opaque swatches on regions of a layer that nothing holds back. It takes three statements: one that waits for its turn, one that reads whatever decides, and one
 * that writes; the general way loads the sheet with its layers and the palette for it. Whatever is unusual is left to the general way, which has all the rules.
 */
@Component
class UsualFills {

    /** A hand fills a few regions at a time; more of them cost what they cost. */
    private static final int MOST_PLACES = 500;

    /** Until the transaction ends statements are not planned anew each time: planning took longer than what was planned, and there is but one good way to go through each of them. */
    private static final String LOCK = """
            select project_id, set_config('plan_cache_mode', 'force_generic_plan', true)
            from sheet where id = :sheet for no key update""";

    /** After the lock, in a statement of its own: it sees what whoever had the turn before has done. */
    private static final String READ = """
            select l.cell_count,
                s.state <> 'DONE' and l.is_current and not t.is_locked
                    and not exists (select from change where id = :change)
                    and not exists (select from cell_group g where g.layer_id = l.id and g.is_locked) as is_usual,
                (select count(*) from unnest(cast(:swatches as uuid[])) as laid (id)
                    where (select w.removed_at is null and c.removed_at is null and c.project_id = s.project_id
                        from swatch w join card c on c.id = w.card_id where w.id = laid.id)) as on_cards,
                worn.cells, worn.fills
            from sheet s
            join layer l on l.sheet_id = s.id
            join standing t on t.id = l.standing_id
            cross join lateral (
                select array_agg(f.cell) as cells, array_agg(coalesce(f.made, cast(f.swatch_id as text))) as fills
                from cell_fill f where f.layer_id = l.id and f.cell = any(cast(:cells as integer[]))) as worn
            where s.id = :sheet and l.id = :layer""";

    private static final String WRITE = """
            with revised as (
                update sheet set revision = revision + 1 where id = :sheet
            ), cleared as (
                delete from cell_fill where layer_id = :layer and cell = any(cast(:cleared as integer[]))
            )
            insert into cell_fill (layer_id, cell, swatch_id)
            select :layer, laid.cell, laid.swatch_id
            from unnest(cast(:cells as integer[]), cast(:swatches as uuid[])) as laid (cell, swatch_id)
            on conflict (layer_id, cell) do update set swatch_id = excluded.swatch_id, made = null""";

    private final JdbcClient database;
    private final EntityManager entities;

    UsualFills(JdbcClient database, EntityManager entities) {
        this.database = database;
        this.entities = entities;
    }

    /** A change that was written to the fills of the sheet, and is not in the log yet; empty if there was nothing to change. */
    record Written(UUID project, Change change) {}

    /**
     * Lays it within the caller's transaction.
     *
     * @return empty if something about it is unusual; nothing is written then
     */
    Optional<Written> lay(UUID sheet, ChangeRequest.Lay lay) {
        Set<Fill> laid = Set.copyOf(lay.fillByPlace().values());
        List<Integer> places = lay.places();
        if (places.isEmpty()
                || places.size() > MOST_PLACES
                || !places.stream().allMatch(Places::isCell)
                || !laid.stream().allMatch(UsualFills::isUsual)) {
            return Optional.empty();
        }
        // What is written here the session does not hear of.
        entities.flush();
        entities.clear();
        Optional<UUID> project = database.sql(LOCK)
                .param("sheet", sheet)
                .query((row, number) -> row.getObject(1, UUID.class))
                .optional();
        UUID[] swatches = laid.stream()
                .flatMap(fill -> fill.swatches().stream())
                .distinct()
                .toArray(UUID[]::new);
        return project.flatMap(known -> database.sql(READ)
                .param("sheet", sheet)
                .param("layer", lay.layer())
                .param("change", lay.id())
                .param("swatches", swatches)
                .param("cells", places.toArray(Integer[]::new))
                .query((row, number) -> decide(row, lay, swatches.length))
                .optional()
                .flatMap(found -> found)
                .map(change -> {
                    write(sheet, lay.layer(), change);
                    return new Written(known, change);
                }));
    }

    private static boolean isUsual(Fill fill) {
        return fill.equals(Fill.NONE)
                || fill instanceof Fill.Flat flat && flat.opacity().equals(Opacity.FULL);
    }

    private static Optional<Change> decide(ResultSet row, ChangeRequest.Lay lay, int swatches) throws SQLException {
        boolean isUsual = row.getBoolean("is_usual")
                && row.getInt("on_cards") == swatches
                && lay.places().get(lay.places().size() - 1) < row.getInt("cell_count");
        return isUsual ? Optional.of(worn(row).laying(lay.fillByPlace())) : Optional.empty();
    }

    private static Fills worn(ResultSet row) throws SQLException {
        Array cells = row.getArray("cells");
        if (cells == null) {
            return Fills.of(Map.of());
        }
        Integer[] filled = (Integer[]) cells.getArray();
        String[] texts = (String[]) row.getArray("fills").getArray();
        Map<Integer, Fill> worn = new HashMap<>();
        for (int i = 0; i < filled.length; i++) {
            worn.put(filled[i], Fill.ofText(texts[i]));
        }
        return Fills.of(worn);
    }

    private void write(UUID sheet, UUID layer, Change change) {
        if (change.isEmpty()) {
            return;
        }
        Map<Integer, UUID> swatches = new HashMap<>();
        change.swaps().forEach(swap -> swap.after().swatches().forEach(each -> swatches.put(swap.place(), each)));
        List<Integer> laid = List.copyOf(swatches.keySet());
        database.sql(WRITE)
                .param("sheet", sheet)
                .param("layer", layer)
                .param(
                        "cleared",
                        change.swaps().stream()
                                .filter(swap -> swap.after().equals(Fill.NONE))
                                .map(swap -> swap.place())
                                .toArray(Integer[]::new))
                .param("cells", laid.toArray(Integer[]::new))
                .param("swatches", laid.stream().map(swatches::get).toArray(UUID[]::new))
                .update();
    }
}
