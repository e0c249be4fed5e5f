package stillpond.app.travel;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.math.BigInteger;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.UndoableChanges;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A project goes out as a file and comes in again, here with what a small project has; DemoTravelsTest takes everything. */
class ProjectFileTest {

    private static final JsonMapper JSON = JsonMapper.shared();
    private static final String SHEET = "sheets/00001.json";

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private Travelled file;

    @BeforeEach
    void writeTheFile() throws IOException {
        Sheet sheet = work.bring(Drawings.threeBoxes());
        work.lay(sheet, work.coat().id(), 500, 1000);
        file = Travelled.of(visitor.download("/projects/" + work.project() + "/export/project.zip?history=true"));
    }

    @Test
    void itComesInAsAProjectOfWhoeverBringsItAndNothingOfItIsTheOldOne() throws IOException {
        String other = "o" + UUID.randomUUID();
        UUID account = pond.openAccount(other);
        Visitor stranger = Visitor.signedIn(pond, other);
        UUID project = taken(stranger.sendFile("/shelf/project-file", file.zip()));

        assertThat(project).isNotEqualTo(work.project());
        assertThat(stranger.get("/projects/" + project).statusCode()).isEqualTo(200);
        assertThat(stranger.get("/projects/" + work.project()).statusCode()).isEqualTo(404);
        assertThat(pond.bean(Projects.class).ofMember(account)).hasSize(1);
        Sheet sheet = pond.bean(Sheets.class).inProject(project).get(0);
        Sheet old = pond.bean(Sheets.class).inProject(work.project()).get(0);
        assertThat(sheet.id()).isNotEqualTo(old.id());
        assertThat(stranger.download("/projects/" + project + "/sheets/" + sheet.id() + "/export/flats.png"))
                .isEqualTo(visitor.download(work.address(old) + "/export/flats.png"));
        assertThat(Travelled.of(stranger.download("/projects/" + project + "/export/project.zip?history=true"))
                        .anywhere())
                .isEqualTo(file.anywhere());
    }

    @Test
    void whatWasDoneCanStillBeTakenBackWhereItHasCome() throws IOException {
        UUID project = taken(visitor.sendFile("/shelf/project-file", file.zip()));
        Sheet sheet = pond.bean(Sheets.class).inProject(project).get(0);
        assertThat(pond.bean(Sheets.class).fills(sheet.layer()).filled()).isNotEmpty();
        UUID laid = pond.bean(UndoableChanges.class)
                .of(project, work.account(), sheet.id(), 1)
                .changes()
                .undoable()
                .get(0)
                .id();
        pond.bean(SheetChanges.class).make(sheet.id(), work.account(), new ChangeRequest.Undo(UUID.randomUUID(), laid));
        assertThat(pond.bean(Sheets.class).fills(sheet.layer()).filled()).isEmpty();
    }

    @Test
    void withoutItsHistoryItHoldsTheSheetsAsTheyAre() throws IOException {
        Travelled plain = Travelled.of(visitor.download("/projects/" + work.project() + "/export/project.zip"));
        assertThat(plain.index().path("history")).isEmpty();
        UUID project = taken(visitor.sendFile("/shelf/project-file", plain.zip()));
        Sheet sheet = pond.bean(Sheets.class).inProject(project).get(0);
        assertThat(pond.bean(Sheets.class).fills(sheet.layer()).filled()).isNotEmpty();
    }

    @Test
    void aFileFromBeforeThereWereShapesStillComesIn() throws IOException {
        Travelled earlier = file.with(SHEET, sheet -> {
            sheet.path("layer").forEach(layer -> ((ObjectNode) layer).remove("isBlockedIn"));
            sheet.remove("sheetReference");
            return sheet;
        });
        UUID project = taken(visitor.sendFile("/shelf/project-file", earlier.zip()));
        Sheet sheet = pond.bean(Sheets.class).inProject(project).get(0);
        assertThat(sheet.layers()).noneMatch(Layer::isBlockedIn);
    }

    @Test
    void someScenesOrOnlyTheCardsTravel() throws IOException {
        UUID second =
                pond.bean(Projects.class).addScene(work.project(), "High tide").id();
        String address = "/projects/" + work.project() + "/export/project.zip";
        Travelled scene = Travelled.of(visitor.download(address + "?scope=SCENES&scene=" + second));
        assertThat(scene.index().path("scene")).hasSize(1);
        assertThat(scene.index().path("sheets")).isEmpty();
        assertThat(visitor.get(address + "?scope=SCENES").body()).contains("Choose at least one scene");

        Travelled cards = Travelled.of(visitor.download(address + "?scope=CARDS"));
        assertThat(cards.index().path("scene")).isEmpty();
        UUID project = taken(visitor.sendFile(
                "/shelf/project-file",
                cards.with("moods/board.json", "{\"mood\":1}".getBytes(StandardCharsets.UTF_8))
                        .zip()));
        assertThat(pond.bean(Palettes.class).of(project).cards())
                .extracting(card -> card.name())
                .contains("Juniper");
        Travelled again = Travelled.of(visitor.download("/projects/" + project + "/export/project.zip"));
        assertThat(again.entries()).as("also what is not known here").containsKey("moods/board.json");
    }

