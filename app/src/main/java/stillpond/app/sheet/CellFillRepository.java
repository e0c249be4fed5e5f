package stillpond.app.sheet;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface CellFillRepository extends Repository<CellFill, CellFill.Key> {

    List<CellFill> findByKeyLayerId(UUID layerId);

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

    /** How much of each sheet of a project wears each swatch; shares are of the sheet. */
    @NativeQuery("""
            select f.swatch_id as swatch, s.id as sheet, s.title as title, count(distinct cell.region) as regions,
                   sum(coalesce(cell.area, 0) / (1.0 * l.width_px * l.height_px)) as share
            from sheet s
            join layer l on l.sheet_id = s.id and l.is_current
            join layer_cells c on c.layer_id = l.id
            cross join lateral unnest(c.regions, c.areas) with ordinality as cell (region, area, number)
            join cell_wears f on f.layer_id = l.id and f.cell = cell.number - 1
            where s.project_id = :project and s.removed_at is null
                  and (cast(:scene as uuid) is null or s.scene_id = cast(:scene as uuid))
            group by f.swatch_id, s.id, s.title, s.position
            order by s.position, s.title""")
    List<WornSwatch> countBySwatch(UUID project, UUID scene);

    /** How many strokes and shadows of each sheet of a project wear each swatch. */
    @NativeQuery("""
            select f.swatch_id as swatch, s.id as sheet, s.title as title,
                   count(distinct f.cell) filter (where f.cell > -1073741824) as strokes,
                   count(distinct f.cell) filter (where f.cell <= -1073741824) as shadows
            from sheet s
            join layer l on l.sheet_id = s.id and l.is_current
            join cell_wears f on f.layer_id = l.id and f.cell < 0
            where s.project_id = :project and s.removed_at is null
                  and (cast(:scene as uuid) is null or s.scene_id = cast(:scene as uuid))
            group by f.swatch_id, s.id, s.title, s.position
            order by s.position, s.title""")
    List<WornBesideCells> countBesideCells(UUID project, UUID scene);

    /** One row of {@link #countBesideCells}. */
    interface WornBesideCells {
        UUID getSwatch();

        UUID getSheet();

        String getTitle();

        long getStrokes();

        long getShadows();
    }

    /** One row of {@link #countBySwatch}. */
    interface WornSwatch {
        UUID getSwatch();

        UUID getSheet();

        String getTitle();

        long getRegions();

        double getShare();
    }

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

    @NativeQuery("""
            select s.id as sheet,
                   (select count(*) from
                       (select 1 from layer l
                        join layer_cells c on c.layer_id = l.id
                        cross join unnest(c.regions, c.areas) with ordinality as cell (region, area, number)
                        left join cell_fill f on f.layer_id = l.id and f.cell = cell.number - 1
                        where l.sheet_id = s.id and l.is_current and coalesce(cell.area, 1) > 0
                        group by l.id, cell.region
                        having bool_and(f.cell is not null)) as filled) as filled,
                   (select coalesce(sum(l.region_count), 0) from layer l
                    where l.sheet_id = s.id and l.is_current) as regions
            from sheet s where s.project_id = :project""")
    List<CountedRegions> countFilled(UUID project);

    /** One row of {@link #countFilled}. */
    interface CountedRegions {
        UUID getSheet();

        long getFilled();

        long getRegions();
    }
}
