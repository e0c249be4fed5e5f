package stillpond.bench;

import java.io.IOException;
import java.lang.ProcessBuilder.Redirect;
import java.util.List;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.ink.InkFinder;

/** Finds the smallest heap, in steps of an eighth, with which a page is analysed: what a server must have free for it. */
final class LeastHeap {

    private LeastHeap() {}

    public static void main(String[] args) throws Exception {
        if (args.length == 1) {
            byte[] file = MadePage.file(Integer.parseInt(args[0]));
            Analysis.of(InkFinder.find(new LineArtReader(ImageLimits.DEFAULT).read(file)));
            return;
        }
        for (int megapixels : new int[] {4, 35, 140}) {
            MadePage.file(megapixels);
            int megabytes = 64;
            while (!runsWith(megabytes, megapixels)) {
                megabytes += Math.max(16, megabytes / 8);
            }
            System.out.printf("%d megapixels: %d MB of heap suffice%n", megapixels, megabytes);
        }
    }

    private static boolean runsWith(int megabytes, int megapixels) throws IOException, InterruptedException {
        List<String> command = List.of(
                ProcessHandle.current().info().command().orElse("java"),
                "-Xmx" + megabytes + "m",
                "-XX:+ExitOnOutOfMemoryError",
                "-Djava.awt.headless=true",
                "-cp",
                System.getProperty("java.class.path"),
                LeastHeap.class.getName(),
                String.valueOf(megapixels));
        return new ProcessBuilder(command)
                        .redirectErrorStream(true)
                        .redirectOutput(Redirect.DISCARD)
                        .start()
                        .waitFor()
                == 0;
    }
}