    @Test
    void whatIsNotKnownHereIsKeptAndGoesOutAgain() throws IOException {
        Travelled newer = file.with("moods/board.json", "{\"mood\":1}".getBytes(StandardCharsets.UTF_8))
                .with("project.json", index -> index.put("weather", "fog"))
                .with(SHEET, sheet -> {
                    ((ObjectNode) sheet.path("layer").get(0)).put("glow", 3);
                    return sheet;
                });
        UUID project = taken(visitor.sendFile("/shelf/project-file", newer.zip()));
        Travelled again = Travelled.of(visitor.download("/projects/" + project + "/export/project.zip?history=true"));
        assertThat(again.anywhere()).isEqualTo(newer.anywhere());
    }

    @Test
    void theTableOfEntriesIsMeasuredByTheRecordAtTheEndAndNotByOneInAComment() throws IOException {
        byte[] zip = file.zip();
        int record = zip.length - 22;
        byte[] large = zip.clone();
        large[record + 15] = 0x7f;
        assertThat(visitor.sendFile("/shelf/project-file", large).body()).contains("more entries than a project");
        byte[] hidden = Arrays.copyOf(large, large.length + 30);
        hidden[record + 20] = 30;
        System.arraycopy(zip, record, hidden, large.length, 22);
        assertThat(visitor.sendFile("/shelf/project-file", hidden).body()).contains("more entries than a project");
    }

    @Test
    void whatStandsInTheWayOfAnEntryOfOursIsLeftBehind() throws IOException {
        Travelled stray = file.with("sheets/00002.json", new byte[] {1});
        UUID project = taken(visitor.sendFile("/shelf/project-file", stray.zip()));
        Sheet sheet = pond.bean(Sheets.class).inProject(project).get(0);
        visitor.submit("/projects/" + project + "/sheets/" + sheet.id() + "/copy");
        assertThat(Travelled.of(visitor.download("/projects/" + project + "/export/project.zip"))
                        .index()
                        .path("sheets"))
                .hasSize(2);
    }

    @Test
    void theFileKeepsToItsSchema() throws IOException {
        String schema = Files.readString(Path.of("../docs/project-file.schema.json"));
        assertThat(errors(schema, "index", "project.json")).isEmpty();
        assertThat(errors(schema, "sheet", SHEET)).isEmpty();
        assertThat(errors(schema, "history", "history/00001.json")).isEmpty();
        assertThat(errors(schema, "sheet", "project.json")).isNotEmpty();
        TravelTables.all().forEach(table -> {
            assertThat(schema).contains("\"" + table.member() + "\"");
            table.travelling().forEach(column -> assertThat(schema).contains("\"" + column.member() + "\""));
        });
    }

    private List<String> errors(String schema, String part, String entry) {
        ObjectNode of = (ObjectNode) JSON.readTree(schema);
        of.put("$ref", "#/$defs/" + part);
        Schema read = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(of.toString(), InputFormat.JSON);
        return read.validate(new String(file.entries().get(entry), StandardCharsets.UTF_8), InputFormat.JSON).stream()
                .map(Object::toString)
                .toList();
    }

