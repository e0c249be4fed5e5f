package stillpond.bench.carry;

import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.TreeSet;
import stillpond.bench.flats.Case;
import stillpond.bench.flats.GapCutter;
import stillpond.core.cell.DistanceField;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.ink.StrokeWidth;

/**
 * Makes a second drawing of a real one, from a seed: a part drawn once more over others, all of it mirrored, turned, smaller and bent, with strokes of another width and gaps of its own. Some
 * regions are known of in neither.
 */
final class RealPairs {

    private static final int OUTSIDE = 1;
    private static final double UNKNOWN = 0.08;
    /** Natural logarithm of how much size and depth of parts that repeat may differ. */
    private static final double REPEATED = 0.12;

    private static final double WITH_A_PART_OVER = 0.5;
    private static final double WITH_GAPS = 0.5;
    /** In stroke widths, to both sides. */
    private static final double THINNER = 0.15;

    private static final double THICKER = 0.3;
    private static final int PAPER = 255;

    private RealPairs() {}

    static CarryCase of(Case drawn, int seed) {
        Random random = new Random(7_000_003L * seed + drawn.name().hashCode());
        int[] known = known(drawn, random);
        CarryCase.Side from = CarryCase.Side.of(drawn.line(), labels(drawn.truth(), known));
        double stroke = StrokeWidth.of(from.ink());
        Case there = random.nextDouble() < WITH_A_PART_OVER ? withAPartOver(drawn, stroke, random) : drawn;
        there = redrawn(moved(there, random), stroke, random);
        if (random.nextDouble() < WITH_GAPS) {
            there = GapCutter.cut(there, random);
        }
        return new CarryCase(
                drawn.name() + "-" + seed, from, CarryCase.Side.of(there.line(), labels(there.truth(), known)));
    }

    /** For each label of the truth the one that carry hears of: one for all parts that repeat, such as petals or both ears; 0 for those that nothing is known of. */
    private static int[] known(Case drawn, Random random) {
        int[] known = new int[1 + Arrays.stream(drawn.truth()).max().orElse(0)];
        List<Case.TruthRegion> regions = drawn.regions();
        for (int i = 0; i < regions.size(); i++) {
            Case.TruthRegion region = regions.get(i);
            Optional<Case.TruthRegion> like = regions.subList(0, i).stream()
                    .filter(other -> repeats(region, other))
                    .findFirst();
            boolean isKnown = random.nextDouble() >= UNKNOWN;
            known[region.id()] = like.isPresent() ? known[like.get().id()] : isKnown ? region.id() : 0;
        }
        return known;
    }

    private static boolean repeats(Case.TruthRegion one, Case.TruthRegion other) {
        return Math.abs(Math.log(one.area() / (double) other.area())) < REPEATED
                && Math.abs(Math.log(one.r() / other.r())) < REPEATED;
    }

    private static int[] labels(int[] truth, int[] known) {
        return Arrays.stream(truth).map(label -> known[label]).toArray();
    }

    /** Some regions near each other, drawn once more a little aside. */
    private static Case withAPartOver(Case drawn, double stroke, Random random) {
        int width = drawn.width();
        int height = drawn.height();
        int[] truth = drawn.truth();
        if (drawn.regions().isEmpty()) {
            return drawn;
        }
        TreeSet<Integer> part = new TreeSet<>();
        Case.TruthRegion first =
                drawn.regions().get(random.nextInt(drawn.regions().size()));
        part.add(first.id());
        double reach = 2 * Math.sqrt(first.area());
        drawn.regions().stream()
                .filter(each -> each.area() <= first.area())
                .filter(each -> Math.hypot(each.x() - first.x(), each.y() - first.y()) < reach)
                .limit(4)
                .forEach(each -> part.add(each.id()));
        DistanceField toPart = DistanceField.to(width, height, i -> part.contains(truth[i]));
        double angle = 2 * Math.PI * random.nextDouble();
        double far = (0.05 + 0.1 * random.nextDouble()) * Math.min(width, height);
        int dx = (int) Math.round(far * Math.cos(angle));
        int dy = (int) Math.round(far * Math.sin(angle));
        int[] grey = grey(drawn.line());
        int[] greyNow = grey.clone();
        int[] truthNow = truth.clone();
        for (int i = 0; i < truth.length; i++) {
            int x = i % width + dx;
            int y = i / width + dy;
            boolean isOfPart =
                    part.contains(truth[i]) || truth[i] == Case.DO_NOT_CARE && toPart.distancePx(i) <= stroke;
            if (isOfPart && x >= 0 && y >= 0 && x < width && y < height) {
                greyNow[y * width + x] = grey[i];
                truthNow[y * width + x] = truth[i];
            }
        }
        return new Case(drawn.name(), page(greyNow, width, height), truthNow, drawn.regions());
    }

