package stillpond.core.handon;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FileNamesTest {

    @ParameterizedTest
    @CsvSource({
        "Low tide, Low tide",
        "a/b\\c, a b c",
        "'../../etc/passwd', etc passwd",
        "'what? <now>: \"yes\" | no*', what now yes no",
        "con, con file",
        "LPT1, LPT1 file",
        "'  ...  ', unnamed",
        "trailing. , trailing",
        "Übergang, Übergang",
    })
    void keepsWhatEveryFileSystemTakes(String name, String safe) {
        assertThat(FileNames.safe(name)).isEqualTo(safe);
    }

    @Test
    void dropsControlLettersAndWhatTurnsTheReadingOrder() {
        assertThat(FileNames.safe("a\u0000b\n\u202Egnp.exe")).isEqualTo("abgnp.exe");
    }

    @Test
    void isCutWithoutBreakingALetterInTwo() {
        String name = FileNames.safe("x".repeat(79) + "\uD83E\uDD94 hedgehog");
        assertThat(name).isEqualTo("x".repeat(79));
    }

    @Test
    void givesNoNameTwiceNotEvenInCapitals() {
        FileNames names = new FileNames();
        assertThat(names.unique("Coat", ".png")).isEqualTo("Coat.png");
        assertThat(names.unique("coat", ".png")).isEqualTo("coat 2.png");
        assertThat(names.unique("Coat", ".svg")).isEqualTo("Coat.svg");
    }
}
