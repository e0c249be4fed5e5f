package stillpond.bench;

import java.io.IOException;
import java.util.concurrent.TimeUnit;
import nu.pattern.OpenCV;
import org.opencv.core.Core;
import org.opencv.core.CvType;
import org.opencv.core.Mat;
import org.opencv.core.MatOfByte;
import org.opencv.imgcodecs.Imgcodecs;
import org.opencv.imgproc.Imgproc;
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

/** Native OpenCV on the same page and the same cores, to compare with: decode, threshold, exact distances, labels with statistics; no gap closing. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(value = 1, jvmArgs = "-Xmx4g")
@Warmup(iterations = 1, time = 3)
@Measurement(iterations = 3, time = 3)
public class OpenCvBenchmark {

    @Param({"4", "35", "140"})
    public int megapixels;

    private byte[] file;

    @Setup(Level.Trial)
    public void makePage() throws IOException {
        OpenCV.loadLocally();
        Core.setNumThreads(Runtime.getRuntime().availableProcessors());
        file = MadePage.file(megapixels);
    }

    @Benchmark
    public int pageToLabels() {
        Mat encoded = new MatOfByte(file);
        Mat grey = Imgcodecs.imdecode(encoded, Imgcodecs.IMREAD_GRAYSCALE);
        Mat paper = new Mat();
        Imgproc.threshold(grey, paper, 0, 255, Imgproc.THRESH_BINARY | Imgproc.THRESH_OTSU);
        Mat distance = new Mat();
        Imgproc.distanceTransform(paper, distance, Imgproc.DIST_L2, Imgproc.DIST_MASK_PRECISE, CvType.CV_32F);
        Mat labels = new Mat();
        Mat stats = new Mat();
        Mat centroids = new Mat();
        int count = Imgproc.connectedComponentsWithStats(paper, labels, stats, centroids, 4, CvType.CV_32S);
        for (Mat each : new Mat[] {encoded, grey, paper, distance, labels, stats, centroids}) {
            each.release();
        }
        return count;
    }
}
