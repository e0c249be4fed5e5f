package stillpond.bench.carry;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import stillpond.bench.flats.Case;
import stillpond.bench.flats.CaseFiles;
import stillpond.bench.flats.DemoTruth;
import stillpond.bench.flats.Half;
import stillpond.core.carry.Carry;
import stillpond.core.carry.Drawing;
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
        if (args.length > 1 && args[1].equals("time")) {
            time();
            return;
        }
        if (args.length > 1) {
            folder(Path.of(args[1]));
            return;
        }
        demo(art);
        made("bent", PairMaker::bent);
        made("jointed", PairMaker::jointed);
        time();
    }

    /** Two sheets of about a thousand regions, the second a little larger. */
    private static void time() {
        CarryCase.Side from = tiles(1600);
        CarryCase.Side to = tiles(1700);
        Drawing there = Drawing.of(to.openings().cells(), to.regions());
        int[] labels = from.byRegion();
        double best = Double.MAX_VALUE;
        for (int i = 0; i < 5; i++) {
            long start = System.nanoTime();
            Drawing here = Drawing.of(from.openings().cells(), from.regions());
            Carry.from(List.of(new Carry.Source(here, labels)), there);
            best = Math.min(best, (System.nanoTime() - start) / 1e9);
        }
        System.out.printf(
                "carry from %d to %d regions: best of 5 %.2f s%n",
                from.regions().count(), to.regions().count(), best);
    }

    /** Boxes of random sizes, as if the page were a wall of drawers. */
    private static CarryCase.Side tiles(int side) {
        Random random = new Random(11);
        BufferedImage page = new BufferedImage(side, side, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D pen = page.createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, side, side);
        pen.setColor(Color.BLACK);
        pen.setStroke(new BasicStroke(3));
        int[] labels = new int[side * side];
        split(pen, labels, side, new double[] {0.02, 0.02, 0.98, 0.98}, 10, random);
        pen.dispose();
        return CarryCase.Side.of(page, labels);
    }

    private static void split(Graphics2D pen, int[] labels, int side, double[] box, int depth, Random random) {
        if (depth == 0) {
            pen.draw(new Rectangle2D.Double(
                    box[0] * side, box[1] * side, (box[2] - box[0]) * side, (box[3] - box[1]) * side));
            int label = 1 + random.nextInt(12);
            for (int y = (int) (box[1] * side); y < box[3] * side; y++) {
                for (int x = (int) (box[0] * side); x < box[2] * side; x++) {
                    labels[y * side + x] = label;
                }
            }
            return;
        }
        int axis = box[2] - box[0] > box[3] - box[1] ? 0 : 1;
        double cut = box[axis] + (0.42 + 0.16 * random.nextDouble()) * (box[axis + 2] - box[axis]);
        double[] first = box.clone();
        double[] second = box.clone();
        first[axis + 2] = cut;
        second[axis] = cut;
        split(pen, labels, side, first, depth - 1, random);
        split(pen, labels, side, second, depth - 1, random);
    }

    private static void made(String what, IntFunction<CarryCase> maker) {
        CarryScore score = IntStream.range(0, MADE)
                .parallel()
                .mapToObj(maker)
                .map(CarryScore::of)
                .reduce(CarryScore.NONE, CarryScore::plus);
        System.out.println(score.line(MADE + " made, " + what));
    }

    /** Pairs made of real drawings: those that weights may be found on, and those that are kept for reporting. */
    private static void real(Path folder) throws IOException {
        Map<Half, List<String>> halves = CaseFiles.names(folder).stream()
                .collect(Collectors.groupingBy(Half::of, TreeMap::new, Collectors.toList()));
        halves.forEach((half, names) -> {
            CarryScore score = names.parallelStream()
                    .map(name -> CarryScore.of(RealPairs.of(read(folder, name), 1)))
                    .reduce(CarryScore.NONE, CarryScore::plus);
            System.out.println(score.line(names.size() + " real, " + half.name().toLowerCase(Locale.ROOT)));
        });
    }

    private static Case read(Path folder, String name) {
        try {
            return CaseFiles.read(folder, name);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
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
        if (names.isEmpty()) {
            real(folder);
        } else {
            print(names.parallelStream().map(name -> pair(folder, name)).toList());
        }
    }

    private static CarryCase pair(Path folder, String name) {
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
        List<String> swatches = DemoTruth.swatches(art);
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
        byte[] file = Files.readAllBytes(art.resolve("demo/" + name + ".svg"));
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
