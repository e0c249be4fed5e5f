package stillpond.app.sheet;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * How much of each layer of a project is filled, and with what. It is kept; only layers that have changed since it was asked for last are counted. That they have is told by the version that the
 * database raises with each change of their fills or regions.
 */
@Service
@Transactional
class KeptCounts {

    private static final String STALE = """
            select l.id, coalesce(v.version, 0) as version
            from sheet s
            join layer l on l.sheet_id = s.id and l.is_current
            left join layer_version v on v.layer_id = l.id
            left join layer_count c on c.layer_id = l.id
            where s.project_id = :project and c.version is distinct from coalesce(v.version, 0)""";

    /** In one statement, which sees fills and versions of one moment. */
    private static final String COUNT = "with stale as materialized (" + STALE + """
            ), cells as materialized (
                select stale.id as layer_id, cell.region, cell.area, cell.number - 1 as cell
                from stale
                join layer_cells c on c.layer_id = stale.id
                cross join lateral unnest(c.regions, c.areas) with ordinality as cell (region, area, number)
            ), made as (
                select c.layer_id, c.region, coalesce(c.area, 0) as area, named.swatches
                from cells c
                join cell_fill f on f.layer_id = c.layer_id and f.cell = c.cell and f.made is not null
                cross join lateral (
                    select array_agg(s.swatch_id order by s.swatch_id) as swatches from fill_swatch s where s.fill = f.made) as named
            ), alone as (
                select c.layer_id, f.swatch_id, coalesce(c.area, 0) as area
                from cells c join cell_fill f on f.layer_id = c.layer_id and f.cell = c.cell and f.swatch_id is not null
                union all
                select layer_id, swatches[1], area from made where cardinality(swatches) = 1
            ), alone_areas as (
                select layer_id, swatch_id, sum(area) as area from alone group by layer_id, swatch_id
            ), several as (
                select layer_id, swatches, count(distinct region) as regions, sum(area) as area
                from made where cardinality(swatches) > 1 group by layer_id, swatches
            ), made_gone as (
                delete from layer_made m using stale
                where m.layer_id = stale.id and not exists (
                    select 1 from several where several.layer_id = m.layer_id and several.swatches = m.swatches)
            ), made_put as (
                insert into layer_made (layer_id, swatches, regions, area) select layer_id, swatches, regions, area from several
                on conflict (layer_id, swatches) do update set regions = excluded.regions, area = excluded.area
            ), flat as (
                select c.layer_id, w.swatch_id, count(distinct c.region) as regions, sum(coalesce(c.area, 0)) as area
                from cells c join cell_wears w on w.layer_id = c.layer_id and w.cell = c.cell
                group by c.layer_id, w.swatch_id
            ), beside as (
                select w.layer_id, w.swatch_id,
                       count(distinct w.cell) filter (where w.cell > -1073741824) as strokes,
                       count(distinct w.cell) filter (where w.cell <= -1073741824) as shadows
                from stale join cell_wears w on w.layer_id = stale.id and w.cell < 0
                group by w.layer_id, w.swatch_id
            ), fresh as materialized (
                select layer_id, swatch_id, coalesce(regions, 0) as regions, coalesce(flat.area, 0) as area,
                       coalesce(alone_areas.area, 0) as alone_area,
                       coalesce(strokes, 0) as strokes, coalesce(shadows, 0) as shadows
                from flat full join beside using (layer_id, swatch_id)
                left join alone_areas using (layer_id, swatch_id)
            ), gone as (
                delete from layer_worn worn using stale
                where worn.layer_id = stale.id and not exists (
                    select 1 from fresh where fresh.layer_id = worn.layer_id and fresh.swatch_id = worn.swatch_id)
            ), put as (
                insert into layer_worn (layer_id, swatch_id, regions, area, alone_area, strokes, shadows)
                select layer_id, swatch_id, regions, area, alone_area, strokes, shadows from fresh
                on conflict (layer_id, swatch_id) do update set regions = excluded.regions, area = excluded.area,
                    alone_area = excluded.alone_area,
                    strokes = excluded.strokes, shadows = excluded.shadows
            ), filled as (
                select layer_id, count(*) as regions
                from (select c.layer_id from cells c
                      left join cell_fill f on f.layer_id = c.layer_id and f.cell = c.cell
                      where coalesce(c.area, 1) > 0
                      group by c.layer_id, c.region
                      having bool_and(f.cell is not null)) as whole
                group by layer_id
            )
            insert into layer_count (layer_id, version, filled)
            select stale.id, stale.version, coalesce(filled.regions, 0)
            from stale left join filled on filled.layer_id = stale.id
            on conflict (layer_id) do update set version = excluded.version, filled = excluded.filled""";

