package stillpond.app.carry;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Browser;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Swatch;

/** A scene is carried from the sheets that are laid, what is in doubt is answered by keys, a foreign colour is found, accepted, and the scene signed. */
class CarryBookJourneyTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Browser browser = new Browser();
    private final List<Sheet> scene = new ArrayList<>();
    private final UUID loose = UUID.randomUUID();
    private Page page;

    /** Two sheets are laid, and do not agree about the belt; two are not. */
    @BeforeEach
    void layTwoOfFour() {
        Swatch tried = new Swatch(loose, "Tried", Srgb.ofHex("#aa3377"));
        pond.bean(Palettes.class)
                .add(work.project(), new Card(UUID.randomUUID(), "Loose", "", Card.Kind.LOOSE, false, List.of(tried)));
        for (int step = 0; step < 4; step++) {
            scene.add(work.bringToDesk(Drawings.person("translate(" + 40 * step + " 0)")));
        }
        for (int sheet = 0; sheet < 2; sheet++) {
            lay(sheet, work.coat().id(), 185, 180);
            lay(sheet, work.coat().id(), 185, 260);
            lay(sheet, work.scarf().id(), 185, 100);
            lay(sheet, sheet == 0 ? work.scarf().id() : work.coat().id(), 185, 221);
        }
        page = browser.signIn(pond, work.person());
    }

    private void lay(int sheet, UUID swatch, int x, int y) {
        work.lay(scene.get(sheet), swatch, 5 * (x + 40 * sheet), 5 * y);
    }

    @AfterEach
    void close() {
        browser.close();
    }

    private void open(String way) {
        page.navigate(pond.url() + "/projects/" + work.project() + way);
    }

    private Locator tile(String name, int sheet) {
        return page.locator("[name=" + name + "][value='" + scene.get(sheet).id() + "']");
    }

    @Test
    void aSceneIsCarriedAnsweredByKeysAndSigned() {
        open("/carry");
        tile("source", 0).check();
        tile("source", 1).check();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("none").setExact(true))
                .click();
        tile("target", 2).check();
        tile("target", 3).check();
        page.getByText("Begin the run").click();
        assertThat(page.locator("#run")).containsText("2 of 2 sheets");
        page.getByText("Answer 2 in doubt").click();

        assertThat(page.locator("legend").first()).hasText("What are these 2?");
        assertThat(page.locator("[name=fill]")).hasCount(2);
        assertThat(page.locator("[name=fill]").first()).isChecked();
        page.keyboard().press("l");
        assertThat(page.locator("[name=fill]").nth(1)).isChecked();
        page.keyboard().press("d");
        assertThat(page.locator("#next")).containsText("on 2 regions.");
        assertThat(page.locator("#next")).containsText("Nothing is in doubt any more.");
        page.keyboard().press("Control+z");
        assertThat(page.locator("legend").first()).hasText("What are these 2?");
        page.keyboard().press("d");
        assertThat(page.locator("#next")).containsText("Nothing is in doubt any more.");

        lay(3, loose, 185, 260);
        open("/compare");
        page.getByText("To sign").click();
        assertThat(page.locator("#out-title")).hasText("One thing stands out");
        page.getByText("Sign it").click();
        assertThat(page.getByRole(AriaRole.STATUS).first()).containsText("One thing stands out still");
        page.getByPlaceholder("meant, because").fill("her other coat");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Accept").setExact(true))
                .click();
        assertThat(page.locator("#out-title")).hasText("Nothing is open");
        page.getByText("Sign it").click();
        assertThat(page.getByRole(AriaRole.STATUS).first()).containsText("nothing has changed since");
        assertThat(browser.complaints()).isEmpty();
    }
}
