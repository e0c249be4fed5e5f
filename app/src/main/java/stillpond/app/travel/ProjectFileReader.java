package stillpond.app.travel;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiConsumer;
import java.util.function.Predicate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.project.Projects;
import stillpond.app.project.Role;
import stillpond.app.reading.WorkingMemory;
import stillpond.app.settings.PondSettings;
import stillpond.app.sheet.Planes;
import stillpond.core.fill.Fill;
import stillpond.core.refusal.Refusal;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Takes a project out of a file that somebody sent: all of it or nothing. It gets ids of its own, belongs to whoever brought it, and is read back by the rules of the
 * desk before it counts.
 */
@Component
class ProjectFileReader {

    private static final long MOST_JSON_BYTES = 96L << 20;
    private static final int MOST_SHEETS = 5000;
    private static final int MOST_TEXT = 100_000;
    private static final int MOST_NAME = 500;
    private static final Set<String> HEADING = Set.of("format", "version", "writtenAt", "scope", "sheets", "history");

    private final JdbcClient database;
    private final Rows rows;
    private final Planes planes;
    private final Projects projects;
    private final ReadBack readBack;
    private final UnknownPartRepository unknown;
    private final WorkingMemory memory;
    private final PondSettings.Limits limits;

    ProjectFileReader(
            JdbcClient database,
            Rows rows,
            Planes planes,
            Projects projects,
            ReadBack readBack,
            UnknownPartRepository unknown,
            WorkingMemory memory,
            PondSettings settings) {
        this.database = database;
        this.rows = rows;
        this.planes = planes;
        this.projects = projects;
        this.readBack = readBack;
        this.unknown = unknown;
        this.memory = memory;
        this.limits = settings.limits();
    }

    /**
     * @return the id of the new project
     * @throws Refusal if anything of the file cannot be taken
     */
    @Transactional
    public UUID take(ReadZip zip, UUID person) {
        try {
            return new Taking(zip, person).all();
        } catch (JacksonException e) {
            throw new Refusal("The file holds JSON that cannot be read.", e);
        }
    }

    private final class Taking {
        private final ReadZip zip;
        private final UUID person;
        private final NewIds ids = new NewIds();
        private final UnknownParts parts = new UnknownParts();
        private final TakenPlanes taken;
        private final Map<String, List<ObjectNode>> later = new HashMap<>();
        private final Set<String> changes = new HashSet<>();
        private UUID project;

        Taking(ReadZip zip, UUID person) {
            this.zip = zip;
            this.person = person;
            this.taken = new TakenPlanes(zip, planes, memory, limits);
        }

        UUID all() {
            Map<String, JsonNode> index = new HashMap<>();
            read(ProjectFormat.INDEX, List.of(), HEADING::contains, index::put);
            requireOurs(index);
            entry(ProjectFormat.INDEX, TravelTables.OF_PROJECT, HEADING);
            if (project == null) {
                throw new Refusal("The file holds no project.");
            }
            List<String> sheets = names(index.get("sheets"));
            sheets.forEach(this::sheet);
            TravelTables.all()
                    .filter(table -> later.containsKey(table.name()))
                    .forEach(table -> rows.complete(table, later.get(table.name())));
            names(index.get("history")).forEach(name -> entry(name, TravelTables.OF_HISTORY, Set.of()));
            zip.unasked().stream()
                    .filter(name -> !name.equals(ProjectFormat.TOKENS))
                    .forEach(name ->
                            parts.entry(name, zip.bytes(name, limits.maxFile().toBytes())));
            parts.storeIn(unknown, project);
            noteSwatchesOfFills();
            requireFills();
            projects.addMember(project, person, Role.LEAD);
            readBack.require(project);
            return project;
        }

        private void requireOurs(Map<String, JsonNode> index) {
            JsonNode version = index.getOrDefault("version", JsonNodeFactory.instance.nullNode());
            if (!ProjectFormat.NAME.equals(index.getOrDefault("format", version).asString("")) || !version.isInt()) {
                throw new Refusal("This zip is no project file of ours: its project.json does not say so.");
            }
            if (version.intValue() > ProjectFormat.VERSION) {
                throw new Refusal("This file was written by a newer Still Pond: its form is version "
                        + version.intValue() + ", and up to " + ProjectFormat.VERSION
                        + " is read here. Bring this installation up to date first.");
            }
            if (version.intValue() < 1) {
                throw new Refusal("There is no version " + version.intValue() + " of project files.");
            }
        }

        private List<String> names(JsonNode list) {
            List<String> names = new ArrayList<>();
            if (list != null) {
                list.forEach(each -> names.add(each.asString("")));
            }
            if (names.size() > MOST_SHEETS || new HashSet<>(names).size() < names.size()) {
                throw new Refusal("The file names more parts than a project has, or one twice.");
            }
            return names;
        }

