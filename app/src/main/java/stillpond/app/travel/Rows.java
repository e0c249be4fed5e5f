package stillpond.app.travel;

import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import stillpond.core.refusal.Refusal;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.BooleanNode;
import tools.jackson.databind.node.ObjectNode;

/** Rows of tables as JSON, out of the database and into it. */
@Component
class Rows {

    private final JdbcClient database;
    private final JsonMapper json = JsonMapper.shared();

    Rows(JdbcClient database) {
        this.database = database;
    }

    /** @param parameters those that the query of the table names */
    void read(TravelTable table, Map<String, ?> parameters, Consumer<ObjectNode> each) {
        String columns = table.travelling()
                .map(column -> column.source() + " as \"" + column.member() + "\"")
                .collect(Collectors.joining(", "));
        database.sql("select cast(row_to_json(each) as text) from (select " + columns + " " + table.rows()
                        + ") as each")
                .params(parameters)
                .query((row, number) -> (ObjectNode) json.readTree(row.getString(1)))
                .list()
                .forEach(each);
    }

    /** Not by Hibernate, which would keep every plane in mind until the end of the transaction. */
    byte[] plane(String name) {
        return database.sql("select content from plane where sha256 = :name")
                .param("name", name)
                .query(byte[].class)
                .single();
    }

    /**
     * Writes rows of a table, without what is written later.
     *
     * @throws Refusal if they contradict each other, or what is there
     */
    void insert(TravelTable table, List<ObjectNode> rows) {
        List<Column> now = table.columns().stream()
                .filter(column -> !table.later().contains(column.name()))
                .toList();
        String names = now.stream().map(column -> quoted(column.name())).collect(Collectors.joining(", "));
        write(
                table,
                rows,
                "insert into " + table.name() + " (" + names + ") select " + names
                        + " from jsonb_populate_recordset(cast(null as " + table.name() + "), cast(:rows as jsonb))");
    }

    /** Writes what of rows that are there already had to wait for others. @throws Refusal as {@link #insert} */
    void complete(TravelTable table, List<ObjectNode> rows) {
        String set = table.later().stream()
                .sorted()
                .map(name -> name + " = given." + name)
                .collect(Collectors.joining(", "));
        write(
                table,
                rows,
                "update " + table.name() + " as r set " + set + " from jsonb_populate_recordset(cast(null as "
                        + table.name() + "), cast(:rows as jsonb)) as given where r.id = given.id");
    }

    private void write(TravelTable table, List<ObjectNode> rows, String sql) {
        try {
            database.sql(sql)
                    .param("rows", json.writeValueAsString(byColumn(table, rows)))
                    .update();
        } catch (DataAccessException e) {
            throw new Refusal("The file contradicts itself, or holds what cannot be, in '" + table.member() + "'.", e);
        }
    }

    private List<ObjectNode> byColumn(TravelTable table, List<ObjectNode> rows) {
        return rows.stream()
                .map(row -> {
                    ObjectNode named = json.createObjectNode();
                    table.columns().forEach(column -> named.set(column.name(), value(row, column)));
                    return named;
                })
                .toList();
    }

    private static JsonNode value(ObjectNode row, Column column) {
        JsonNode value = row.path(column.member());
        return value.isMissingNode() && column.kind() == Column.Kind.NEWER_FLAG ? BooleanNode.FALSE : value;
    }

    private static String quoted(String name) {
        return "\"" + name + "\"";
    }
}
