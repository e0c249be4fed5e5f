package stillpond.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class FileTitleTest {

    @Test
    void titlesAreTakenFromNamesAndNeverFromPaths() {
        assertThat(FileTitle.of("low_tide 03.svg")).isEqualTo("low tide 03");
        assertThat(FileTitle.of("../../etc/passwd")).isEqualTo("passwd");
        assertThat(FileTitle.of("C:\\pages\\hill.PNG")).isEqualTo("hill");
    }

    @Test
    void charactersThatDeceiveAreDropped() {
        assertThat(FileTitle.of("coat\u202Egnp.exe\u0000.png")).isEqualTo("coatgnp.exe");
    }

    @Test
    void aNameOfNothingStillGivesATitle() {
        assertThat(FileTitle.of(null)).isEqualTo("Untitled sheet");
        assertThat(FileTitle.of("\u200F.png")).isEqualTo("Untitled sheet");
        assertThat(FileTitle.of("a".repeat(500))).hasSize(FileTitle.MAX_LENGTH);
    }
}