        private void sheet(String name) {
            read(name, List.of(), ProjectFormat.PLANES::equals, (member, value) -> value.forEach(taken::take));
            entry(name, TravelTables.OF_SHEET, Set.of(ProjectFormat.PLANES));
        }

        private void read(
                String name, List<TravelTable> tables, Predicate<String> wanted, BiConsumer<String, JsonNode> each) {
            JsonMembers.read(name, zip.bytes(name, MOST_JSON_BYTES), tables, wanted, each);
        }

        /** The rows of an entry, table by table in the order that they need. */
        private void entry(String name, List<TravelTable> tables, Set<String> others) {
            List<String> order = new ArrayList<>();
            read(name, tables, member -> !others.contains(member), (member, value) -> {
                TravelTable table = tables.stream()
                        .filter(each -> each.member().equals(member))
                        .findFirst()
                        .orElse(null);
                if (table != null) {
                    order.add(member);
                    insert(table, value);
                } else {
                    parts.member(name, member, value);
                }
            });
            List<String> wanted = tables.stream()
                    .map(TravelTable::member)
                    .filter(order::contains)
                    .toList();
            if (!new ArrayList<>(new LinkedHashSet<>(order)).equals(wanted)) {
                throw new Refusal("The parts of '" + name + "' do not stand in their order.");
            }
        }

        private void insert(TravelTable table, JsonNode value) {
            List<ObjectNode> all = new ArrayList<>();
            for (JsonNode each : value) {
                if (!(each instanceof ObjectNode row)) {
                    throw new Refusal("'" + table.member() + "' holds something that is no row.");
                }
                all.add(prepared(table, row));
            }
            rows.insert(table, all);
        }

        private ObjectNode prepared(TravelTable table, ObjectNode row) {
            ids.renew(table, row);
            requireShort(table, row);
            table.columns().forEach(column -> {
                if (column.isPlane() && row.path(column.member()).isString()) {
                    row.put(
                            column.member(),
                            taken.kept(column, row.path(column.member()).stringValue()));
                } else if (column.kind() == Column.Kind.AUTHOR
                        || column.kind() == Column.Kind.ANSWERER && row.hasNonNull("answeredAt")) {
                    row.put(column.member(), person.toString());
                }
            });
            parts.members(table, row);
            if (!table.later().isEmpty()) {
                later.computeIfAbsent(table.name(), any -> new ArrayList<>()).add(row);
            }
            switch (table.name()) {
                case "project" -> begin(row);
                case "change" -> requireInOrder(row);
                default -> {}
            }
            return row;
        }

        private void requireShort(TravelTable table, ObjectNode row) {
            table.travelling()
                    .filter(column -> column.kind() == Column.Kind.PLAIN)
                    .forEach(column -> {
                        boolean isName =
                                column.name().equals("title") || column.name().equals("name");
                        if (row.path(column.member()).asString("").length() > (isName ? MOST_NAME : MOST_TEXT)) {
                            throw new Refusal(
                                    "A text in '" + table.member() + "' is longer than any that is written here.");
                        }
                    });
        }

        private void begin(ObjectNode row) {
            if (project != null) {
                throw new Refusal("The file holds more than one project.");
            }
            project = UUID.fromString(row.path("id").asString());
        }

        /** A step takes back what was done before it, never itself or another step that takes it back. */
        private void requireInOrder(ObjectNode row) {
            if (row.hasNonNull("concerns")
                    && !changes.contains(row.path("concerns").asString())) {
                throw new Refusal("The history of the file speaks of something before it was done.");
            }
            changes.add(row.path("id").asString());
        }

        /** Fills that are kept as texts elsewhere are read when they are needed, which is too late to refuse them. */
        private void requireFills() {
            database.sql("""
                    select distinct c.fill from carry_correction c join layer l on l.id = c.layer_id
                    join sheet s on s.id = l.sheet_id where s.project_id = :project""")
                    .param("project", project)
                    .query(String.class)
                    .list()
                    .forEach(Taking::fill);
        }

        private static Fill fill(String text) {
            return Refusal.unlessRead("The file holds a fill that is none.", () -> Fill.ofText(text));
        }

        private void noteSwatchesOfFills() {
            List<String> made = database.sql("""
                    select distinct f.made from cell_fill f join layer l on l.id = f.layer_id join sheet s on s.id = l.sheet_id
                    where s.project_id = :project and f.made is not null""")
                    .param("project", project)
                    .query(String.class)
                    .list();
            for (String text : made) {
                Fill fill = fill(text);
                for (UUID swatch : new HashSet<>(fill.swatches())) {
                    database.sql(
                                    "insert into fill_swatch (fill, swatch_id) select :fill, id from swatch where id = :swatch and project_id = :project on conflict do nothing")
                            .param("fill", text)
                            .param("swatch", swatch)
                            .param("project", project)
                            .update();
                }
            }
        }
    }
}
