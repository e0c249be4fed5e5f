package stillpond.app.travel;

import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.palette.Palettes;
import stillpond.core.exchange.Tokens;
import stillpond.core.format.PlaneParts;
import stillpond.core.palette.Palette;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes a project as a file, one sheet after the other, so that it takes no more memory than a sheet. */
@Component
class ProjectFileWriter {

    /** Of one entry of the log, so that it can be read at once; a single change may be longer. */
    private static final long MOST_NUMBERS = 200_000;

    private final JdbcClient database;
    private final Rows rows;
    private final Palettes palettes;
    private final UnknownPartRepository unknown;
    private final JsonMapper json = JsonMapper.shared();
    private final Clock clock;

    ProjectFileWriter(JdbcClient database, Rows rows, Palettes palettes, UnknownPartRepository unknown, Clock clock) {
        this.database = database;
        this.rows = rows;
        this.palettes = palettes;
        this.unknown = unknown;
        this.clock = clock;
    }

    /** As it is at one moment, whatever is done to it meanwhile. Leaves the stream open. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void write(Selection selection, OutputStream out) throws IOException {
        new Writing(selection, out).all();
    }

    /** What of the log stands in one entry: rows with numbers from the first to the last. */
    private record Stretch(long from, long to) {}

    private final class Writing {
        private final Selection selection;
        private final ZipOutputStream zip;
        private final UnknownParts parts = new UnknownParts();
        private final Set<String> written = new HashSet<>();
        private final Set<String> names = new HashSet<>();

        Writing(Selection selection, OutputStream out) {
            this.selection = selection;
            this.zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
            unknown.findByKeyProjectIdOrderByKeyPlace(selection.project())
                    .forEach(part -> parts.keep(part.place(), part.content()));
        }

        void all() throws IOException {
            Map<String, UUID> sheets = new TreeMap<>();
            sheetIds().forEach(id -> sheets.put("sheets/%05d.json".formatted(sheets.size() + 1), id));
            Map<String, Stretch> log = new TreeMap<>();
            if (selection.withHistory()) {
                stretches().forEach(each -> log.put("history/%05d.json".formatted(log.size() + 1), each));
            }
            index(sheets.keySet(), log.keySet());
            tokens();
            for (Map.Entry<String, UUID> sheet : sheets.entrySet()) {
                sheet(sheet.getKey(), sheet.getValue());
            }
            for (Map.Entry<String, Stretch> each : log.entrySet()) {
                entry(each.getKey(), TravelTables.OF_HISTORY, of(each.getValue()), generator -> {});
            }
            for (Map.Entry<String, byte[]> each : parts.entries().entrySet()) {
                // What came beside a plane or a sheet of that name, and was none.
                if (!names.contains(each.getKey())) {
                    put(each.getKey(), each.getValue());
                }
            }
            zip.finish();
        }

        private void index(Set<String> sheets, Set<String> history) throws IOException {
            entry(ProjectFormat.INDEX, TravelTables.OF_PROJECT, parameters(), generator -> {
                generator.writeStringProperty("format", ProjectFormat.NAME);
                generator.writeNumberProperty("version", ProjectFormat.VERSION);
                generator.writeStringProperty("writtenAt", clock.instant().toString());
                generator.writeStringProperty("scope", selection.scope().name());
                generator.writePOJOProperty("sheets", sheets);
                generator.writePOJOProperty("history", history);
            });
        }

        /** For people and other programs; the rows of cards and swatches say the same, and more. */
        private void tokens() throws IOException {
            Palette palette = palettes.of(selection.project());
            put(ProjectFormat.TOKENS, Tokens.write(palette.cards(), palette));
        }

        private void sheet(String name, UUID sheet) throws IOException {
            Map<String, Object> parameters = parameters();
            parameters.put("sheet", sheet);
            Map<String, Column.Kind> named = new TreeMap<>();
            TravelTable layers = TravelTables.named("layer");
            rows.read(
                    layers,
                    parameters,
                    row -> layers.travelling()
                            .filter(Column::isPlane)
                            .filter(column -> row.path(column.member()).isString())
                            .forEach(column ->
                                    named.put(row.path(column.member()).stringValue(), column.kind())));
            Map<String, PlaneParts> taken = new TreeMap<>();
            for (Map.Entry<String, Column.Kind> plane : named.entrySet()) {
                if (written.add(plane.getKey())) {
                    plane(plane.getKey(), plane.getValue(), taken);
                }
            }
            entry(name, TravelTables.OF_SHEET, parameters, generator -> {
                generator.writeArrayPropertyStart(ProjectFormat.PLANES);
                taken.forEach((plane, parts) -> {
                    generator.writeStartObject();
                    generator.writeStringProperty("name", plane);
                    generator.writeStringProperty("kind", named.get(plane).name());
                    generator.writePOJOProperty("numbers", parts.numbers());
                    generator.writeEndObject();
                });
                generator.writeEndArray();
            });
        }

