package stillpond.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.ink.InkFinder;

/** What real files hold, from the file to its regions. Places are in the units of the drawing, 300 x 200. */
class RealFilesTest {

    private static final int WIDTH_PX = 900;

    @ParameterizedTest
    @ValueSource(strings = {"#000", "#555", "#6b4a2b", "#203060", "#123d2a"})
    void strokesMayBeDarkGreyBrownOrBlue(String colour) {
        Sheet sheet = sheet("<g fill='none' stroke='" + colour
                + "' stroke-width='4'><rect x='40' y='40' width='220' height='120'/><path d='M150 40V160'/></g>");
        assertThat(sheet.count()).isEqualTo(3);
        assertThat(sheet.region(90, 100)).isNotEqualTo(sheet.region(210, 100));
    }

    /** Under a pixel and a half wide at this size. */
    @Test
    void hairLinesBoundRegions() {
        Sheet sheet = sheet("<g fill='none' stroke='#000' stroke-width='0.5'><circle cx='100' cy='100' r='60'/>"
                + "<circle cx='220' cy='100' r='40'/></g>");
        assertThat(sheet.count()).isEqualTo(3);
    }

    /** A coat that is inked solid is no stroke: what is drawn around it is still measured in its own strokes. */
    @Test
    void bigBlackAreasDoNotWidenTheStrokes() {
        Sheet sheet = sheet("<rect x='20' y='20' width='110' height='160'/>"
                + "<g fill='none' stroke='#000' stroke-width='3'><path d='M228 40H160V160H280V40H236'/></g>");
        assertThat(sheet.openings().strokePx()).isBetween(7.0, 12.0);
        assertThat(sheet.region(220, 100))
                .as("the gap of 8 at the top is dammed")
                .isNotEqualTo(sheet.region(290, 10));
    }

    @Test
    void aDrawingMayBeCutByTheEdgeOfThePage() {
        Sheet sheet = sheet("<g fill='none' stroke='#000' stroke-width='4'><circle cx='0' cy='100' r='60'/>"
                + "<path d='M180 210V120H300'/></g>");
        assertThat(sheet.count()).isEqualTo(3);
        assertThat(sheet.region(20, 100)).isNotEqualTo(sheet.region(120, 100));
        assertThat(sheet.region(260, 180)).isNotEqualTo(sheet.region(120, 100));
    }

    private record Sheet(Openings openings, Regions regions) {

        int count() {
            return regions.count();
        }

        int region(double x, double y) {
            double scale = WIDTH_PX / 300.0;
            return regions.of(openings.cells().plane().numberAt((int) (x * scale), (int) (y * scale)));
        }
    }

    private static Sheet sheet(String drawing) {
        String svg = "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 300 200'>" + drawing + "</svg>";
        LineArtReader reader = new LineArtReader(ImageLimits.DEFAULT.withVectorLongSide(WIDTH_PX));
        Openings openings = Openings.of(InkFinder.find(reader.read(svg.getBytes(StandardCharsets.UTF_8))));
        return new Sheet(openings, Regions.of(openings, Dams.at(openings.defaultReach())));
    }
}
