package stillpond.app.sheet;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface CellFillRepository extends Repository<CellFill, CellFill.Key> {

    @Query("select f from CellFill f where f.key.layerId = :layer and f.key.cell in :cells")
    List<CellFill> findInLayer(UUID layer, Collection<Integer> cells);

    /** Lays swatches on cells, {@code swatches[i]} on {@code cells[i]}, over whatever they wore. Native, as all that follows: whole arrays at once. */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("""
            insert into cell_fill (layer_id, cell, swatch_id)
            select :layer, laid.cell, laid.swatch_id
            from unnest(cast(:cells as integer[]), cast(:swatches as uuid[])) as laid (cell, swatch_id)
            on conflict (layer_id, cell) do update set swatch_id = excluded.swatch_id, made = null""")
    void lay(UUID layer, Integer[] cells, UUID[] swatches);

    /** Lays fills that are more than one opaque swatch, {@code texts[i]} on {@code cells[i]}. */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("""
            insert into cell_fill (layer_id, cell, made)
            select :layer, laid.cell, laid.made
            from unnest(cast(:cells as integer[]), cast(:texts as text[])) as laid (cell, made)
            on conflict (layer_id, cell) do update set swatch_id = null, made = excluded.made""")
    void layMade(UUID layer, Integer[] cells, String[] texts);

    /** Notes which swatches fills of {@link #layMade} take their colours from: {@code swatches[i]} for {@code texts[i]}. */
    @Modifying
    @NativeQuery("""
            insert into fill_swatch (fill, swatch_id)
            select fill, swatch_id from unnest(cast(:texts as text[]), cast(:swatches as uuid[])) as named (fill, swatch_id)
            on conflict do nothing""")
    void noteSwatches(String[] texts, UUID[] swatches);

    /** Those of some swatches that were removed, and what took their place. */
    @NativeQuery("""
            select id as swatch, replaced_by as instead from swatch
            where id = any(cast(:swatches as uuid[])) and removed_at is not null""")
    List<Removed> findRemoved(UUID[] swatches);

    /** One row of {@link #findRemoved}. */
    interface Removed {
        UUID getSwatch();

        /** Null: nothing is worn in its place. */
        UUID getInstead();
    }

    /** The cells of present layers that wear a swatch, sheet by sheet. */
    @NativeQuery("""
            select l.sheet_id as sheet, l.id as layer, w.cell as cell
            from cell_wears w join layer l on l.id = w.layer_id and l.is_current
            where w.swatch_id = :swatch
            order by l.sheet_id, l.id, w.cell""")
    List<WearingCell> findWearing(UUID swatch);

    /** The cells of present layers of a project whose fill ends in some words, sheet by sheet. */
    @NativeQuery("""
            select l.sheet_id as sheet, l.id as layer, f.cell as cell
            from cell_fill f
            join layer l on l.id = f.layer_id and l.is_current
            join sheet s on s.id = l.sheet_id
            where s.project_id = :project and right(f.made, length(:ending)) = :ending
            order by l.sheet_id, l.id, f.cell""")
    List<WearingCell> findEnding(UUID project, String ending);

    /** One row of {@link #findWearing} and {@link #findEnding}. */
    interface WearingCell {
        UUID getSheet();

        UUID getLayer();

        int getCell();
    }

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("delete from cell_fill where layer_id = :layer and cell = any(cast(:cells as integer[]))")
    void clear(UUID layer, Integer[] cells);

    /** How many regions, strokes and shadows of each sheet wear one of some swatches, somewhere; which is which follows from the numbers of {@link stillpond.core.fill.Places}. */
    @NativeQuery("""
            select s.id as sheet, s.title as title, count(distinct c.regions[f.cell + 1]) as regions,
                   count(distinct f.cell) filter (where f.cell < 0 and f.cell > -1073741824) as strokes,
                   count(distinct f.cell) filter (where f.cell <= -1073741824) as shadows
            from cell_wears f
            join layer l on l.id = f.layer_id and l.is_current
            join layer_cells c on c.layer_id = l.id
            join sheet s on s.id = l.sheet_id and s.removed_at is null
            join scene sc on sc.id = s.scene_id
            where f.swatch_id = any(cast(:swatches as uuid[]))
            group by s.id, s.title, s.position, sc.id, sc.position, sc.title
            order by sc.position, sc.title, sc.id, s.position, s.title""")
    List<WornRegions> countWearing(UUID[] swatches);

    /** One row of {@link #countWearing}. */
    interface WornRegions {
        UUID getSheet();

        String getTitle();

        long getRegions();

        long getStrokes();

        long getShadows();
    }

    /** Lets one layer wear what another with the same cells wears. */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("""
            insert into cell_fill (layer_id, cell, swatch_id, made)
            select :to, cell, swatch_id, made from cell_fill where layer_id = :from""")
    void copy(UUID from, UUID to);
}
