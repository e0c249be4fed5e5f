package stillpond.app.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.account.Accounts;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Right;
import stillpond.app.project.Role;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.palette.Card;

/** The table of who may do what, every cell of it, over HTTP. */
class RightsTest {

    private final TestPond pond = TestPond.shared();
    private Work work;
    private Visitor lead;
    private String at;
    private Sheet sheet;
    private UUID card;
    private UUID openCard;
    private UUID openSwatch;
    private UUID other;

    /** A locked card, a swatch of which follows one on an open card, and a sheet that wears it. */
    @BeforeEach
    void begin() {
        work = Work.begin(pond);
        lead = Visitor.signedIn(pond, work.person());
        at = "/projects/" + work.project();
        sheet = work.bringSmall(Drawings.threeBoxes());
        work.lay(sheet, work.coat().id(), 50, 100);
        card = palette().stream()
                .filter(each -> each.swatches().contains(work.coat()))
                .findFirst()
                .orElseThrow()
                .id();
        openCard = UUID.randomUUID();
        openSwatch = UUID.randomUUID();
        other = pond.bean(Accounts.class).find(work.colourist()).orElseThrow().id();
        edit(
                lead,
                "{'kind':'ADD_CARD','card':'OPEN_CARD','name':'Quay'}",
                "{'kind':'ADD','card':'OPEN_CARD','swatch':'OPEN','name':'Rope','colour':'#c8b27a'}",
                "{'kind':'ADD','card':'CARD','name':'Belt','paint':'tied OPEN shade 20'}",
                "{'kind':'LOCK_CARD','card':'CARD','locked':true}");
    }

    static Stream<Arguments> cells() {
        return Arrays.stream(Right.values())
                .flatMap(right -> Arrays.stream(Role.values()).map(role -> Arguments.of(right, role)));
    }

    @ParameterizedTest
    @MethodSource("cells")
    void everyCellOfTheTable(Right right, Role role) {
        Visitor visitor = role == Role.LEAD ? lead : Visitor.signedIn(pond, work.member(role));
        List<Card> before = palette();
        List<HttpResponse<String>> answers = exercise(right, visitor);
        if (right.isFor(role)) {
            assertThat(answers)
                    .allSatisfy(answer ->
                            assertThat(answer.statusCode()).as(answer.body()).isLessThan(400));
        } else {
            assertThat(answers).allSatisfy(answer -> {
                assertThat(answer.statusCode()).isEqualTo(403);
                assertThat(answer.body()).containsAnyOf("A guest only looks", "Only the lead " + right.words());
            });
            assertThat(palette()).isEqualTo(before);
        }
    }

    /** All ways to do it. */
    private List<HttpResponse<String>> exercise(Right right, Visitor visitor) {
        return switch (right) {
            case LOOK ->
                List.of(
                        visitor.get(at),
                        visitor.get(work.address(sheet) + "/desk"),
                        visitor.get(at + "/cards"),
                        visitor.get(at + "/members"));
            case WORK_ON_SHEETS -> List.of(visitor.post(work.address(sheet) + "/changes", lay()));
            case ARRANGE ->
                List.of(
                        visitor.submit(at + "/scenes/" + work.scene() + "/rename", "title", "Dusk"),
                        visitor.submit(at + "/sheets/" + sheet.id() + "/remove"),
                        visitor.submit(at + "/sheets/" + sheet.id() + "/bring-back"));
            case STAGE ->
                List.of(visitor.submit(
                        at + "/lights", "name", "Dusk", "scene", work.scene().toString()));
            case CHANGE_OPEN_CARDS -> List.of(edit(visitor, "{'kind':'NAME_CARD','card':'OPEN_CARD','name':'Jetty'}"));
            case PROPOSE -> List.of(propose(visitor));
            case FINISH_SHEETS ->
                List.of(
                        visitor.submit(at + "/sheets/" + sheet.id() + "/state", "state", "DONE"),
                        visitor.submit(at + "/sheets/" + done() + "/state", "state", "IN_WORK"));
            case ASSIGN_SHEETS ->
                List.of(visitor.submit(at + "/sheets/" + sheet.id() + "/give", "to", other.toString()));
            case REMARK ->
                List.of(visitor.submit(
                        at + "/remarks", "swatch", work.coat().id().toString(), "body", "Warmer, as on the cover"));
            case CHANGE_LOCKED_CARDS ->
                List.of(
                        edit(visitor, "{'kind':'CHANGE','swatch':'COAT','colour':'#804020'}"),
                        edit(visitor, "{'kind':'CHANGE','swatch':'OPEN','colour':'#804020'}"),
                        edit(visitor, "{'kind':'REMOVE','swatch':'OPEN','instead':'none'}"),
                        edit(
                                visitor,
                                "{'kind':'ADD_CARD','name':'Sail'}",
                                "{'kind':'LOCK_CARD','card':'CARD','locked':false}"),
                        edit(visitor, "{'kind':'LOCK_CARD','card':'OPEN_CARD','locked':true}"),
                        visitor.submit(
                                at + "/cards/" + card + "/model-sheet",
                                "sheet",
                                sheet.id().toString()),
                        visitor.submit(at + "/cards/" + lockedAgain() + "/wardrobes", "name", "Winter"));
            case REPLACE_LOCKED_SWATCHES ->
                List.of(
                        visitor.post(
                                work.address(sheet) + "/replace",
                                named("{'swatch':'COAT','by':'OPEN','scope':'PROJECT'}")),
                        visitor.submit(
                                at + "/find/replace",
                                "swatches",
                                work.coat().id().toString(),
                                "by",
                                openSwatch.toString()));
            case ANSWER_PROPOSALS ->
                List.of(
                        visitor.submit(at + "/proposals/" + proposed() + "/take"),
                        visitor.submit(at + "/proposals/" + proposed() + "/decline", "answer", "no"));
            case SIGN_CONSISTENCY -> List.of(visitor.submit(at + "/compare/consistency/sign"));
            case CHOOSE_PRINT_CONDITION -> List.of(visitor.upload(at + "/print-condition", "condition.icc", profile()));
            case REMOVE_SCENES ->
                List.of(
                        visitor.submit(at + "/scenes/" + work.scene() + "/remove"),
                        visitor.submit(at + "/scenes/" + work.scene() + "/bring-back"));
            case KEEP_SHELF -> {
                String shelf = "/shelf/" + work.project();
                yield List.of(
                        visitor.submit(shelf + "/rename", "title", "The Tide Post"),
                        visitor.submit(shelf + "/put-away"),
                        visitor.submit(shelf + "/take-out"),
                        visitor.submit(shelf + "/remove"),
                        visitor.submit(shelf + "/bring-back"));
            }
            case MANAGE_MEMBERS ->
                List.of(
                        visitor.submit(at + "/members/invite", "role", "GUEST"),
                        visitor.submit(at + "/members/" + other + "/role", "role", "LEAD"),
                        visitor.submit(at + "/members/" + other + "/role", "role", "GUEST"),
                        visitor.submit(at + "/members/" + other + "/remove"));
        };
    }

