package stillpond.app.travel;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Predicate;
import stillpond.core.refusal.Refusal;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** Reads the members of an object of JSON one by one, and rows of tables a portion at a time, so that never more than that is in memory. */
final class JsonMembers {

    private static final int ROWS_AT_ONCE = 2000;
    private static final JsonMapper JSON = JsonMapper.shared();

    private final String name;
    private final List<TravelTable> tables;
    private final BiConsumer<String, JsonNode> each;

    private JsonMembers(String name, List<TravelTable> tables, BiConsumer<String, JsonNode> each) {
        this.name = name;
        this.tables = tables;
        this.each = each;
    }

    /**
     * @param name of what is read, for people
     * @param tables whose rows come in portions, under the name of their member
     * @param wanted which members are read; the others are skipped
     * @throws Refusal if it is no object, or has a member twice
     */
    static void read(
            String name,
            byte[] content,
            List<TravelTable> tables,
            Predicate<String> wanted,
            BiConsumer<String, JsonNode> each) {
        try (JsonParser parser = JSON.createParser(content)) {
            new JsonMembers(name, tables, each).read(parser, wanted);
        }
    }

    private void read(JsonParser parser, Predicate<String> wanted) {
        if (parser.nextToken() != JsonToken.START_OBJECT) {
            throw new Refusal("'" + name + "' is no object of JSON.");
        }
        Set<String> seen = new HashSet<>();
        while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
            String member = parser.currentName();
            if (!seen.add(member)) {
                throw new Refusal("'" + member + "' stands twice in '" + name + "'.");
            }
            boolean isList = parser.nextToken() == JsonToken.START_ARRAY;
            if (!wanted.test(member)) {
                parser.skipChildren();
            } else if (isList
                    && tables.stream().anyMatch(table -> table.member().equals(member))) {
                rows(member, parser);
            } else {
                each.accept(member, parser.readValueAsTree());
            }
        }
    }

    private void rows(String member, JsonParser parser) {
        ArrayNode some = JsonNodeFactory.instance.arrayNode();
        while (parser.nextToken() != JsonToken.END_ARRAY) {
            some.add((JsonNode) parser.readValueAsTree());
            if (some.size() == ROWS_AT_ONCE) {
                each.accept(member, some);
                some = JsonNodeFactory.instance.arrayNode();
            }
        }
        each.accept(member, some);
    }
}
