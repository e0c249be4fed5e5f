package stillpond.bench;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;

/** The demo's project with many more sheets. */
final class GrownDemo {

    static final int SHEETS = 200;

    /** So many of them in each scene. */
    static final int IN_SCENE = 40;

    private GrownDemo() {}

    /** Copies a sheet of the demo so many times, with 1000 cells that wear the cards' swatches in turn. */
    static void grow(ServedDatabase database, int sheets) throws SQLException {
        try (Connection connection = database.connect();
                Statement statement = connection.createStatement()) {
            statement.execute("create temp table one_sheet as select * from sheet where title = 'The crossing'");
            statement.execute(
                    "create temp table one_layer as select * from layer where is_current and sheet_id = (select id from one_sheet)");
            for (int i = 0; i < sheets; i++) {
                if (i % IN_SCENE == 0) {
                    statement.execute("update one_sheet set scene_id = gen_random_uuid()");
                    statement.execute(
                            "insert into scene (id, project_id, title, position) select scene_id, project_id, 'Copies "
                                    + i / IN_SCENE + "', " + (100 + i) + " from one_sheet");
                }
                statement.execute("update one_sheet set id = gen_random_uuid(), title = 'Copy " + i + "', position = "
                        + (100 + i));
                statement.execute("insert into sheet select * from one_sheet");
                statement.execute(
                        "update one_layer set id = gen_random_uuid(), sheet_id = (select id from one_sheet), cell_count = 1000, region_count = 1000");
                statement.execute("insert into layer select * from one_layer");
                statement.execute(
                        "insert into layer_cells select id, (select array_agg(n order by n) from generate_series(0, 999) n), array_fill(4000, array[1000]) from one_layer");
                statement.execute("""
                        insert into cell_fill (layer_id, cell, swatch_id)
                        select (select id from one_layer), n, s.ids[1 + n % array_length(s.ids, 1)]
                        from generate_series(0, 999) n,
                             (select array_agg(swatch.id) ids from swatch join card on card.id = card_id
                              where card.project_id = (select project_id from one_sheet)) s""");
            }
        }
    }
}
