package stillpond.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.ink.InkSettings;
import stillpond.core.ink.Pencil;
import stillpond.core.ink.Picture;

class AnalysesTest {

    private static final ImageLimits SMALL = ImageLimits.DEFAULT.withVectorLongSide(300);

    private final TestPond pond = TestPond.shared();

    @Test
    void whatIsAnalysedElsewhereIsTheSameAsHere() {
        InkSettings settings = new InkSettings(OptionalInt.of(90), OptionalInt.empty(), Pencil.NONE);
        byte[] file = Drawings.threeBoxes();
        Picture picture = new LineArtReader(SMALL).read(file);
        assertThat(pond.bean(Analyses.class).whole(file, SMALL, settings, List.of(), Analyses.Waiting.NOBODY))
                .usingRecursiveComparison()
                .isEqualTo(LineArt.analyse(picture, settings, List.of()));
        assertThat(pond.bean(Analyses.class).glance(file, SMALL).lineArt())
                .usingRecursiveComparison()
                .isEqualTo(LineArt.glance(picture));
    }

    @Test
    void settingsArriveAsTheyWere() throws IOException {
        InkSettings settings = new InkSettings(OptionalInt.empty(), OptionalInt.of(0), Pencil.NONE);
        ByteArrayOutputStream written = new ByteArrayOutputStream();
        LineArt.writeSettings(settings, new DataOutputStream(written));
        assertThat(LineArt.readSettings(new DataInputStream(new ByteArrayInputStream(written.toByteArray()))))
                .isEqualTo(settings);
    }
}