    private static final String OF_BOOK_OR_SCENE = """
            where s.project_id = :project and s.removed_at is null
            and (cast(:scene as uuid) is null or s.scene_id = cast(:scene as uuid))
            """;

    private final JdbcClient database;

    KeptCounts(JdbcClient database) {
        this.database = database;
    }

    /** How many regions of all layers of a sheet there are, and how many wear something all over. */
    List<Progress> progress(UUID project) {
        renew(project);
        return database.sql("""
                select s.id as sheet, coalesce(sum(c.filled), 0) as filled_regions, coalesce(sum(l.region_count), 0) as regions
                from sheet s
                left join layer l on l.sheet_id = s.id and l.is_current
                left join layer_count c on c.layer_id = l.id
                where s.project_id = :project
                group by s.id""").param("project", project).query(Progress.class).list();
    }

    /** Each swatch that something on each sheet wears, in a project or one of its scenes. */
    List<WornSwatches.Use> inUse(UUID project, Optional<UUID> scene) {
        renew(project);
        return database.sql("""
                select w.swatch_id as swatch, s.id as sheet, s.title, sum(w.regions) as regions, sum(w.strokes) as strokes,
                       sum(w.shadows) as shadows, sum(w.alone_area / (1.0 * l.width_px * l.height_px)) as share
                from sheet s
                join layer l on l.sheet_id = s.id and l.is_current
                join layer_worn w on w.layer_id = l.id
                """ + OF_BOOK_OR_SCENE + """
                group by w.swatch_id, s.id, s.title, s.position
                order by s.position, s.title""")
                .param("project", project)
                .param("scene", scene.map(UUID::toString).orElse(null))
                .query(WornSwatches.Use.class)
                .list();
    }

    /** Each gradient and pattern of several swatches that regions wear on a sheet, whatever its course. */
    List<WornSwatches.MadeUse> madeInUse(UUID project, Optional<UUID> scene) {
        renew(project);
        return database.sql("""
                select array_to_string(m.swatches, ' ') as swatches, s.id as sheet, s.title, sum(m.regions) as regions,
                       sum(m.area / (1.0 * l.width_px * l.height_px)) as share
                from sheet s
                join layer l on l.sheet_id = s.id and l.is_current
                join layer_made m on m.layer_id = l.id
                """ + OF_BOOK_OR_SCENE + """
                group by m.swatches, s.id, s.title, s.position
                order by s.position, s.title""")
                .param("project", project)
                .param("scene", scene.map(UUID::toString).orElse(null))
                .query((row, number) -> new WornSwatches.MadeUse(
                        Arrays.stream(row.getString("swatches").split(" "))
                                .map(UUID::fromString)
                                .toList(),
                        row.getObject("sheet", UUID.class),
                        row.getString("title"),
                        row.getLong("regions"),
                        row.getDouble("share")))
                .list();
    }

    /** A card on a sheet. */
    record OnSheet(UUID sheet, UUID card) {}

    /**
     * The cards on each sheet: those that somebody said, in that order, then those that it wears, most worn first; those that only ink wears come last.
     *
     * @param only empty: all sheets of the project; else those of the scene of that sheet
     */
    List<OnSheet> cast(UUID project, Optional<UUID> only) {
        renew(project);
        return database.sql("""
                select sheet, card from (
                    select o.sheet_id as sheet, o.card_id as card, 0 as later, o.position as place
                    from open_card o join sheet s on s.id = o.sheet_id
                    where s.project_id = :project
                    union all
                    select s.id, w.card_id, case when sum(c.regions) > 0 then 1 else 2 end,
                           -sum(c.regions + c.strokes + c.shadows)
                    from sheet s
                    join layer l on l.sheet_id = s.id and l.is_current
                    join layer_worn c on c.layer_id = l.id
                    join swatch w on w.id = c.swatch_id
                    join card k on k.id = w.card_id and k.kind = 'CAST' and k.removed_at is null
                    where s.project_id = :project and s.removed_at is null
                    group by s.id, w.card_id) as on_sheet
                where cast(:only as uuid) is null or sheet in (
                    select s.id from sheet s join sheet own on own.id = cast(:only as uuid) and own.scene_id = s.scene_id)
                order by later, place""")
                .param("project", project)
                .param("only", only.map(UUID::toString).orElse(null))
                .query(OnSheet.class)
                .list();
    }

    /** One at a time for a project: what one has counted the next need not. */
    private void renew(UUID project) {
        boolean isStale = database.sql("select exists (" + STALE + ")")
                .param("project", project)
                .query(Boolean.class)
                .single();
        if (isStale) {
            database.sql("select 1 from (select pg_advisory_xact_lock(hashtextextended(:project, 0))) as locked")
                    .param("project", "counts of " + project)
                    .query(Integer.class)
                    .single();
            database.sql(COUNT).param("project", project).update();
        }
    }
}