    @Test
    void aChangeFromBeforeTheLockIsNotTakenBackPastIt() {
        edit(lead, "{'kind':'LOCK_CARD','card':'CARD','locked':false}");
        Visitor colourist = Visitor.signedIn(pond, work.colourist());
        edit(colourist, "{'kind':'CHANGE','swatch':'OPEN','colour':'#804020'}");
        edit(lead, "{'kind':'LOCK_CARD','card':'CARD','locked':true}");
        HttpResponse<String> undo = colourist.post(at + "/palette/undo", "{}");
        assertThat(undo.statusCode()).isEqualTo(400);
        assertThat(undo.body()).contains("so it stays as it is");
        assertThat(pond.bean(Palettes.class)
                        .of(work.project())
                        .colourOf(openSwatch)
                        .orElseThrow()
                        .hex())
                .isEqualTo("#804020");
    }

    @Test
    void theTableThatIsPublishedIsTheOneThatHolds() throws IOException {
        String published = Files.readString(Path.of("..", "docs", "security.md"));
        String held = Arrays.stream(Right.values())
                .map(right -> "| " + right.words() + " | "
                        + Arrays.stream(Role.values())
                                .map(role -> right.isFor(role) ? "yes" : "no")
                                .collect(Collectors.joining(" | "))
                        + " |")
                .collect(Collectors.joining("\n"));
        assertThat(published).contains(held);
    }

    /** A sheet that its lead says is done. */
    private UUID done() {
        lead.submit(at + "/sheets/" + sheet.id() + "/state", "state", "DONE");
        return sheet.id();
    }

    private UUID lockedAgain() {
        edit(lead, "{'kind':'LOCK_CARD','card':'CARD','locked':true}");
        return card;
    }

    /** A proposal that nobody has answered. */
    private UUID proposed() {
        propose(lead);
        return pond.bean(JdbcClient.class)
                .sql("select id from proposal where project_id = ? order by made_at desc limit 1")
                .param(work.project())
                .query(UUID.class)
                .single();
    }

    private HttpResponse<String> propose(Visitor visitor) {
        return visitor.post(
                at + "/palette/proposals",
                named("{'reason':'It is lost against the sea','edits':["
                        + "{'kind':'CHANGE','swatch':'COAT','colour':'#804020'}]}"));
    }

    private HttpResponse<String> edit(Visitor visitor, String... edits) {
        return visitor.post(at + "/palette/changes", named("[" + String.join(",", edits) + "]"));
    }

    private String lay() {
        return named("[{'id':'" + UUID.randomUUID() + "','kind':'lay','layer':'"
                + sheet.layer().id() + "','fills':{'OPEN':[2]}}]");
    }

    private String named(String json) {
        return json.replace('\'', '"')
                .replace("OPEN_CARD", openCard.toString())
                .replace("OPEN", openSwatch.toString())
                .replace("COAT", work.coat().id().toString())
                .replace("\"CARD\"", "\"" + card + "\"");
    }

    private byte[] profile() {
        try {
            return Files.readAllBytes(Path.of(pond.bean(Environment.class).getRequiredProperty("pond.print.profile")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private List<Card> palette() {
        return pond.bean(Palettes.class).of(work.project()).cards();
    }
}
