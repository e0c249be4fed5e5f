package stillpond.core.carry;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Polygon;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.CellMap;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.Picture;

/** A lopsided little person of closed shapes, drawn in several poses. */
class CarryTest {

    private static final int SIDE = 500;
    private static final int HEAD = 1;
    private static final int COAT = 2;
    private static final int BELT = 3;
    private static final int BOOTS = 4;
    private static final int BAG = 5;

    /** By label and number of the shape with it, on a field of 500. */
    private static Map<int[], Shape> person() {
        Map<int[], Shape> shapes = new LinkedHashMap<>();
        shapes.put(new int[] {COAT, 140, 250}, new Rectangle2D.Double(130, 170, 120, 160));
        shapes.put(new int[] {BELT, 150, 262}, new Rectangle2D.Double(130, 250, 120, 24));
        shapes.put(new int[] {HEAD, 190, 110}, new Ellipse2D.Double(135, 60, 110, 110));
        shapes.put(new int[] {BOOTS, 160, 380}, new Rectangle2D.Double(135, 330, 45, 100));
        shapes.put(new int[] {BOOTS, 220, 380}, new Rectangle2D.Double(200, 330, 45, 100));
        shapes.put(new int[] {BAG, 300, 260}, new Ellipse2D.Double(250, 215, 90, 80));
        return shapes;
    }

    private record Page(Drawing drawing, int[] labels) {}

    /** Things that lie apart on a table. */
    private static Map<int[], Shape> table() {
        Map<int[], Shape> shapes = new LinkedHashMap<>();
        shapes.put(new int[] {HEAD}, new Rectangle2D.Double(60, 60, 70, 40));
        shapes.put(new int[] {COAT}, new Ellipse2D.Double(210, 80, 50, 95));
        shapes.put(new int[] {BELT}, new Rectangle2D.Double(350, 50, 36, 150));
        shapes.put(new int[] {BOOTS}, new Ellipse2D.Double(90, 280, 130, 60));
        shapes.put(new int[] {BAG}, new Rectangle2D.Double(310, 310, 90, 60));
        return shapes;
    }

    private static Page draw(AffineTransform pose) {
        return draw(person(), pose);
    }

