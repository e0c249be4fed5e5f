package stillpond.app.travel;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Everything of a project that travels, table by table. What stays: accounts and memberships, what somebody is signed in to, colours that a person has
 * used, who signed what, and what was handed on.
 */
final class TravelTables {

    private TravelTables() {}

    private static final String CHOSEN = "any(cast(string_to_array(:scenes, ' ') as uuid[]))";

    /** Without those of scenes and sheets that do not travel; in an order that ids have no part in, for they are others at the other end. */
    private static final String STAGED = "from staged r where r.project_id = :project and not exists (select 1 from"
            + " (select id from scene where project_id = :project and id <> all(cast(string_to_array(:scenes, ' ') as uuid[]))"
            + " union all select id from sheet where project_id = :project"
            + " and scene_id <> all(cast(string_to_array(:scenes, ' ') as uuid[]))) as stays"
            + " where position(cast(stays.id as text) in r.key) > 0)"
            + " order by regexp_replace(r.key || r.value, '[0-9a-f-]{36}', '', 'g'), r.key";

    /** Those of the project itself, such that rows come after those that they name. */
    static final List<TravelTable> OF_PROJECT = List.of(
            TravelTable.named("project")
                    .ids("id")
                    .plain("title", "made_at")
                    .rows("from project r where r.id = :project"),
            TravelTable.named("scene")
                    .ids("id", "project_id")
                    .plain("title", "position", "removed_at")
                    .rows("from scene r where r.id = " + CHOSEN + " order by r.position, r.title, r.id"),
            TravelTable.named("card")
                    .ids("id", "project_id")
                    .id(
                            "model_sheet_id",
                            "(select m.id from sheet m where m.id = r.model_sheet_id and m.scene_id = " + CHOSEN + ")")
                    .plain("name", "subject", "position", "kind", "locked", "removed_at")
                    .later("model_sheet_id")
                    .rows("from card r where r.project_id = :project order by r.position, r.name, r.id"),
            TravelTable.named("swatch")
                    .ids("id", "card_id", "project_id", "replaced_by")
                    .plain("name", "position", "part", "note", "removed_at")
                    .textsWithIds("paint")
                    .later("replaced_by")
                    .rows("from swatch r join card c on c.id = r.card_id where r.project_id = :project"
                            + " order by c.position, c.name, r.position, r.name, r.id"),
            TravelTable.named("staged")
                    .keys("project_id", "key")
                    .ids("project_id")
                    .textsWithIds("key", "value")
                    .rows(STAGED),
            TravelTable.named("motif")
                    .ids("id", "project_id")
                    .plain("title", "made_at")
                    .all(Column.Kind.FILE, "content")
                    .rows("from motif r where r.project_id = :project order by r.made_at, r.id"),
            TravelTable.named("reference_picture")
                    .ids("id", "project_id")
                    .plain("title", "width_px", "height_px", "samples", "made_at")
                    .all(Column.Kind.FILE, "content")
                    .rows("from reference_picture r where r.project_id = :project order by r.made_at, r.id"),
            TravelTable.named("print_condition")
                    .keys("project_id")
                    .ids("project_id")
                    .plain("title")
                    .all(Column.Kind.FILE, "content")
                    .rows("from print_condition r where r.project_id = :project"),
            TravelTable.named("proposal")
                    .ids("id", "project_id")
                    .all(Column.Kind.AUTHOR, "author_id")
                    .all(Column.Kind.ANSWERER, "answered_by")
                    .plain("made_at", "reason", "state", "answered_at", "answer")
                    .textsWithIds("edits")
                    .rows("from proposal r where r.project_id = :project order by r.made_at, r.id"));