    /** Mirrored half of the time, turned by up to 25 degrees, scaled by 0.7 to 1 and bent along two waves. */
    private static Case moved(Case drawn, Random random) {
        int width = drawn.width();
        int height = drawn.height();
        double side = Math.max(width, height);
        double mirror = random.nextBoolean() ? -1 : 1;
        double turn = Math.toRadians(25) * (2 * random.nextDouble() - 1);
        double scale = 1 / (0.7 + 0.3 * random.nextDouble());
        double bendX = 0.03 * side * random.nextDouble();
        double bendY = 0.03 * side * random.nextDouble();
        double wave = side / 6;
        double phaseX = 2 * Math.PI * random.nextDouble();
        double phaseY = 2 * Math.PI * random.nextDouble();
        int[] grey = grey(drawn.line());
        int[] greyNow = new int[grey.length];
        int[] truthNow = new int[grey.length];
        for (int i = 0; i < grey.length; i++) {
            double x = i % width + 0.5 - width / 2.0;
            double y = i / width + 0.5 - height / 2.0;
            double turnedX = mirror * scale * (Math.cos(turn) * x - Math.sin(turn) * y);
            double turnedY = scale * (Math.sin(turn) * x + Math.cos(turn) * y);
            double fromX = turnedX + bendX * Math.sin(turnedY / wave + phaseX) + width / 2.0;
            double fromY = turnedY + bendY * Math.sin(turnedX / wave + phaseY) + height / 2.0;
            greyNow[i] = between(grey, width, height, fromX - 0.5, fromY - 0.5);
            boolean isOnPage = fromX >= 0 && fromY >= 0 && fromX < width && fromY < height;
            truthNow[i] = isOnPage ? drawn.truth()[(int) fromY * width + (int) fromX] : OUTSIDE;
        }
        return new Case(drawn.name(), page(greyNow, width, height), truthNow, drawn.regions());
    }

    private static int between(int[] grey, int width, int height, double x, double y) {
        int left = (int) Math.floor(x);
        int top = (int) Math.floor(y);
        double sum = 0;
        for (int down = 0; down < 2; down++) {
            for (int right = 0; right < 2; right++) {
                double weight = (1 - Math.abs(x - left - right)) * (1 - Math.abs(y - top - down));
                boolean isOnPage = left + right >= 0 && top + down >= 0 && left + right < width && top + down < height;
                sum += weight * (isOnPage ? grey[(top + down) * width + left + right] : PAPER);
            }
        }
        return (int) Math.round(sum);
    }

    /** With strokes a little thinner or thicker. What new ink covers is of nobody. */
    private static Case redrawn(Case drawn, double stroke, Random random) {
        int width = drawn.width();
        int height = drawn.height();
        double wider = stroke * (random.nextDouble() * (THINNER + THICKER) - THINNER);
        InkPlane ink = InkFinder.find(new Picture(width, height, argb(drawn.line())));
        DistanceField toInk = DistanceField.to(width, height, ink::isInk);
        DistanceField toPaper = DistanceField.to(width, height, i -> !ink.isInk(i));
        int[] grey = new int[drawn.truth().length];
        int[] truth = drawn.truth().clone();
        for (int i = 0; i < grey.length; i++) {
            double outside = ink.isInk(i) ? 0.5 - toPaper.distancePx(i) : toInk.distancePx(i) - 0.5;
            double paper = Math.max(0, Math.min(1, outside - wider + 0.5));
            grey[i] = (int) Math.round(PAPER * paper);
            truth[i] = paper < 0.5 ? Case.DO_NOT_CARE : truth[i];
        }
        return new Case(drawn.name(), page(grey, width, height), truth, drawn.regions());
    }

    private static int[] argb(BufferedImage line) {
        return line.getRGB(0, 0, line.getWidth(), line.getHeight(), null, 0, line.getWidth());
    }

    private static int[] grey(BufferedImage line) {
        return line.getRaster().getSamples(0, 0, line.getWidth(), line.getHeight(), 0, (int[]) null);
    }

    private static BufferedImage page(int[] grey, int width, int height) {
        BufferedImage page = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        page.getRaster().setSamples(0, 0, width, height, 0, grey);
        return page;
    }
}
