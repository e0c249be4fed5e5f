package stillpond.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.HandDam;

/** A benchmark that measures nothing is worse than none: each does its work once, on a small page. */
class BenchmarksWorkTest {

    @Test
    void theEngineIsMeasuredAtWork() throws IOException {
        EngineBenchmark engine = new EngineBenchmark();
        engine.megapixels = 1;
        engine.makePage();
        assertThat(engine.decode().argb()).hasSizeGreaterThan(990_000);
        assertThat(engine.ink().inkPixels()).isGreaterThan(10_000);
        assertThat(engine.cells().cells()).hasSizeGreaterThan(100);
        assertThat(engine.openings().openings()).hasSizeGreaterThan(100);
        assertThat(engine.openingsAndStrokes()).isNotNull();
        assertThat(engine.strokes()).hasSizeGreaterThan(50);
        assertThat(engine.pageToOpenings().cells().cells())
                .hasSameSizeAs(engine.openings().cells().cells());
        assertThat(engine.regions().count()).isGreaterThan(100);
        assertThat(engine.encodeCells()).isNotEmpty();
        assertThat(engine.encodeInk()).isNotEmpty();
    }

    @Test
    void theDamByHandPartsTheLargestCell() throws IOException {
        EngineBenchmark engine = new EngineBenchmark();
        engine.megapixels = 1;
        engine.makePage();
        assertThat(engine.handDam())
                .isInstanceOfSatisfying(
                        HandDam.Parted.class,
                        parted -> assertThat(parted.split()).isNotEmpty());
        assertThat(engine.handDamInAnOrdinaryCell()).isInstanceOf(HandDam.Parted.class);
        assertThat(engine.handDam()).as("put back and drawn again").isInstanceOf(HandDam.Parted.class);
    }

    @Test
    void openCvFindsThePiecesOfPaper() throws IOException {
        OpenCvBenchmark openCv = new OpenCvBenchmark();
        openCv.megapixels = 1;
        openCv.makePage();
        assertThat(openCv.pageToLabels()).isGreaterThan(100);
    }

    @Test
    void everyFormIsWrittenAndShapesAreTheFlatsButAlongBorders() throws IOException {
        ExportBench export = ExportBench.small();
        assertThat(export.figures()).hasSize(7).allMatch(figure -> figure.bytes() > 5_000);
        ExportBench.Deviation deviation = export.deviation();
        assertThat(deviation.nodes()).isGreaterThan(500);
        assertThat(deviation.off()).as("smoothing moves borders").isPositive().isLessThan(deviation.pixels() / 50);
        assertThat(deviation.farOff()).isZero();
    }
}
