package stillpond.app.passkey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.support.Browser;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;

/** With a device that Chromium plays; it is given passkeys for a name only, not for a bare address. */
class PasskeyJourneyTest {

    private final TestPond pond = TestPond.shared();
    private final Browser browser = new Browser();
    private final String site = pond.url().replace("127.0.0.1", "localhost");
    private final String name = "k" + UUID.randomUUID();

    @BeforeEach
    void openAccount() {
        pond.openAccount(name);
    }

    @AfterEach
    void close() {
        browser.close();
    }

    @Test
    void aPasskeyLetsItsPersonInToWhereTheyWantedToGoUntilItIsRemoved() {
        Page page = browser.newPage();
        page.setDefaultTimeout(20_000);
        plugIn(page);
        page.navigate(site + "/sign-in");
        page.fill("[name=username]", name);
        page.fill("[name=password]", TestPond.PASSWORD);
        page.keyboard().press("Enter");
        page.waitForURL(site + "/");

        page.navigate(site + "/account");
        add(page, "not the password");
        assertThat(page.locator("#passkeys [role=alert]")).containsText("not your present password");
        add(page, TestPond.PASSWORD);
        assertThat(page.getByLabel("Your passkeys")).containsText("Studio key");

        page.context().clearCookies();
        page.navigate(site + "/search");
        page.getByText("Use a passkey").click();
        page.waitForURL(address -> address.contains("/search"));
        assertThat(page.locator("#to-search")).isVisible();

        page.navigate(site + "/account");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Remove Studio key"))
                .click();
        assertThat(page.locator("#passkeys")).containsText("None.");
        page.context().clearCookies();
        page.navigate(site + "/sign-in");
        page.getByText("Use a passkey").click();
        assertThat(page.locator(".refusal")).containsText("This passkey is of nobody here");
    }

    private static void add(Page page, String password) {
        page.locator("#passkeys [name=label]").fill("Studio key");
        page.locator("#passkeys [name=password]").fill(password);
        page.getByText("Add a passkey").click();
    }

    private static void plugIn(Page page) {
        CDPSession devices = page.context().newCDPSession(page);
        devices.send("WebAuthn.enable");
        JsonObject options = new JsonObject();
        options.addProperty("protocol", "ctap2");
        options.addProperty("transport", "internal");
        for (String can :
                new String[] {"hasResidentKey", "hasUserVerification", "isUserVerified", "automaticPresenceSimulation"
                }) {
            options.addProperty(can, true);
        }
        JsonObject device = new JsonObject();
        device.add("options", options);
        devices.send("WebAuthn.addVirtualAuthenticator", device);
    }

    @Test
    void whatIsNoPasskeyLetsNobodyIn() {
        Visitor stranger = Visitor.anonymous(pond);
        stranger.readToken("/sign-in");
        assertThat(stranger.post("/sign-in/passkey/options", "{}").body()).contains("passkeys to names only");
        assertThat(stranger.post("/sign-in/passkey", "{}").body()).contains("took too long");
        assertThat(stranger.get("/account").statusCode()).isEqualTo(302);
        Visitor person = Visitor.signedIn(pond, name);
        assertThat(person.post("/account/passkeys?label=Key", "{\"id\":\"AA\"}").body())
                .contains("Nothing was added");
        assertThat(person.post("/account/passkeys/options", "{}").body()).contains("not your present password");
        assertThat(person.get("/account/passkeys").body()).contains("None.", "to names only");
    }
}
