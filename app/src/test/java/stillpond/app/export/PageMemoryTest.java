package stillpond.app.export;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.springframework.util.unit.DataSize;
import stillpond.app.reading.NotNow;
import stillpond.app.reading.WorkingMemory;
import stillpond.app.settings.PondSettings;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;
import stillpond.core.refusal.Refusal;

/** On a server with 100 MB of heap, of which 70 are for pictures. */
class PageMemoryTest {

    private final PageMemory memory = new PageMemory(WorkingMemory.of(new PondSettings.Reading(
            1, Duration.ofSeconds(1), DataSize.ofMegabytes(64), DataSize.ofMegabytes(100), Duration.ZERO)));
    private final Sheet sheet = Work.begin(TestPond.shared()).bring(Drawings.threeBoxes());
    private final long pixels = (long) sheet.widthPx() * sheet.heightPx();

    @Test
    void aSheetThatTakesMoreThanThereIsIsRefusedInWords() {
        int tooMany = (int) (71_000_000 * 1.1 / pixels) + 1;
        assertThatThrownBy(() -> memory.during(sheet, "plates", tooMany, () -> "written"))
                .isInstanceOf(Refusal.class)
                .hasMessageContainingAll(sheet.title(), "As plates it takes 0.1 GB", "in another form");
    }

    @Test
    void whatOneHasTheOtherWaitsForAndGetsWhenItIsGivenBack() {
        int most = (int) (60_000_000 / pixels);
        assertThat(most).isPositive();
        memory.during(sheet, "plates", most, () -> {
            assertThatThrownBy(() -> memory.during(sheet, "plates", most, () -> "written"))
                    .isInstanceOf(NotNow.class);
            return "written";
        });
        assertThat(memory.<String, RuntimeException>during(sheet, "plates", most, () -> "written"))
                .isEqualTo("written");
    }
}