        private void plane(String name, Column.Kind kind, Map<String, PlaneParts> taken) throws IOException {
            byte[] content = rows.plane(name);
            if (kind == Column.Kind.FILE) {
                put(ProjectFormat.file(name), content);
                return;
            }
            PlaneParts apart = PlaneParts.of(PlaneParts.Kind.valueOf(kind.name()), content);
            if (apart.png().length > 0) {
                put(ProjectFormat.picture(name), apart.png());
            }
            taken.put(name, new PlaneParts(new byte[0], apart.numbers()));
        }

        private Map<String, Object> parameters() {
            Map<String, Object> parameters = new HashMap<>();
            parameters.put("project", selection.project());
            parameters.put("scenes", selection.sceneIds());
            parameters.put("past", selection.withHistory());
            return parameters;
        }

        private Map<String, Object> of(Stretch stretch) {
            Map<String, Object> parameters = parameters();
            parameters.put("from", stretch.from());
            parameters.put("to", stretch.to());
            return parameters;
        }

        private interface Heading {
            void to(JsonGenerator generator);
        }

        /** One entry of JSON: a heading, then the rows of some tables. */
        private void entry(String name, List<TravelTable> tables, Map<String, Object> parameters, Heading heading)
                throws IOException {
            List<String> files = new ArrayList<>();
            begin(name);
            try (JsonGenerator generator = json.createGenerator(new Unclosed(zip))) {
                generator.writeStartObject();
                heading.to(generator);
                for (TravelTable table : tables) {
                    generator.writeArrayPropertyStart(table.member());
                    rows.read(table, parameters, row -> {
                        files(table, row, files);
                        parts.into(table, row);
                        generator.writeTree(row);
                    });
                    generator.writeEndArray();
                }
                ObjectNode more = JsonNodeFactory.instance.objectNode();
                parts.eachMember(name, more);
                more.properties().forEach(each -> generator.writePOJOProperty(each.getKey(), each.getValue()));
                generator.writeEndObject();
            }
            zip.closeEntry();
            for (String file : files) {
                if (written.add(file)) {
                    put(ProjectFormat.file(file), rows.plane(file));
                }
            }
        }

        private void files(TravelTable table, ObjectNode row, List<String> into) {
            table.travelling()
                    .filter(column -> column.kind() == Column.Kind.FILE)
                    .map(column -> row.path(column.member()))
                    .filter(value -> value.isString())
                    .forEach(value -> into.add(value.stringValue()));
        }

        private void put(String name, byte[] content) throws IOException {
            begin(name);
            zip.write(content);
            zip.closeEntry();
        }

        private void begin(String name) throws IOException {
            names.add(name);
            zip.putNextEntry(new ZipEntry(name));
        }

        private List<UUID> sheetIds() {
            return database.sql("""
                    select s.id from sheet s join scene c on c.id = s.scene_id
                    where s.project_id = :project and c.id = any(cast(string_to_array(:scenes, ' ') as uuid[]))
                    order by c.position, c.title, s.position, s.made_at, s.id""").params(parameters()).query(UUID.class).list();
        }

        private List<Stretch> stretches() {
            List<Stretch> all = new ArrayList<>();
            long[] open = {0, 0, 0};
            database.sql("""
                    select c.number as number, coalesce(sum(cardinality(e.cells) + cardinality(e.before)), 0) as long
                    from change c left join effect e on e.change_id = c.id
                    where c.project_id = :project group by c.number order by c.number""").params(parameters()).query(row -> {
                long number = row.getLong("number");
                long length = row.getLong("long") + 1;
                if (open[2] > 0 && open[2] + length > MOST_NUMBERS) {
                    all.add(new Stretch(open[0], open[1]));
                    open[2] = 0;
                }
                open[0] = open[2] == 0 ? number : open[0];
                open[1] = number;
                open[2] += length;
            });
            if (open[2] > 0) {
                all.add(new Stretch(open[0], open[1]));
            }
            return all;
        }
    }

    /** JSON is written into an entry, which is not the end of the zip. */
    private static final class Unclosed extends FilterOutputStream {
        Unclosed(OutputStream out) {
            super(out);
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
            out.write(bytes, from, length);
        }

        @Override
        public void close() throws IOException {
            flush();
        }
    }
}