    static Stream<Arguments> spoiled() {
        UnaryOperator<Travelled> climbing = file -> file.with("../../etc/passwd", new byte[1]);
        return Stream.of(
                bad("names that climb", "under a name that no project file has", climbing),
                bad("names twice", "two entries", file -> file.with("PROJECT.json", new byte[1])),
                bad(
                        "a newer form",
                        "written by a newer Still Pond",
                        file -> file.with("project.json", index -> index.put("version", 2))),
                bad(
                        "a zip of something else",
                        "no project file of ours",
                        file -> file.with("project.json", index -> index.put("format", "book"))),
                bad("no index", "lacks 'project.json'", file -> file.without("project.json")),
                bad(
                        "a plane that is not there",
                        "lacks 'planes/",
                        file -> file.without(file.entries().keySet().stream()
                                .filter(name -> name.startsWith("planes/"))
                                .findFirst()
                                .orElseThrow())),
                bad(
                        "a plane that it does not hold",
                        "a plane that it does not hold",
                        file -> inLayer(file, "cells", "0".repeat(64))),
                bad(
                        "a picture that is none",
                        "no PNG",
                        file -> file.with(
                                file.entries().keySet().stream()
                                        .filter(name -> name.startsWith("planes/"))
                                        .findFirst()
                                        .orElseThrow(),
                                new byte[] {1, 2, 3})),
                bad("a bomb", "larger than it may be", file -> file.with("project.json", new byte[120 << 20])),
                bad(
                        "gigantic numbers",
                        "contradicts itself",
                        file -> file.with(SHEET, sheet -> {
                            ((ObjectNode) sheet.path("layer").get(0)).put("cellCount", new BigInteger("9".repeat(40)));
                            return sheet;
                        })),
                bad(
                        "more cells than there are",
                        "cannot be read here",
                        file -> file.with(SHEET, sheet -> {
                            ((ObjectNode) sheet.path("cellFill").get(0)).put("cell", 100_000);
                            return sheet;
                        })),
                bad("line art for shapes", "cannot be read here", file -> inLayer(file, "isBlockedIn", "true")),
                bad(
                        "a swatch that follows itself",
                        "cannot be read here",
                        file -> file.with("project.json", index -> {
                            ObjectNode swatch =
                                    (ObjectNode) index.path("swatch").get(0);
                            swatch.put("paint", "tied " + swatch.path("id").stringValue() + " shift 0 0 0");
                            return index;
                        })),
                bad(
                        "a step that takes back itself",
                        "before it was done",
                        file -> file.with("history/00001.json", log -> {
                            ObjectNode change = (ObjectNode) log.path("change").get(0);
                            change.put("kind", "UNDO")
                                    .put("concerns", change.path("id").stringValue());
                            return log;
                        })),
                bad(
                        "two projects",
                        "more than one project",
                        file -> file.with("project.json", index -> {
                            ObjectNode second =
                                    ((ObjectNode) index.path("project").get(0)).deepCopy();
                            ((ArrayNode) index.path("project"))
                                    .add(second.put("id", UUID.randomUUID().toString()));
                            return index;
                        })),
                bad(
                        "a fill that is none",
                        "is no fill",
                        file -> file.with(SHEET, sheet -> {
                            ((ObjectNode) sheet.path("cellFill").get(0))
                                    .putNull("swatchId")
                                    .put("made", "plaid 3");
                            return sheet;
                        })),
                bad(
                        "a proposal that is none",
                        "cannot be read here",
                        file -> file.with("project.json", index -> {
                            ObjectNode proposal = JSON.createObjectNode();
                            proposal.put("id", UUID.randomUUID().toString());
                            proposal.put(
                                    "projectId",
                                    index.path("project").get(0).path("id").stringValue());
                            proposal.put("madeAt", "2026-05-03T10:12:00Z")
                                    .put("reason", "")
                                    .put("answer", "");
                            proposal.put("state", "OPEN").put("edits", "all of them");
                            ((ArrayNode) index.path("proposal")).add(proposal);
                            return index;
                        })),
                bad("half a file", "not a zip, or it is broken", file -> file));
    }

    private static Arguments bad(String what, String said, UnaryOperator<Travelled> spoil) {
        return Arguments.of(what, said, spoil);
    }

    private static Travelled inLayer(Travelled file, String member, String value) {
        return file.with(SHEET, sheet -> {
            ((ObjectNode) sheet.path("layer").get(0)).put(member, value);
            return sheet;
        });
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("spoiled")
    void aFileThatCannotBeTakenIsRefusedInWordsAndLeavesNothing(
            String what, String said, UnaryOperator<Travelled> spoil) throws IOException {
        byte[] zip = spoil.apply(file).zip();
        byte[] sent = what.equals("half a file") ? Arrays.copyOf(zip, zip.length / 2) : zip;
        Map<String, Long> before = counted();
        HttpResponse<String> answer = visitor.sendFile("/shelf/project-file", sent);
        assertThat(answer.statusCode()).isEqualTo(400);
        assertThat(answer.body()).containsPattern(said).contains("othing");
        assertThat(counted()).isEqualTo(before);
    }

    @Test
    void idsOfOthersReachNothingOfTheirs() throws IOException {
        Work other = Work.begin(pond);
        Travelled naming = file.with("project.json", index -> (ObjectNode) JSON.readTree(index.toString()
                        .replace(work.project().toString(), other.project().toString())
                        .replace(work.coat().id().toString(), other.coat().id().toString())))
                .with(SHEET, sheet -> (ObjectNode) JSON.readTree(sheet.toString()
                        .replace(work.project().toString(), other.project().toString())
                        .replace(work.coat().id().toString(), other.coat().id().toString())))
                .with("history/00001.json", log -> log.removeAll())
                .with("project.json", index -> index.set("history", index.arrayNode()));
        String cards = pond.bean(Palettes.class).of(other.project()).cards().toString();
        UUID project = taken(visitor.sendFile("/shelf/project-file", naming.zip()));
        assertThat(project).isNotEqualTo(other.project());
        assertThat(pond.bean(Palettes.class).of(other.project()).cards()).hasToString(cards);
        assertThat(pond.bean(Projects.class).hasMember(other.project(), work.account()))
                .isFalse();
    }

    private static UUID taken(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
        String location = answer.headers().firstValue("Location").orElseThrow();
        return UUID.fromString(location.substring(location.lastIndexOf('/') + 1));
    }

    private Map<String, Long> counted() {
        return pond
                .bean(JdbcClient.class)
                .sql("""
                select 'project' as name, count(*) as many from project union all select 'layer', count(*) from layer
                union all select 'swatch', count(*) from swatch union all select 'plane', count(*) from plane
                union all select 'unknown', count(*) from unknown_part""")
                .query((row, number) -> Map.entry(row.getString(1), row.getLong(2)))
                .list()
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }
}
