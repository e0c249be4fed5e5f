package stillpond.app.palette;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.app.history.History;
import stillpond.app.history.Steps;
import stillpond.app.project.Projects;
import stillpond.app.project.Role;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Light;
import stillpond.core.palette.Paint;
import stillpond.core.palette.PaletteEdit;

class StagingsTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Stagings stagings = pond.bean(Stagings.class);
    private final Palettes palettes = pond.bean(Palettes.class);
    private final Steps steps = pond.bean(Steps.class);
    private final UUID dusk = UUID.randomUUID();

    private void name(UUID author, String name) {
        stagings.change(work.project(), author, "Named it " + name, staging -> staging.with(dusk, Light.named(name)));
    }

    private String named() {
        return stagings.of(work.project()).light(dusk).map(Light::name).orElse("none");
    }

    @Test
    void everyAuthorTakesBackTheirOwn() {
        UUID other = pond.openAccount("o" + UUID.randomUUID());
        pond.bean(Projects.class).addMember(work.project(), other, Role.COLOURIST);
        name(work.account(), "Dusk");
        name(other, "Evening");
        assertThatThrownBy(() -> steps.undoNext(work.project(), work.account()))
                .hasMessageContaining("Somebody has changed this since");
        assertThat(steps.undoNext(work.project(), other)).isEqualTo("Named it Evening");
        assertThat(named()).isEqualTo("Dusk");
        steps.undoNext(work.project(), work.account());
        assertThat(named()).isEqualTo("none");
        assertThatThrownBy(() -> steps.undoNext(work.project(), work.account()))
                .hasMessage("There is no change of yours to take back.");
    }

    @Test
    void whatChangesNothingIsNoStep() {
        name(work.account(), "Dusk");
        name(work.account(), "Dusk");
        steps.undoNext(work.project(), work.account());
        assertThat(named()).isEqualTo("none");
    }

    @Test
    void earlierMomentsAreKnownThroughChangesAndWhatWasTakenBack() {
        name(work.account(), "Dusk");
        paint("#804020");
        Instant atDusk = latest();
        name(work.account(), "Evening");
        paint("#204080");
        Instant atEvening = latest();
        steps.undoNext(work.project(), work.account());
        steps.undoNext(work.project(), work.account());
        assertThat(stagings.at(work.project(), atEvening).light(dusk))
                .map(Light::name)
                .contains("Evening");
        assertThat(stagings.at(work.project(), atDusk).light(dusk))
                .map(Light::name)
                .contains("Dusk");
        assertThat(stagings.at(work.project(), Instant.EPOCH).lights()).isEmpty();
        assertThat(coatAt(atEvening)).isEqualTo("#204080");
        assertThat(coatAt(atDusk)).isEqualTo("#804020");
        assertThat(coatAt(Instant.EPOCH)).isEqualTo("#2f6f5e");
        assertThat(coatAt(Instant.now())).isEqualTo("#804020");
    }

    private void paint(String hex) {
        palettes.change(
                work.project(),
                work.account(),
                List.of(new PaletteEdit.Change(work.coat().painted(new Paint.Process(Srgb.ofHex(hex))))));
    }

    private Instant latest() {
        return pond.bean(History.class).ofCards(work.project(), 10).get(0).at();
    }

    private String coatAt(Instant moment) {
        return palettes.at(work.project(), moment)
                .colourOf(work.coat().id())
                .orElseThrow()
                .hex();
    }
}
