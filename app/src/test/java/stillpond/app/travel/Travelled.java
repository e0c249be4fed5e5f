package stillpond.app.travel;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import stillpond.app.support.Unzipped;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A project file in a test: to look into, to compare, and to spoil. */
record Travelled(Map<String, byte[]> entries) {

    private static final JsonMapper JSON = JsonMapper.shared();
    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}");

    static Travelled of(byte[] file) throws IOException {
        return new Travelled(Unzipped.of(file));
    }

    ObjectNode json(String entry) {
        return (ObjectNode) JSON.readTree(entries.get(entry));
    }

    ObjectNode index() {
        return json("project.json");
    }

    /** The same with one entry of JSON changed. */
    Travelled with(String entry, UnaryOperator<ObjectNode> change) {
        return with(entry, JSON.writeValueAsBytes(change.apply(json(entry))));
    }

    Travelled with(String entry, byte[] content) {
        Map<String, byte[]> changed = new TreeMap<>(entries);
        changed.put(entry, content);
        return new Travelled(changed);
    }

    Travelled without(String entry) {
        Map<String, byte[]> changed = new TreeMap<>(entries);
        changed.remove(entry);
        return new Travelled(changed);
    }

    byte[] zip() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
                zip.putNextEntry(new ZipEntry(entry.getKey()));
                zip.write(entry.getValue());
            }
        }
        return out.toByteArray();
    }

    /** What is the same wherever the project is: ids are numbered in the order in which they are first met, and entries of the staging, which have none, are sorted. */
    Map<String, Object> anywhere() {
        Map<String, Integer> numbers = new HashMap<>();
        Map<String, Object> same = new TreeMap<>();
        Stream.of("project.json", "sheets/", "history/", "")
                .flatMap(start -> entries.keySet().stream().filter(name -> name.startsWith(start)))
                .distinct()
                .forEach(name -> same.put(
                        name, name.endsWith(".json") ? content(name, numbers) : new HashedBytes(entries.get(name))));
        return same;
    }

    private String content(String name, Map<String, Integer> numbers) {
        ObjectNode content = json(name);
        content.remove("writtenAt");
        JsonNode staged = content.remove("staged");
        String text = numbered(content.toPrettyString(), numbers);
        if (staged instanceof ArrayNode rows) {
            text += rows.valueStream()
                    .map(row -> numbered(row.toString(), numbers))
                    .sorted()
                    .toList();
        }
        return text;
    }

    private static String numbered(String text, Map<String, Integer> numbers) {
        return ID.matcher(text).replaceAll(id -> "id" + numbers.computeIfAbsent(id.group(), any -> numbers.size()));
    }

    /** Compares by content, and is short to print. */
    private record HashedBytes(int length, int hash) {
        HashedBytes(byte[] bytes) {
            this(bytes.length, Arrays.hashCode(bytes));
        }
    }
}
