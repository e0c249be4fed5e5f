package stillpond.bench.carry;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;

/** Scores carry: on a folder of cases, or on the demo (each model sheet to every other sheet of that character) and on made cases. */
final class CarryBench {

    private static final Map<String, String> MODELS = Map.of(
            "Juniper", "modelJuniper", "Bram", "modelBram", "Kettle", "modelKettle", "Aunt Sorrel", "modelSorrel");
    private static final List<String> SHEETS = List.of(
            "morningPost",
            "panniers",
            "crossing",
            "farewell",
            "willNotBudge",
            "lanternIsLit",
            "upTheHill",
            "atTheDoor");
    private static final int MADE = 120;
    private static final String LINE_A = ".a.line.png";

    private CarryBench() {}

    public static void main(String[] args) throws IOException {
        Path art = Path.of(args[0]);
        if (args.length > 1) {
            folder(Path.of(args[1]));
            return;
        }
        demo(art);
        made("bent", PairMaker::bent);
        made("jointed", PairMaker::jointed);
    }

    private static void made(String what, IntFunction<CarryCase> maker) {
        CarryScore score = IntStream.range(0, MADE)
                .parallel()
                .mapToObj(maker)
                .map(CarryScore::of)
                .reduce(CarryScore.NONE, CarryScore::plus);
        System.out.println(score.line(MADE + " made, " + what));
    }

    private static void folder(Path folder) throws IOException {
        List<String> names;
        try (Stream<Path> files = Files.list(folder)) {
            names = files.map(file -> file.getFileName().toString())
                    .filter(name -> name.endsWith(LINE_A))
                    .map(name -> name.substring(0, name.length() - LINE_A.length()))
                    .sorted()
                    .toList();
        }
        print(names.parallelStream().map(name -> read(folder, name)).toList());
    }

    private static CarryCase read(Path folder, String name) {
        return new CarryCase(name, side(folder, name + ".a"), side(folder, name + ".b"));
    }

    private static CarryCase.Side side(Path folder, String name) {
        try {
            BufferedImage line = ImageIO.read(folder.resolve(name + ".line.png").toFile());
            return CarryCase.Side.of(
                    line, labels(folder.resolve(name + ".fills.png"), line.getWidth(), line.getHeight()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static int[] labels(Path file, int width, int height) throws IOException {
        BufferedImage picture = ImageIO.read(file.toFile());
        int[] labels = new int[width * height];
        for (int i = 0; i < labels.length; i++) {
            int x = (int) ((long) (i % width) * picture.getWidth() / width);
            int y = (int) ((long) (i / width) * picture.getHeight() / height);
            labels[i] = picture.getRaster().getSample(x, y, 0);
        }
        return labels;
    }

    private static void demo(Path art) throws IOException {
        List<String> swatches = Pattern.compile("\"([^\"]+)\"")
                .matcher(Files.readString(art.resolve("truth/swatches.json")))
                .results()
                .map((MatchResult found) -> found.group(1))
                .toList();
        List<CarryCase> cases = new ArrayList<>();
        for (Map.Entry<String, String> model :
                MODELS.entrySet().stream().sorted(Map.Entry.comparingByKey()).toList()) {
            CarryCase.Side from = demoSide(art, model.getValue(), swatches, model.getKey());
            for (String sheet : SHEETS) {
                CarryCase.Side to = demoSide(art, sheet, swatches, model.getKey());
                if (to.labelled() > 0.005 * to.labels().length) {
                    cases.add(new CarryCase(model.getValue() + " " + sheet, from, to));
                }
            }
        }
        print(cases);
    }

    /** Only what is of one card counts. */
    private static CarryCase.Side demoSide(Path art, String name, List<String> swatches, String card)
            throws IOException {
        byte[] file = Files.readAllBytes(art.resolve("../app/src/main/resources/demo/" + name + ".svg"));
        InkPlane ink = InkFinder.find(new LineArtReader(ImageLimits.DEFAULT).read(file));
        int[] labels = labels(art.resolve("truth/" + name + ".png"), ink.widthPx(), ink.heightPx());
        for (int i = 0; i < labels.length; i++) {
            boolean isOfCard = labels[i] > 0
                    && labels[i] <= swatches.size()
                    && swatches.get(labels[i] - 1).startsWith(card + "/");
            labels[i] = isOfCard ? labels[i] : 0;
        }
        return CarryCase.Side.of(ink, labels);
    }

    private static void print(List<CarryCase> cases) {
        CarryScore all = CarryScore.NONE;
        for (CarryCase each : cases) {
            long start = System.nanoTime();
            CarryScore score = CarryScore.of(each);
            System.out.println(score.line(each.name()) + String.format(" %.1f s", (System.nanoTime() - start) / 1e9));
            all = all.plus(score);
        }
        System.out.println(all.line("all " + cases.size() + " cases"));
    }
}
