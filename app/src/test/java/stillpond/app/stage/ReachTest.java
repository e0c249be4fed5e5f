package stillpond.app.stage;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Wardrobe;

class ReachTest {

    private static final String BLUE = "#3a5a9c";

    private final TestPond pond = TestPond.shared();
    private Work work;
    private Visitor visitor;
    private Sheet first;
    private Sheet second;
    private String at;

    @BeforeEach
    void bring() {
        work = Work.begin(pond);
        visitor = Visitor.signedIn(pond, work.person());
        first = work.bringSmall(Drawings.threeBoxes());
        second = work.bringSmall(Drawings.threeBoxesLower());
        for (Sheet sheet : new Sheet[] {first, second}) {
            work.lay(sheet, work.coat().id(), 50, 100);
        }
        at = "/projects/" + work.project() + "/reach";
    }

    private int shown(Sheet sheet) {
        return visitor.picture(work.address(sheet) + "/export/composed.png").getRGB(50, 100) & 0xffffff;
    }

    private HttpResponse<String> colour(Visitor who, String sheet) {
        return who.submit(
                at, "change", "colour " + work.coat().id(), "colour", BLUE, "name", "Blue coat", "sheet", sheet);
    }

    @Test
    void anotherColourReachesTheTickedSheetOnlyAndIsOneStepToTakeBack() {
        assertThat(visitor.ask(at, "change", "colour " + work.coat().id(), "colour", BLUE)
                        .body())
                .as("pictures that show it")
                .contains("try=" + work.coat().id() + "%233a5a9c", "1 region");
        colour(visitor, second.id().toString());

        assertThat(shown(first)).isEqualTo(0x2f6f5e);
        assertThat(shown(second)).isEqualTo(0x3a5a9c);
        assertThat(visitor.get("/projects/" + work.project() + "/compare").body())
                .contains("from here: Juniper: Blue coat");

        visitor.submit(at + "/take-back");
        assertThat(shown(second)).isEqualTo(0x2f6f5e);
    }

    @Test
    void aWardrobeIsWornFromASheetOn() {
        UUID card = pond.bean(Palettes.class)
                .of(work.project())
                .cardOf(work.coat().id())
                .orElseThrow()
                .id();
        Wardrobe winter = new Wardrobe(
                UUID.randomUUID(), card, "Winter", Map.of(work.coat().id(), Srgb.ofHex("#d9d4c8")));
        pond.bean(Stagings.class).begin(work.project(), staging -> staging.with(winter));
        String change = "wear " + card + " " + winter.id();
        visitor.submit(at, "change", change, "sheet", second.id().toString());
        assertThat(shown(first)).isEqualTo(0x2f6f5e);
        assertThat(shown(second)).isEqualTo(0xd9d4c8);
    }

    @Test
    void whatSaysNothingIsRefusedAndChangesNothing() {
        assertThat(colour(visitor, UUID.randomUUID().toString()).body()).contains("Tick the sheets that it reaches");
        assertThat(visitor.submit(at, "change", "", "sheet", first.id().toString())
                        .body())
                .contains("Choose first what is to be another");
        assertThat(visitor.ask(at, "change", "colour " + UUID.randomUUID()).statusCode())
                .isBetween(400, 499);
        assertThat(visitor.submit(
                                at,
                                "change",
                                "light " + UUID.randomUUID(),
                                "sheet",
                                first.id().toString())
                        .statusCode())
                .isBetween(400, 499);
        assertThat(shown(first)).isEqualTo(0x2f6f5e);
    }

    @Test
    void aLockedCardGetsNoOtherColourFromAColourist() {
        visitor.post(
                "/projects/" + work.project() + "/palette/changes",
                "[{\"kind\":\"LOCK_CARD\",\"locked\":true,\"card\":\""
                        + pond.bean(Palettes.class)
                                .of(work.project())
                                .cardOf(work.coat().id())
                                .orElseThrow()
                                .id() + "\"}]");
        Visitor colourist = Visitor.signedIn(pond, work.colourist());
        assertThat(colour(colourist, second.id().toString()).statusCode()).isEqualTo(403);
        assertThat(shown(second)).isEqualTo(0x2f6f5e);
    }
}
