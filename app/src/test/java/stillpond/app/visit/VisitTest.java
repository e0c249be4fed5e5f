package stillpond.app.visit;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.net.http.HttpResponse;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.project.Projects;
import stillpond.app.project.Role;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetOrder;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

class VisitTest {

    private static final Pattern LINK = Pattern.compile("(/visit/[A-Za-z0-9_-]{43})\"");

    private static final int COAT = 0x2f6f5e;

    private final TestPond pond = TestPond.shared();
    private final Visitor stranger = Visitor.anonymous(pond);
    private Work work;
    private Sheet sheet;
    private Visitor lead;
    private String at;

    @BeforeEach
    void begin() {
        work = Work.begin(pond);
        sheet = work.bringSmall(Drawings.threeBoxes());
        lead = Visitor.signedIn(pond, work.person());
        at = "/projects/" + work.project() + "/members";
    }

    private String link(String scene) {
        lead.submit(at + "/visits", "scene", scene, "days", "7");
        Matcher link = LINK.matcher(lead.get(at).body());
        assertThat(link.find()).isTrue();
        return link.group(1);
    }

    private JdbcClient database() {
        return pond.bean(JdbcClient.class);
    }

    @Test
    void whoeverHasTheLinkSeesTheSheetsAsTheyAreAndNothingElse() {
        work.lay(sheet, work.coat().id(), sheet.widthPx() / 2, sheet.heightPx() / 2);
        String link = link("");

        HttpResponse<String> page = stranger.get(link);
        assertThat(page.body()).contains(sheet.title(), "the link ends on");
        assertThat(page.headers().firstValue("X-Robots-Tag"))
                .hasValueSatisfying(value -> assertThat(value).contains("noindex"));
        assertThat(stranger.get(link + "/sheets/" + sheet.id()).body()).contains(sheet.title());
        for (String picture : new String[] {"small.png", "picture.png"}) {
            BufferedImage shown = stranger.picture(link + "/sheets/" + sheet.id() + "/" + picture);
            assertThat(shown.getRGB(shown.getWidth() / 2, shown.getHeight() / 2) & 0xffffff)
                    .as(picture)
                    .isEqualTo(COAT);
        }
        assertThat(stranger.get("/projects/" + work.project()).headers().firstValue("Location"))
                .hasValueSatisfying(way -> assertThat(way).endsWith("/sign-in"));
    }

    @Test
    void ofOneSceneItShowsThatSceneAlone() {
        UUID other = pond.bean(Projects.class)
                .addScene(work.project(), "The other shore")
                .id();
        String link = link(other.toString());
        assertThat(stranger.get(link).body()).contains("No sheet is here yet").doesNotContain(sheet.title());
        assertThat(stranger.get(link + "/sheets/" + sheet.id() + "/picture.png").statusCode())
                .isEqualTo(404);
        pond.bean(SheetOrder.class).moveTo(work.project(), sheet.id(), other);
        assertThat(stranger.get(link).body()).contains(sheet.title(), "The other shore");
    }

    @Test
    void endedWithdrawnAndBrokenLinksSayWhichTheyAreAndShowNothing() {
        String ended = link("");
        database()
                .sql("update visit_link set ends_at = now() - interval '1 minute' where project_id = ?")
                .param(work.project())
                .update();
        String withdrawn = link("");
        UUID id = database()
                .sql("select id from visit_link where project_id = ? and ends_at > now()")
                .param(work.project())
                .query(UUID.class)
                .single();
        lead.submit(at + "/visits/" + id + "/withdraw");
        assertThat(lead.get(at).body()).contains("The link leads nowhere now");

        assertThat(stranger.get(ended).body()).contains("has ended").doesNotContain(sheet.title());
        assertThat(stranger.get(ended + "/sheets/" + sheet.id() + "/picture.png")
                        .statusCode())
                .isEqualTo(410);
        assertThat(stranger.get(withdrawn).body()).contains("was withdrawn");
        assertThat(stranger.get("/visit/nothing").statusCode()).isEqualTo(410);
        String removed = link("");
        pond.bean(Projects.class).remove(work.project(), work.account());
        assertThat(stranger.get(removed).body()).contains("not there any more").doesNotContain(sheet.title());
    }

    @Test
    void onlyALeadMakesOne() {
        Visitor colourist = Visitor.signedIn(pond, work.member(Role.COLOURIST));
        assertThat(colourist.submit(at + "/visits", "scene", "", "days", "7").statusCode())
                .isEqualTo(403);
        assertThat(lead.submit(at + "/visits", "scene", "", "days", "4000").statusCode())
                .isEqualTo(302);
        assertThat(lead.get(at).body()).contains("ends after 1, 7 or 30 days");
        assertThat(database()
                        .sql("select count(*) from visit_link where project_id = ?")
                        .param(work.project())
                        .query(Long.class)
                        .single())
                .isZero();
    }
}
