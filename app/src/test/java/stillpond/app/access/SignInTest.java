package stillpond.app.access;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Browser;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

/** Signing in and out, and what is kept of it. */
class SignInTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);

    @Test
    void guessingPasswordsIsSlowedDown() {
        Visitor guesser = Visitor.anonymous(pond);
        guesser.readToken("/sign-in");
        List<Integer> answers = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            answers.add(tryPassword(guesser, "guess " + i).statusCode());
        }
        assertThat(answers).containsExactly(302, 302, 302, 302, 302, 429);
        HttpResponse<String> right = tryPassword(guesser, TestPond.PASSWORD);
        assertThat(right.statusCode()).as("not even looked at").isEqualTo(429);
        assertThat(right.headers().firstValue("Retry-After")).isPresent();
        assertThat(right.body()).contains("Too many tries", "name=\"password\"");
    }

    private HttpResponse<String> tryPassword(Visitor visitor, String password) {
        return visitor.submit("/sign-in", "username", work.person(), "password", password);
    }

    @Test
    void whoeverOnlyLooksLeavesNoSession() {
        long before = pond.count("spring_session");
        Visitor visitor = Visitor.anonymous(pond);
        visitor.get("/sign-in");
        visitor.get("/projects/" + work.project());
        assertThat(pond.count("spring_session")).isEqualTo(before);
    }

    @Test
    void noSessionHoldsThePasswordOrItsHash() {
        Visitor.signedIn(pond, work.person());
        JdbcClient jdbc = pond.bean(JdbcClient.class);
        String hash = jdbc.sql("select password_hash from account where id = ?")
                .param(work.account())
                .query(String.class)
                .single();
        List<byte[]> kept =
                jdbc.sql("""
                        select a.attribute_bytes from spring_session_attributes a
                        join spring_session s on s.primary_id = a.session_primary_id
                        where s.principal_name = ?""").param(work.person()).query(byte[].class).list();
        assertThat(kept).isNotEmpty();
        assertThat(kept)
                .extracting(bytes -> new String(bytes, StandardCharsets.ISO_8859_1))
                .noneMatch(text -> text.contains(hash) || text.contains(TestPond.PASSWORD));
    }

    @Test
    void signingOutEndsTheSession() {
        Visitor visitor = Visitor.signedIn(pond, work.person());
        assertThat(visitor.get("/").statusCode()).isEqualTo(200);
        visitor.submit("/sign-out");
        assertThat(visitor.get("/").statusCode()).isEqualTo(302);
    }

    /** With a wrong password in between, which leaves the name where it was. */
    @Test
    void aLinkToAPlaceSurvivesSigningIn() {
        Sheet sheet = work.bringToDesk(Drawings.threeBoxes());
        try (Browser browser = new Browser()) {
            Page page = browser.newPage();
            page.navigate(pond.url() + work.address(sheet) + "#cell=1");
            page.locator("[name=username]").fill(work.person());
            page.locator("[name=password]").fill("not it");
            page.getByText("Sign in", new Page.GetByTextOptions().setExact(true))
                    .click();
            PlaywrightAssertions.assertThat(page.locator("[role=alert]")).isVisible();
            PlaywrightAssertions.assertThat(page.locator("[name=username]")).hasValue(work.person());
            PlaywrightAssertions.assertThat(page.locator("[name=password]")).isFocused();
            page.locator("[name=password]").fill(TestPond.PASSWORD);
            page.keyboard().press("Enter");
            page.waitForURL(address -> address.contains("/sheets/"));
            assertThat(page.url()).endsWith(work.address(sheet) + "#cell=1");
        }
    }
}