    private static Page draw(Map<int[], Shape> shapes, AffineTransform pose) {
        BufferedImage image = new BufferedImage(SIDE, SIDE, BufferedImage.TYPE_INT_RGB);
        int[] labelOfPixel = new int[SIDE * SIDE];
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, SIDE, SIDE);
        pen.setStroke(new BasicStroke(4));
        shapes.forEach((label, shape) -> {
            Shape posed = pose.createTransformedShape(shape);
            pen.setColor(Color.WHITE);
            pen.fill(posed);
            pen.setColor(Color.BLACK);
            pen.draw(posed);
            for (int i = 0; i < labelOfPixel.length; i++) {
                if (posed.contains(i % SIDE + 0.5, i / SIDE + 0.5)) {
                    labelOfPixel[i] = label[0];
                }
            }
        });
        pen.dispose();
        Picture picture = new Picture(SIDE, SIDE, image.getRGB(0, 0, SIDE, SIDE, null, 0, SIDE));
        Openings openings = Openings.of(InkFinder.find(picture));
        Regions regions = Regions.of(openings, Dams.at(openings.defaultReach()));
        CellMap map = openings.cells();
        int[] labels = new int[regions.count()];
        map.cells()
                .forEach(cell ->
                        labels[regions.of(cell.number())] = labelOfPixel[cell.deepestY() * SIDE + cell.deepestX()]);
        for (int i = 0; i < labels.length; i++) {
            labels[i] = labels[i] == 0 ? -1 : labels[i];
        }
        return new Page(Drawing.of(map, regions), labels);
    }

    private static void expectAllRight(AffineTransform pose) {
        expectAllRight(person(), pose);
    }

    private static void expectAllRight(Map<int[], Shape> shapes, AffineTransform pose) {
        Page model = draw(shapes, new AffineTransform());
        Page posed = draw(shapes, pose);
        List<Carry.Proposal> proposals =
                Carry.from(List.of(new Carry.Source(model.drawing(), model.labels())), posed.drawing());
        for (int region = 0; region < posed.labels().length; region++) {
            int there = region;
            if (posed.labels()[region] >= 0) {
                assertThat(proposals)
                        .filteredOn(proposal -> proposal.region() == there)
                        .as("region %d", region)
                        .singleElement()
                        .satisfies(proposal ->
                                assertThat(proposal.choices().get(0).label()).isEqualTo(posed.labels()[there]));
            }
        }
    }

    @Test
    void theSameDrawingIsCarriedWhole() {
        expectAllRight(new AffineTransform());
    }

    @Test
    void aTurnedAndSmallerOneIsCarriedWhole() {
        AffineTransform pose = AffineTransform.getTranslateInstance(120, 60);
        pose.rotate(0.4, 200, 250);
        pose.scale(0.75, 0.75);
        expectAllRight(pose);
    }

    @Test
    void aThingOfOneRegionIsFoundByItsAxis() {
        Shape leaf = new Polygon(new int[] {100, 180, 330, 290, 160}, new int[] {200, 130, 190, 230, 250}, 5);
        AffineTransform pose = AffineTransform.getTranslateInstance(90, 130);
        pose.rotate(0.5, 200, 200);
        pose.scale(0.8, 0.8);
        expectAllRight(Map.of(new int[] {COAT}, leaf), pose);
    }

    @Test
    void aMirroredOneIsCarriedWhole() {
        AffineTransform pose = AffineTransform.getTranslateInstance(460, 20);
        pose.scale(-0.9, 0.9);
        expectAllRight(pose);
    }

    @Test
    void thingsThatLieApartAreCarriedWhole() {
        AffineTransform pose = AffineTransform.getTranslateInstance(470, 40);
        pose.scale(-0.9, 0.9);
        pose.rotate(0.2, 250, 200);
        expectAllRight(table(), pose);
    }

    /** Nothing is known of the like of a part that wears nothing, and what lies around it says nothing of it either. */
    @Test
    void whatTheSourceSaysNothingOfGetsNothing() {
        Page model = draw(new AffineTransform());
        int[] labels = Arrays.stream(model.labels())
                .map(label -> label == BELT ? -1 : label)
                .toArray();
        Page posed = draw(AffineTransform.getRotateInstance(0.25, 250, 250));
        assertThat(Carry.from(List.of(new Carry.Source(model.drawing(), labels)), posed.drawing()))
                .filteredOn(proposal -> posed.labels()[proposal.region()] == BELT)
                .allSatisfy(proposal ->
                        assertThat(proposal.choices().get(0).share()).isLessThan(0.1));
    }

    @Test
    void whatLiesBehindAFigureIsNotCovered() {
        Page model = draw(new AffineTransform());
        Map<int[], Shape> before = new LinkedHashMap<>();
        for (int y = 20; y < 460; y += 60) {
            before.put(new int[] {0}, new Rectangle2D.Double(20, y, 80, 44));
            before.put(new int[] {0}, new Rectangle2D.Double(400, y, 80, 44));
        }
        before.putAll(person());
        Page page = draw(before, new AffineTransform());
        List<Carry.Proposal> covered =
                Carry.from(List.of(new Carry.Source(model.drawing(), model.labels())), page.drawing()).stream()
                        .filter(Carry.Proposal::isCovered)
                        .toList();
        assertThat(covered).isNotEmpty().allMatch(each -> page.labels()[each.region()] >= 0);
    }

    @Test
    void theSameTwoDrawingsAreAnsweredTheSameWay() {
        Page model = draw(new AffineTransform());
        Page posed = draw(AffineTransform.getRotateInstance(-0.3, 250, 250));
        List<Carry.Source> sources = List.of(new Carry.Source(model.drawing(), model.labels()));
        assertThat(Carry.from(sources, posed.drawing())).isEqualTo(Carry.from(sources, posed.drawing()));
    }

    @Test
    void whatWasCorrectedTwiceIsProposedNextTime() {
        Page model = draw(new AffineTransform());
        int bag = List.of(0, 1, 2, 3, 4, 5, 6, 7).stream()
                .filter(region -> region < model.labels().length && model.labels()[region] == BAG)
                .findFirst()
                .orElseThrow();
        Carry.Source source = new Carry.Source(model.drawing(), model.labels(), Map.of(bag, Map.of(BELT, 2)));
        Carry.Proposal proposal = Carry.from(List.of(source), model.drawing()).stream()
                .filter(each -> each.region() == bag)
                .findFirst()
                .orElseThrow();
        assertThat(proposal.choices().get(0).label()).isEqualTo(BELT);
        assertThat(proposal.choices().get(1).label()).isEqualTo(BAG);
        assertThat(proposal.isSure()).isFalse();
    }

    @Test
    void aDrawingWithoutFillsSaysNothing() {
        Page model = draw(new AffineTransform());
        int[] nothing = new int[model.labels().length];
        Arrays.fill(nothing, -1);
        assertThat(Carry.from(List.of(new Carry.Source(model.drawing(), nothing)), model.drawing()))
                .isEmpty();
    }

    @Test
    void likesThatHoldBothWaysAreOfTheSamePartAndOfHerAlone() {
        Page model = draw(new AffineTransform());
        Map<int[], Shape> two = person();
        two.put(new int[] {-7}, new Ellipse2D.Double(20, 30, 60, 44));
        Page posed = draw(two, AffineTransform.getTranslateInstance(30, 20));
        List<Carry.Proposal> likes =
                MutualLikes.between(new Carry.Source(model.drawing(), model.labels()), posed.drawing());
        assertThat(likes).hasSizeGreaterThanOrEqualTo(6);
        assertThat(likes).allSatisfy(like -> {
            int label = like.choices().get(0).label();
            assertThat(posed.labels()[like.region()]).isEqualTo(label);
            assertThat(model.labels()[like.choices().get(0).from()]).isEqualTo(label);
        });
        assertThat(likes.stream().map(like -> like.choices().get(0).from()))
                .as("each is like another")
                .doesNotHaveDuplicates();
    }
}
