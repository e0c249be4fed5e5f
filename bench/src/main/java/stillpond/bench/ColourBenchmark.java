package stillpond.bench;

import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Gamut;
import stillpond.core.colour.Lab;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.PictureColours;
import stillpond.core.colour.Srgb;
import stillpond.core.colour.White;

/** Conversions and differences in operations a second, and the main colours of a photograph of 12 megapixels. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Fork(1)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
public class ColourBenchmark {

    private static final int COLOURS = 1000;
    private static final int WIDTH = 4000;
    private static final int HEIGHT = 3000;

    private final Random random = new Random(5);
    private final Srgb[] colours =
            random.ints(COLOURS, 0, 1 << 24).mapToObj(Srgb::ofPacked).toArray(Srgb[]::new);
    private final Lab[] labs =
            List.of(colours).stream().map(colour -> Lab.of(colour, White.D50)).toArray(Lab[]::new);
    private final int[] photograph = photograph();

    /** Soft hills of colour with noise, as a camera gives them. */
    private int[] photograph() {
        int[] argb = new int[WIDTH * HEIGHT];
        for (int i = 0; i < argb.length; i++) {
            int x = i % WIDTH;
            int y = i / WIDTH;
            int red = channel(130 + 90 * Math.sin(x / 500.0) + 12 * random.nextGaussian());
            int green = channel(120 + 80 * Math.sin(y / 400.0) + 12 * random.nextGaussian());
            int blue = channel(110 + 70 * Math.cos((x + y) / 700.0) + 12 * random.nextGaussian());
            argb[i] = 0xff000000 | red << 16 | green << 8 | blue;
        }
        return argb;
    }

    private static int channel(double value) {
        return (int) Math.max(0, Math.min(255, value));
    }

    @Benchmark
    @OperationsPerInvocation(COLOURS)
    public void toLabD50(Blackhole hole) {
        for (Srgb colour : colours) {
            hole.consume(Lab.of(colour, White.D50));
        }
    }

    @Benchmark
    @OperationsPerInvocation(COLOURS)
    public void toOklchAndBack(Blackhole hole) {
        for (Srgb colour : colours) {
            hole.consume(Gamut.show(Oklch.of(colour)));
        }
    }

    @Benchmark
    @OperationsPerInvocation(COLOURS)
    public double ciede2000() {
        double sum = 0;
        for (int i = 0; i < COLOURS; i++) {
            sum += Ciede2000.between(labs[i], labs[(i + 1) % COLOURS]);
        }
        return sum;
    }

    @Benchmark
    @BenchmarkMode(Mode.AverageTime)
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    public List<PictureColours.Found> mainColours() {
        return PictureColours.main(photograph, WIDTH, 8);
    }
}
