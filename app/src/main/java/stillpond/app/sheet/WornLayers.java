package stillpond.app.sheet;

import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the layers of a sheet wear that nobody works on just now: counted, without their planes. */
@Service
@Transactional(readOnly = true)
public class WornLayers {

    private final JdbcClient jdbc;

    WornLayers(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * A fill of a layer.
     *
     * @param standing of the layer, {@code layer} its name
     * @param cell one that wears it, to go to; negative if only ink or shadows do
     * @param share of the page, 0 to 1
     */
    public record Worn(
            UUID standing,
            String layer,
            String fill,
            int cell,
            long regions,
            long strokes,
            long shadows,
            double share) {}

    /** How many regions of all layers but the one that is worked on have no fill yet. */
    public long leftElsewhere(Sheet sheet) {
        return sheet.layers().size() == 1
                ? 0
                : jdbc.sql("""
                        select count(*) from (
                            select 1 from layer_cells c
                            cross join unnest(c.regions) with ordinality as cell (region, number)
                            left join cell_fill f on f.layer_id = c.layer_id and f.cell = cell.number - 1
                            where c.layer_id = any(cast(:layers as uuid[]))
                            group by c.layer_id, cell.region
                            having not bool_and(f.cell is not null)) as unfilled""").param("layers", others(sheet)).query(Long.class).single();
    }

    private static UUID[] others(Sheet sheet) {
        return sheet.layers().stream()
                .filter(layer -> !layer.equals(sheet.layer()))
                .map(Layer::id)
                .toArray(UUID[]::new);
    }

    /** On all layers but the one that is worked on. */
    public List<Worn> elsewhere(Sheet sheet) {
        if (sheet.layers().size() == 1) {
            return List.of();
        }
        return jdbc.sql("""
                        select s.id, s.name, coalesce(f.made, cast(f.swatch_id as text)) as fill, max(f.cell) as cell,
                               count(distinct c.regions[f.cell + 1]) filter (where f.cell >= 0) as regions,
                               count(*) filter (where f.cell < 0 and f.cell > -536870912) as strokes,
                               count(*) filter (where f.cell <= -1073741824) as shadows,
                               coalesce(sum(c.areas[f.cell + 1]) filter (where f.cell >= 0), 0)
                                   / (1.0 * l.width_px * l.height_px) as share
                        from cell_fill f
                        join layer l on l.id = f.layer_id
                        join layer_cells c on c.layer_id = l.id
                        join standing s on s.id = l.standing_id
                        where f.layer_id = any(cast(:layers as uuid[]))
                        group by s.id, s.name, s.position, 3, l.width_px, l.height_px
                        having max(f.cell) > -536870912 or min(f.cell) <= -1073741824
                        order by s.position, share desc""")
                .param("layers", others(sheet))
                .query((row, number) -> new Worn(
                        row.getObject("id", UUID.class),
                        row.getString("name"),
                        row.getString("fill"),
                        row.getInt("cell"),
                        row.getLong("regions"),
                        row.getLong("strokes"),
                        row.getLong("shadows"),
                        row.getDouble("share")))
                .list();
    }
}
