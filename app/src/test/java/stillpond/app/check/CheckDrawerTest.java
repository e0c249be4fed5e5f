package stillpond.app.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Swatch;

class CheckDrawerTest {

    private final TestPond pond = TestPond.shared();
    private Work work;
    private Visitor visitor;
    private Sheet sheet;

    @BeforeEach
    void bring() {
        work = Work.begin(pond);
        visitor = Visitor.signedIn(pond, work.person());
        sheet = work.bringSmall(Drawings.threeBoxes());
    }

    private String check(String... parameters) {
        return visitor.get(work.address(sheet) + "/check?" + String.join("&", parameters))
                .body();
    }

    private HttpResponse<String> accept(String key, boolean isMeant) {
        return visitor.submit(work.address(sheet) + "/check/accepted", "key", key, "isMeant", String.valueOf(isMeant));
    }

    @Test
    void whatIsMissedIsSaidWithAnActForTheDeskAndCountedAsLeftAndNotAsSomethingToCheck() {
        String found = check();
        assertThat(found).contains("No fill yet").contains("id=\"check-count\" hx-swap-oob=\"true\">0<");
        assertThat(rows(found)).isEqualTo(work.regions(sheet));
        assertThat(visitor.get(work.address(sheet) + "/check/count").body()).isEmpty();
    }

    @Test
    void theDeskAndSmallPicturesCountTheSame() {
        Swatch twin = new Swatch(UUID.randomUUID(), "Moss", Srgb.ofHex("#30705f"));
        Palettes palettes = pond.bean(Palettes.class);
        UUID card = palettes.of(work.project())
                .cardOf(work.coat().id())
                .orElseThrow()
                .id();
        palettes.change(work.project(), work.account(), List.of(new PaletteEdit.Add(card, twin, 2)));
        work.lay(sheet, work.coat().id(), 50, 100);
        work.lay(sheet, twin.id(), 150, 100);
        assertThat(check()).contains("id=\"check-count\" hx-swap-oob=\"true\">1<");
        assertThat(visitor.get(work.address(sheet) + "/check/count").body()).isEqualTo("1 to check");
    }

    @Test
    void whatIsMeantIsNotCountedAndCanBeShownAndTakenBack() {
        String key = check().replaceAll("(?s).*?name=\"key\" value=\"([^\"]+)\".*", "$1");
        int all = rows(check());

        String after = accept(key, true).body();
        assertThat(rows(after)).isEqualTo(all - 1);
        assertThat(after).contains("Show 1 accepted").doesNotContain(key);
        String shown = check("accepted=true");
        assertThat(rows(shown)).isEqualTo(all);
        assertThat(shown).contains("Not meant after all", "Hide 1 accepted");

        assertThat(rows(accept(key, false).body())).isEqualTo(all);
    }

    @Test
    void aColourOnNoCardSaysWhichIsCloseAndWearsItEverywhereAtOnce() {
        UUID loose = UUID.randomUUID();
        visitor.post(
                "/projects/" + work.project() + "/palette/changes",
                "[{\"kind\":\"ADD\",\"swatch\":\"" + loose + "\",\"name\":\"Try\",\"colour\":\"#2e6e5d\"}]");
        work.lay(sheet, loose, 50, 100);
        assertThat(check())
                .contains("A colour on no card", "is a loose colour, close to Coat", "Wear Coat")
                .contains(
                        "&quot;kind&quot;:&quot;REPLACE&quot;",
                        loose.toString(),
                        work.coat().id().toString());
    }

    @Test
    void aKeyThatIsTooLongIsRefusedAndNothingIsAccepted() {
        assertThat(accept("k".repeat(301), true).statusCode()).isEqualTo(400);
        assertThat(check()).doesNotContain("accepted<");
    }

    @Test
    void theSheetOfAnotherProjectIsNotThere() {
        Work other = Work.begin(pond);
        String strange = "/projects/" + other.project() + "/sheets/" + sheet.id() + "/check";
        assertThat(Visitor.signedIn(pond, other.person()).get(strange).statusCode())
                .isEqualTo(404);
    }

    private static int rows(String body) {
        return body.split("class=\"place-row\"").length - 1;
    }
}
