package stillpond.app.team;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;
import stillpond.app.project.Projects;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetState;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;

/** From an empty installation to a sheet that two people on two nodes have done together. */
@ExtendWith(OutputCaptureExtension.class)
class TeamJourneyTest {

    private static final Pattern FIRST = Pattern.compile("opened, within a day, at (/join/\\S+)");
    private static final Pattern LINK = Pattern.compile("(/join/[A-Za-z0-9_-]{43})\"");
    private static final Pattern PROJECT = Pattern.compile("/projects/([0-9a-f-]{36})");
    private static final Pattern SWATCH = Pattern.compile("option value=\"([0-9a-f-]{36})\"");
    private static final Pattern LEAVING = Pattern.compile("members/([0-9a-f-]{36})/hand-over");
    private static final Pattern REMARK = Pattern.compile("remarks/([0-9a-f-]{36})/DONE");

    @Test
    void aTeamBeginsWithACodeInTheLog(CapturedOutput log) {
        try (TestPond pond = TestPond.start();
                TestPond second = pond.anotherNode()) {
            String first = found(FIRST, log.getOut());
            Visitor lead = join(pond, first, "teal", "Teal");
            assertThat(Visitor.anonymous(pond).get(first).body()).contains("was used already");

            HttpResponse<String> started = lead.submit("/projects", "title", "The Tide Post");
            UUID project = UUID.fromString(
                    found(PROJECT, started.headers().firstValue("HX-Redirect").orElseThrow()));
            String at = "/projects/" + project;
            lead.submit(at + "/members/invite", "role", "COLOURIST");
            Visitor wren = join(second, found(LINK, lead.get(at + "/members").body()), "wren", "Wren");

            Sheet sheet = bring(pond, lead, project);
            String desk = at + "/sheets/" + sheet.id();
            String swatch = found(SWATCH, lead.get(at + "/remarks").body());
            fill(lead, desk, sheet, swatch, 1);
            fill(wren, desk, sheet, swatch, 2);
            lead.submit(desk + "/remarks", "x", "50", "y", "50", "body", "The last box, too");
            assertThat(wren.get(at + "/remarks").body()).contains("The last box, too");
            fill(wren, desk, sheet, swatch, 3);
            wren.submit(
                    at + "/remarks/" + found(REMARK, wren.get(at + "/remarks").body()) + "/DONE");
            lead.submit(desk + "/state", "state", "DONE");

            Sheets sheets = second.bean(Sheets.class);
            Sheet done = sheets.get(project, sheet.id());
            assertThat(done.state()).isEqualTo(SheetState.DONE);
            assertThat(sheets.fills(done.layer()).filled()).hasSize(3);
            assertThat(lead.get(at + "/story?each=true").body())
                    .contains("Wren joined as a colourist", "Teal", "Done: The last box, too");

            String team = lead.get(at + "/members").body();
            lead.submit(at + "/members/" + found(LEAVING, team) + "/remove");
            assertThat(wren.get(at).statusCode()).isEqualTo(404);
            assertThat(lead.get(at + "/story?each=true").body()).contains("Wren", "Removed Wren");
            lead.submit("/shelf/" + project + "/remove");
            assertThat(lead.get(at).statusCode()).isEqualTo(404);
        }
    }

    private static Visitor join(TestPond pond, String link, String name, String shown) {
        Visitor visitor = Visitor.anonymous(pond);
        visitor.readToken(link);
        HttpResponse<String> joined =
                visitor.submit(link + "/account", "name", name, "shown", shown, "password", "four quiet words here");
        assertThat(joined.statusCode()).as(joined.body()).isEqualTo(302);
        visitor.readToken("/");
        return visitor;
    }

    private static Sheet bring(TestPond pond, Visitor lead, UUID project) {
        UUID scene = pond.bean(Projects.class).addScene(project, "Low tide").id();
        lead.upload("/projects/" + project + "/scenes/" + scene + "/sheets", "boxes.svg", Drawings.threeBoxes());
        return pond.bean(Sheets.class).inProject(project).get(0);
    }

    private static void fill(Visitor visitor, String desk, Sheet sheet, String swatch, int cell) {
        HttpResponse<String> answer = visitor.post(
                desk + "/changes",
                "[{\"id\":\"" + UUID.randomUUID() + "\",\"kind\":\"lay\",\"layer\":\""
                        + sheet.layer().id() + "\",\"fills\":{\"" + swatch + "\":[" + cell + "]}}]");
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    }

    private static String found(Pattern pattern, String text) {
        Matcher matcher = pattern.matcher(text);
        assertThat(matcher.find()).as(pattern + " in " + text).isTrue();
        return matcher.group(1);
    }
}
