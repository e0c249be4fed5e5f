package stillpond.app.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Address;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

class MembershipTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Sheet sheet = work.bring(Drawings.threeBoxes());

    /** Every address below a project, also those that will be added later. */
    @Test
    void toAStrangerNothingInAProjectExists() {
        Work stranger = Work.begin(pond);
        Visitor visitor = Visitor.signedIn(pond, stranger.person());
        List<Address> inProjects = Address.inProjects(pond);
        assertThat(inProjects).hasSizeGreaterThan(50);
        for (Address address : inProjects) {
            String path = named(address.path());
            int status = address.isPost()
                    ? visitor.post(path, "[]").statusCode()
                    : visitor.get(path).statusCode();
            assertThat(status).as(path).isEqualTo(404);
        }
    }

    @Test
    void aMemberOfOneProjectCannotReachASheetThroughAnother() {
        Work other = Work.begin(pond);
        Visitor visitor = Visitor.signedIn(pond, other.person());
        String smuggled = "/projects/" + other.project() + "/sheets/" + sheet.id();
        assertThat(visitor.get(smuggled + "/desk").statusCode()).isEqualTo(404);
        assertThat(visitor.get(smuggled + "/small.png").statusCode()).isEqualTo(404);
        assertThat(visitor.post(smuggled + "/changes", "[]").statusCode()).isEqualTo(404);
        Sheet own = other.bring(Drawings.svg("<rect x='9' y='9' width='90' height='90'/>"));
        String plane = other.address(own) + "/planes/" + sheet.layer().ink();
        assertThat(visitor.get(plane).statusCode()).isEqualTo(404);
    }

    @Test
    void aMemberGetsIn() {
        Visitor visitor = Visitor.signedIn(pond, work.person());
        assertThat(visitor.get(work.address(sheet) + "/desk").statusCode()).isEqualTo(200);
    }

    @Test
    void nobodySignedInIsSentToSignInAndScriptsAreTold() {
        Visitor visitor = Visitor.anonymous(pond);
        assertThat(visitor.get(work.address(sheet))
                        .headers()
                        .firstValue("Location")
                        .orElse(""))
                .endsWith("/sign-in");
        assertThat(visitor.post(work.address(sheet) + "/changes", "[]").statusCode())
                .isIn(401, 403);
        assertThat(visitor.get("/").statusCode()).isEqualTo(302);
    }

    @Test
    void aFileOfAStrangerIsNotEvenTakenIn() {
        String path = "/projects/" + work.project() + "/scenes/" + work.scene() + "/sheets";
        assertThat(Visitor.anonymous(pond)
                        .upload(path, "boxes.svg", Drawings.threeBoxes())
                        .statusCode())
                .isEqualTo(401);
    }

    @Test
    void theDemosWayInIsClosedWithoutTheDemo() {
        Visitor visitor = Visitor.signedIn(pond, work.person());
        assertThat(visitor.post("/demo/sign-in?who=lead", "").statusCode()).isEqualTo(404);
    }

    @Test
    void everyAnswerCarriesTheStrictPolicy() {
        String policy = Visitor.anonymous(pond)
                .get("/sign-in")
                .headers()
                .firstValue("Content-Security-Policy")
                .orElse("");
        assertThat(policy).contains("default-src 'none'", "script-src 'self'").doesNotContain("unsafe");
    }

    private String named(String path) {
        return path.replace("{project}", work.project().toString())
                .replace("{sheet}", sheet.id().toString())
                .replace("{scene}", work.scene().toString())
                .replaceAll("\\{\\w+}", UUID.randomUUID().toString());
    }
}
