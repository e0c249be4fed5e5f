package stillpond.app.travel;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.support.TestPond;

/** Nothing that a project is made of stays behind because somebody forgot it. */
class TravelTablesTest {

    /** People, what they say to each other, what they are signed in to, what was made of a project, and what is found again by itself. */
    private static final Set<String> STAY = Set.of(
            "account",
            "member",
            "former_member",
            "invitation",
            "visit_link",
            "handed_note",
            "user_credentials",
            "password_reset",
            "recovery_code",
            "kept_letter",
            "audit",
            "remark",
            "remark_answer",
            "own_keys",
            "own_key",
            "used_colour",
            "spring_session",
            "spring_session_attributes",
            "flyway_schema_history",
            "scheduled_tasks",
            "scheduled_prompt_tasks",
            "sheet_difference",
            "consistency_signed",
            "carry_run",
            "carry_run_sheet",
            "carry_question",
            "carry_choice",
            "handed_job",
            "handed_file",
            "handed_content",
            "device_job",
            "device_file",
            "press_ink",
            "plane",
            "fill_swatch",
            "layer_version",
            "layer_count",
            "layer_worn",
            "layer_made",
            "unknown_part");

    @Test
    void everyColumnOfEveryTableTravelsUnlessItIsSaidToStay() {
        Set<String> columns = new TreeSet<>(TestPond.shared()
                .bean(JdbcClient.class)
                .sql("""
                select c.table_name || '.' || c.column_name from information_schema.columns c
                join information_schema.tables t on t.table_name = c.table_name and t.table_schema = c.table_schema
                where c.table_schema = 'public' and t.table_type = 'BASE TABLE'""")
                .query(String.class)
                .list());
        columns.removeIf(column -> STAY.contains(column.substring(0, column.indexOf('.'))));
        columns.removeAll(TravelTables.GIVEN);
        assertThat(declared()).containsExactlyInAnyOrderElementsOf(columns);
    }

    @Test
    void everyColumnThatNamesARowOfATableGetsANewId() {
        List<String> ids = TestPond.shared()
                .bean(JdbcClient.class)
                .sql("""
                select c.table_name || '.' || c.column_name from information_schema.columns c
                where c.table_schema = 'public' and c.udt_name = 'uuid'""")
                .query(String.class)
                .list();
        Set<String> plain = TravelTables.all()
                .flatMap(table -> table.columns().stream()
                        .filter(column -> column.kind() == Column.Kind.PLAIN)
                        .map(column -> table.name() + "." + column.name()))
                .collect(Collectors.toSet());
        assertThat(ids).isNotEmpty().doesNotContainAnyElementsOf(plain);
    }

    private static Set<String> declared() {
        return TravelTables.all()
                .flatMap(table -> table.columns().stream().map(column -> table.name() + "." + column.name()))
                .collect(Collectors.toCollection(TreeSet::new));
    }
}
