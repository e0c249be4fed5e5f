package stillpond.bench;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import stillpond.core.cell.CellMap;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Dams;
import stillpond.core.gap.HandDam;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;
import stillpond.core.gap.Regions;
import stillpond.core.gap.ThinnedInk;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.stroke.Stroke;
import stillpond.core.stroke.StrokeMap;
import stillpond.core.stroke.Strokes;

/** What happens to line art between its arrival and the desk, step by step. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(value = 1, jvmArgs = "-Xmx8g")
@Warmup(iterations = 1, time = 3)
@Measurement(iterations = 3, time = 3)
public class EngineBenchmark {

    @Param({"4", "35", "140"})
    public int megapixels;

    private byte[] file;
    private Picture picture;
    private InkPlane ink;
    private Openings analysed;
    private StrokeMap cut;
    private List<Point> partingLine;
    private List<Point> ordinaryLine;

    @Setup(Level.Trial)
    public void makePage() throws IOException {
        file = MadePage.file(megapixels);
        picture = new LineArtReader(ImageLimits.DEFAULT).read(file);
        ink = InkFinder.find(picture);
        analysed = Openings.of(ink);
        cut = StrokeMap.of(ink);
        cut = StrokeMap.of(ink);
        partingLine = PartingLine.ofLargestCell(analysed, ink);
        ordinaryLine = PartingLine.ofOrdinaryCell(analysed, ink);
    }

    @Benchmark
    public Picture decode() {
        return new LineArtReader(ImageLimits.DEFAULT).read(file);
    }

    @Benchmark
    public InkPlane ink() {
        return InkFinder.find(picture);
    }

    @Benchmark
    public CellMap cells() {
        return CellMap.of(ink);
    }

    @Benchmark
    public Openings openings() {
        return Openings.of(ink);
    }

    /** Gaps and strokes, as a sheet brought in is analysed; to be held beside {@link #openings}: a tenth more at the most. */
    @Benchmark
    public Object openingsAndStrokes() {
        ThinnedInk thinned = ThinnedInk.of(ink);
        return List.of(Openings.of(ink, thinned), StrokeMap.of(ink, thinned));
    }

    /** What lies beside each stroke, as the line tool asks for it. */
    @Benchmark
    public List<Stroke> strokes() {
        return Strokes.of(cut, ink, analysed.cells().plane());
    }

    /** All that happens to a page, to compare with OpenCV's steps on the same file. */
    @Benchmark
    public Openings pageToOpenings() {
        return Openings.of(InkFinder.find(new LineArtReader(ImageLimits.DEFAULT).read(file)));
    }

    /** What a drag of the reach slider, a dam taken or a dam lifted costs. */
    @Benchmark
    public Regions regions() {
        return Regions.of(analysed, Dams.at(analysed.defaultReach()));
    }

    /** Parts the largest cell of the page; put back afterwards, which is counted too. */
    @Benchmark
    public HandDam.Outcome handDam() {
        return parted(partingLine);
    }

    /** The same with a cell of middle size. */
    @Benchmark
    public HandDam.Outcome handDamInAnOrdinaryCell() {
        return parted(ordinaryLine);
    }

    private HandDam.Outcome parted(List<Point> line) {
        if (!(HandDam.draw(analysed, ink, line) instanceof HandDam.Parted parted)) {
            throw new IllegalStateException("The dam parts nothing: nothing is measured.");
        }
        parted.former().forEach(patch -> patch.putInto(analysed.cells().plane()));
        return parted;
    }

    @Benchmark
    public byte[] encodeCells() {
        return PlaneCodec.encode(analysed.cells());
    }

    @Benchmark
    public byte[] encodeInk() {
        return PlaneCodec.encode(ink);
    }
}
