package stillpond.app.travel;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import stillpond.core.refusal.Refusal;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What a file holds and is not known here: whole entries, members of its JSON, and members of rows. Each has a place, by which it goes back to where it was. */
final class UnknownParts {

    private static final int MOST_BYTES = 64 << 20;
    private static final String ENTRY = "entry ";
    private static final String MEMBER = "member ";
    private static final String ROW = "row ";

    private final JsonMapper json = JsonMapper.shared();
    private final Map<String, byte[]> parts = new LinkedHashMap<>();
    private long bytes;

    void entry(String name, byte[] content) {
        keep(ENTRY + name, content);
    }

    /** @param of the entry that the member stands in */
    void member(String of, String name, JsonNode value) {
        ObjectNode member = JsonNodeFactory.instance.objectNode();
        member.set(name, value);
        keep(MEMBER + of + " " + name, json.writeValueAsBytes(member));
    }

    /** @param row with the ids that it has from now on */
    void members(TravelTable table, ObjectNode row) {
        ObjectNode unknown = row.deepCopy();
        table.columns().forEach(column -> unknown.remove(column.member()));
        if (!unknown.isEmpty()) {
            keep(place(table, row), json.writeValueAsBytes(unknown));
        }
    }

    /** As it was kept before. */
    void keep(String place, byte[] content) {
        bytes += place.getBytes(StandardCharsets.UTF_8).length + content.length;
        if (bytes > MOST_BYTES) {
            throw new Refusal("The file holds more that is not known here than is kept.");
        }
        parts.put(place, content);
    }

    /** Gives a row back what was not known of it. */
    void into(TravelTable table, ObjectNode row) {
        byte[] unknown = parts.get(place(table, row));
        if (unknown != null) {
            row.setAll((ObjectNode) json.readTree(unknown));
        }
    }

    /** Those that stand in the JSON of an entry. */
    void eachMember(String of, ObjectNode into) {
        parts.forEach((place, content) -> {
            if (place.startsWith(MEMBER + of + " ")) {
                into.setAll((ObjectNode) json.readTree(content));
            }
        });
    }

    Map<String, byte[]> entries() {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        parts.forEach((place, content) -> {
            if (place.startsWith(ENTRY)) {
                entries.put(place.substring(ENTRY.length()), content);
            }
        });
        return entries;
    }

    void storeIn(UnknownPartRepository repository, UUID project) {
        parts.forEach((place, content) -> repository.save(new UnknownPart(project, place, content)));
    }

    private static String place(TravelTable table, ObjectNode row) {
        StringBuilder place = new StringBuilder(ROW + table.name());
        for (String key : table.keys()) {
            place.append(' ').append(row.path(TravelTable.camel(key)).asString());
        }
        return place.toString();
    }
}
