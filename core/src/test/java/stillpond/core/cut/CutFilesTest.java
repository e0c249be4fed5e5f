package stillpond.core.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.SVGLoader;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import stillpond.core.format.CutFiles;
import stillpond.core.refusal.Refusal;

/** A square of 10 mm in the middle of a page of 20 mm. */
class CutFilesTest {

    private static final double OFFSET = 0.5;

    private static CutJob square(double offset, double lead) {
        return CutJob.of(
                Pages.of(200, (x, y) -> Pages.isIn(x, y, 50, 150) ? 1 : 0),
                List.of("Coat (left)"),
                1,
                0.1,
                new CutSettings(offset, lead, 0, CutSettings.Small.LEFT_OUT, 0, 100));
    }

    /** How far a place is from the side of the square, which lies 12 mm further in on the machine. */
    private static double away(double[] place) {
        double x = Math.abs(place[0] - CutMarks.BORDER_MM - 10);
        double y = Math.abs(place[1] - CutMarks.BORDER_MM - 10);
        return Math.abs(Math.max(x, y) - 5) + Math.max(0, Math.min(x, y) - 5);
    }

    @Test
    void withoutAnOffsetTheAxisGoesAlongTheOutline() {
        Iso6983 read = Iso6983.read(CutFiles.program(square(0, 0)));
        assertThat(read.ways).hasSize(1);
        assertThat(read.ways.get(0)).allSatisfy(place -> assertThat(away(place)).isLessThan(0.11));
    }

    @Test
    void aTipThatIsDraggedBehindTheAxisCutsTheSquareCornersToo() {
        Iso6983 read = Iso6983.read(CutFiles.program(square(OFFSET, 2)));
        List<double[]> tip = Iso6983.dragged(read.ways.get(0), OFFSET);
        List<double[]> cutting = tip.stream().skip((long) (2 / 0.01)).toList();
        assertThat(cutting).allSatisfy(place -> assertThat(away(place)).isLessThan(0.15));
        for (double x : new double[] {5, 15}) {
            for (double y : new double[] {5, 15}) {
                assertThat(cutting.stream()
                                .mapToDouble(place -> Math.hypot(
                                        place[0] - CutMarks.BORDER_MM - x, place[1] - CutMarks.BORDER_MM - y))
                                .min()
                                .orElseThrow())
                        .as("the corner at %s, %s", x, y)
                        .isLessThan(0.2);
            }
        }
        double[] first = cutting.get(0);
        double[] last = cutting.get(cutting.size() - 1);
        assertThat(Math.hypot(first[0] - last[0], first[1] - last[1]))
                .as("closed")
                .isLessThan(1.1);
        assertThat(read.ways.get(0)).as("the axis itself goes further out").anyMatch(place -> away(place) > 0.3);
    }

    @Test
    void theControllerMeasuresWhatItDoes() {
        CutJob job = square(0, 0);
        CuttingRun run = CutterController.follow(CutFiles.program(job), 100, 100, Laid.STRAIGHT);
        assertThat(run.strokes()).hasSize(1);
        assertThat(run.cutMm()).isCloseTo(40, within(0.3));
        assertThat(run.travelMm())
                .as("to the middle of a side and back")
                .isBetween(2 * Math.hypot(17, 22) - 1, 2 * Math.hypot(27, 22) + 1);
        assertThat(run.seconds()).isCloseTo(0.4 + run.travelMm() / 400 + 2 * 0.08, within(0.01));
    }

    @Test
    void anArcIsAsLongAsItIs() {
        String program = "%\nN10 G0 X20 Y10\nN20 G1 Z-1 F600\nN30 G3 X10 Y20 I-10 J0\nN40 G0 Z2\nN50 M2\n%\n";
        assertThat(CutterController.follow(program, 50, 50, Laid.STRAIGHT).cutMm())
                .isCloseTo(5 * Math.PI, within(0.02));
        assertThat(CutterController.follow(program.replace("G3", "G2"), 50, 50, Laid.STRAIGHT)
                        .cutMm())
                .isCloseTo(15 * Math.PI, within(0.1));
    }

    @Test
    void whatItCannotFollowIsRefusedByItsLine() {
        for (String bad : List.of("G5 X1", "X1e9", "G1 F0 X1", "U3", "XY", "M99", "G1 X-1")) {
            assertThatThrownBy(() -> CutterController.follow("%\n" + bad + "\nM2\n%\n", 50, 50, Laid.STRAIGHT))
                    .as(bad)
                    .isInstanceOf(Refusal.class)
                    .hasMessageContaining("line 2");
        }
        assertThatThrownBy(() -> CutterController.follow("%\nG0 X1\n", 50, 50, Laid.STRAIGHT))
                .hasMessageContaining("breaks off");
    }

    @Test
    void aSheetThatLiesAskewIsCutWhereItLies() {
        double turn = Math.toRadians(3);
        Laid lies = new Laid(Math.cos(turn), -Math.sin(turn), 7, Math.sin(turn), Math.cos(turn), 2);
        List<Spot> marks = CutMarks.around(20, 20);
        Laid found = Laid.of(marks, marks.stream().map(lies::of).toList());
        Spot place = new Spot(13, 29);
        assertThat(found.of(place).distance(lies.of(place))).isLessThan(1e-9);
        assertThat(found.inverse().of(found.of(place)).distance(place)).isLessThan(1e-9);

        CutJob job = square(0, 0);
        CuttingRun run = CutterController.follow(CutFiles.program(job), 100, 100, found);
        assertThat(run.strokes().get(0).spots()).allSatisfy(spot -> {
            Spot meant = lies.inverse().of(spot);
            assertThat(away(new double[] {meant.xMm(), meant.yMm()})).isLessThan(0.11);
        });
        assertThatThrownBy(() -> Laid.of(List.of(place, place, place), marks)).isInstanceOf(Refusal.class);
    }

    @Test
    void theDrawingIsAsLargeAsThePageAndCanBeReadByOthers() {
        String drawing = CutFiles.drawing(square(OFFSET, 1));
        assertThat(drawing).contains("width=\"20mm\"", "viewBox=\"0 0 20 20\"", "<title>Coat (left)</title>");
        SVGDocument read = new SVGLoader()
                .load(
                        new ByteArrayInputStream(drawing.getBytes(StandardCharsets.UTF_8)),
                        null,
                        com.github.weisj.jsvg.parser.LoaderContext.createDefault());
        assertThat(read).isNotNull();
        assertThat(read.size().width).isGreaterThan(0);
    }
}