    /** Those of one sheet. */
    static final List<TravelTable> OF_SHEET = List.of(
            TravelTable.named("sheet")
                    .ids("id", "project_id", "scene_id")
                    .plain("title", "position", "revision", "made_at", "removed_at", "line_meeting")
                    .rows("from sheet r where r.id = :sheet"),
            TravelTable.named("page_frame")
                    .keys("sheet_id")
                    .ids("sheet_id")
                    .plain("x_start", "y_start", "x_end_exclusive", "y_end_exclusive")
                    .rows("from page_frame r where r.sheet_id = :sheet"),
            TravelTable.named("sheet_reference")
                    .keys("sheet_id")
                    .ids("sheet_id", "picture_id")
                    .plain("x", "y", "scale", "degrees", "strength_percent", "look", "value_count", "is_hidden")
                    .rows("from sheet_reference r where r.sheet_id = :sheet"),
            TravelTable.named("open_card")
                    .keys("sheet_id", "card_id")
                    .ids("sheet_id", "card_id")
                    .plain("position")
                    .rows("from open_card r where r.sheet_id = :sheet order by r.position"),
            TravelTable.named("part_accepted")
                    .keys("sheet_id", "swatch_id", "mark")
                    .ids("sheet_id", "swatch_id")
                    .plain("mark", "accepted_at", "why")
                    .all(Column.Kind.AUTHOR, "accepted_by")
                    .rows("from part_accepted r where r.sheet_id = :sheet order by r.accepted_at, r.mark, r.why"),
            TravelTable.named("standing")
                    .ids("id", "sheet_id", "kept")
                    .plain("position", "name", "is_hidden", "is_locked", "opacity_percent", "x_px", "y_px")
                    .later("kept")
                    .rows("from standing r where r.sheet_id = :sheet and (:past or exists "
                            + "(select 1 from layer l where l.standing_id = r.id and l.is_current))"
                            + " order by r.position, r.name, r.id"),
            TravelTable.named("layer")
                    .ids("id", "sheet_id", "standing_id")
                    .plain("is_current", "ink_threshold", "speck_px", "pencil", "width_px", "height_px")
                    .plain("cell_count", "region_count", "is_through", "analysis_version", "reach")
                    .all(Column.Kind.NEWER_FLAG, "is_blocked_in")
                    .plain("stroke_count", "stroke_px")
                    .all(Column.Kind.FILE, "source", "origin")
                    .all(Column.Kind.INK, "ink", "small_ink")
                    .all(Column.Kind.NUMBERED, "cells", "small_cells", "strokes", "small_strokes")
                    .all(Column.Kind.LIST, "openings")
                    .rows("from layer r join standing s on s.id = r.standing_id where r.sheet_id = :sheet"
                            + " and (:past or r.is_current) order by s.position, s.name, r.is_current desc,"
                            + " r.cell_count, r.cells, r.id"),
            ofLayer("layer_cells")
                    .keys("layer_id")
                    .plain("regions", "areas")
                    .rows(inLayers("layer_cells", "r.regions")),
            ofLayer("cell_fill")
                    .keys("layer_id", "cell")
                    .plain("cell")
                    .ids("swatch_id")
                    .textsWithIds("made")
                    .rows(inLayers("cell_fill", "r.cell")),
            ofLayer("dam").keys("layer_id", "opening").plain("opening", "state").rows(inLayers("dam", "r.opening")),
            ofLayer("cell_group")
                    .keys("layer_id", "id")
                    .ids("id")
                    .plain("name", "position", "is_hidden", "is_locked", "cells")
                    .rows(inLayers("cell_group", "r.position")),
            ofLayer("shadow")
                    .keys("layer_id", "number")
                    .plain("number", "rank", "name", "form", "mode", "darker", "strength", "edge_px")
                    .textsWithIds("base")
                    .rows(inLayers("shadow", "r.number")),
            ofLayer("accepted_finding")
                    .keys("layer_id", "finding")
                    .textsWithIds("finding")
                    .plain("accepted_at")
                    .all(Column.Kind.AUTHOR, "accepted_by")
                    .rows(inLayers("accepted_finding", "r.accepted_at, r.finding")),
            ofLayer("carry_correction")
                    .keys("layer_id", "cell", "fill")
                    .plain("cell", "times")
                    .textsWithIds("fill")
                    .rows(inLayers("carry_correction", "r.cell, r.times, r.fill")));

    /** A part of the log, from one number to another. */
    static final List<TravelTable> OF_HISTORY = List.of(
            TravelTable.named("change")
                    .ids("id", "project_id", "concerns")
                    .all(Column.Kind.AUTHOR, "author_id")
                    .plain("made_at", "kind", "words", "reason")
                    .rows(
                            "from change r where r.project_id = :project and r.number between :from and :to order by r.number"),
            TravelTable.named("effect")
                    .keys("change_id", "position")
                    .ids("change_id", "sheet_id", "layer_id", "replaced")
                    .plain("position", "kind", "cells")
                    .textsWithIds("before", "after")
                    .rows("from effect r join change c on c.id = r.change_id where c.project_id = :project"
                            + " and c.number between :from and :to order by c.number, r.position"));

    /** Columns that the database gives by itself, and what is said anew among the people at the other end. */
    static final Set<String> GIVEN = Set.of(
            "change.number",
            "sheet.state",
            "sheet.in_hand_of",
            "project.archived_at",
            "project.removed_at",
            "project.cover_sheet_id");

    static Stream<TravelTable> all() {
        return Stream.of(OF_PROJECT, OF_SHEET, OF_HISTORY).flatMap(List::stream);
    }

    static TravelTable named(String name) {
        return all().filter(table -> table.name().equals(name)).findFirst().orElseThrow();
    }

    private static TravelTable.Builder ofLayer(String name) {
        return TravelTable.named(name).ids("layer_id");
    }

    /** Ordered without ids, which are others at the other end. */
    private static String inLayers(String table, String order) {
        return "from " + table + " r join layer l on l.id = r.layer_id join standing s on s.id = l.standing_id"
                + " where l.sheet_id = :sheet and (:past or l.is_current)"
                + " order by s.position, s.name, l.is_current desc, l.cell_count, l.cells, " + order;
    }
}
