package stillpond.bench.flats;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import stillpond.core.gap.Openings;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;

/** Scores the regions that drawings are cut into: of a folder of cases, or of generated ones. */
final class FlatsBench {

    private static final int GENERATED = 150;

    private FlatsBench() {}

    public static void main(String[] args) throws IOException {
        if (args.length == 2) {
            write(Path.of(args[1]));
        } else if (args.length == 1) {
            Path folder = Path.of(args[0]);
            List<String> names = CaseFiles.names(folder);
            List<Score.Click> clicks = score(names.size(), i -> read(folder, names.get(i)));
            for (Half half : Half.values()) {
                System.out.print(Score.report(
                        half.name().toLowerCase(Locale.ROOT) + " half, ",
                        clicks.stream()
                                .filter(click -> Half.of(click.name()) == half)
                                .toList()));
            }
            System.out.print(Score.report("", clicks));
            Files.writeString(folder.resolve("flats.csv"), Score.csv(clicks));
        } else {
            System.out.print(Score.report("like fitted, ", score(GENERATED, i -> CaseMaker.fitting(10_000 + i))));
            System.out.print(Score.report("held out, ", score(GENERATED, CaseMaker::heldOut)));
        }
    }

    private static void write(Path folder) throws IOException {
        for (int i = 0; i < GENERATED; i++) {
            CaseFiles.write(folder, CaseMaker.fitting(10_000 + i));
            CaseFiles.write(folder, CaseMaker.heldOut(i));
        }
    }

    private static Case read(Path folder, String name) {
        try {
            return CaseFiles.read(folder, name);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static List<Score.Click> score(int count, IntFunction<Case> cases) {
        return IntStream.range(0, count)
                .parallel()
                .mapToObj(cases)
                .map(drawn -> Score.of(drawn, Openings.of(ink(drawn))))
                .reduce(new ArrayList<>(), (all, more) -> {
                    List<Score.Click> both = new ArrayList<>(all);
                    both.addAll(more);
                    return both;
                });
    }

    static InkPlane ink(Case drawn) {
        BufferedImage line = drawn.line();
        int[] grey = line.getRaster().getSamples(0, 0, line.getWidth(), line.getHeight(), 0, (int[]) null);
        int[] argb = new int[grey.length];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = 0xff000000 | grey[i] * 0x010101;
        }
        return InkFinder.find(new Picture(line.getWidth(), line.getHeight(), argb));
    }
}
