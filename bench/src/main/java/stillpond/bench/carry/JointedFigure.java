package stillpond.bench.carry;

import java.awt.BasicStroke;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.geom.RoundRectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import stillpond.bench.flats.Motifs;

/** A made-up person of a head, a body, two arms and two legs of two parts each, with clothes; its build and clothes stay, its pose changes. */
final class JointedFigure {

    private static final int SKIN = 1;
    private static final int HAIR = 2;
    private static final int COAT = 3;
    private static final int TROUSERS = 4;
    private static final int BOOTS = 5;
    private static final int TRIM = 6;
    private static final int BUTTONS = 7;
    private static final int BAG = 8;
    private static final int EYES = 9;
    private static final int STRIPE = 10;

    private final double height;
    private final double girth;
    private final double headSize;
    private final int buttons;
    private final boolean hasBag;
    private final boolean hasStripes;
    private final boolean hasCap;

    private final List<Motifs.Piece> pieces = new ArrayList<>();
    private final List<Integer> labels = new ArrayList<>();

    JointedFigure(Random random) {
        height = 250 + 60 * random.nextDouble();
        girth = 95 + 60 * random.nextDouble();
        headSize = 75 + 35 * random.nextDouble();
        buttons = 2 + random.nextInt(3);
        hasBag = random.nextBoolean();
        hasStripes = random.nextBoolean();
        hasCap = random.nextBoolean();
    }

    /** @param labels of the pieces */
    record Posed(List<Motifs.Piece> pieces, int[] labels) {}

    Posed pose(Random random) {
        pieces.clear();
        labels.clear();
        double lean = 0.18 * random.nextGaussian();
        AffineTransform body = AffineTransform.getTranslateInstance(500, 560);
        body.rotate(lean);
        boolean nearArmIsLeft = random.nextBoolean();
        arm(body, nearArmIsLeft ? 1 : -1, random);
        leg(body, -1, random);
        leg(body, 1, random);
        torso(body);
        head(body, 0.25 * random.nextGaussian());
        arm(body, nearArmIsLeft ? -1 : 1, random);
        return new Posed(
                List.copyOf(pieces), labels.stream().mapToInt(label -> label).toArray());
    }

    private void torso(AffineTransform body) {
        double top = -height / 2;
        Path2D coat = new Path2D.Double();
        coat.moveTo(-girth * 0.7, top);
        coat.curveTo(-girth * 0.9, 0, -girth * 1.1, height * 0.3, -girth * 1.15, height * 0.55);
        coat.curveTo(-girth * 0.4, height * 0.62, girth * 0.4, height * 0.62, girth * 1.15, height * 0.55);
        coat.curveTo(girth * 1.1, height * 0.3, girth * 0.9, 0, girth * 0.7, top);
        coat.closePath();
        Area whole = new Area(coat);
        add(whole, COAT, body);
        add(cut(whole, new Rectangle2D.Double(-400, height * 0.44, 800, 200)), TRIM, body);
        add(cut(whole, new Rectangle2D.Double(-400, height * 0.05, 800, height * 0.09)), BAG, body);
        if (hasStripes) {
            add(cut(whole, new Rectangle2D.Double(-400, height * 0.24, 800, height * 0.05)), STRIPE, body);
        }
        for (int i = 0; i < buttons; i++) {
            double y = top + height * 0.16 + i * height * 0.36 / buttons;
            add(new Area(new Ellipse2D.Double(-9, y, 18, 18)), BUTTONS, body);
        }
        if (hasBag) {
            double x = girth * 0.25;
            add(new Area(new RoundRectangle2D.Double(x, height * 0.16, girth * 0.8, height * 0.26, 24, 24)), BAG, body);
            add(new Area(new RoundRectangle2D.Double(x, height * 0.16, girth * 0.8, height * 0.1, 24, 24)), TRIM, body);
        }
    }

    private void head(AffineTransform body, double nod) {
        AffineTransform head = new AffineTransform(body);
        head.translate(0, -height / 2 - 6);
        head.rotate(nod);
        double r = headSize;
        add(new Area(new Ellipse2D.Double(-r * 1.12, -r * 2.15, r * 2.24, r * 2.2)), HAIR, head);
        Area face = new Area(new Ellipse2D.Double(-r * 0.85, -r * 1.65, r * 1.7, r * 1.7));
        add(face, SKIN, head);
        add(cut(face, new Rectangle2D.Double(-r, -r * 1.8, r * 2, r * 0.5)), HAIR, head);
        for (int side = -1; side <= 1; side += 2) {
            add(new Area(new Ellipse2D.Double(side * r * 0.35 - 9, -r * 0.95, 18, 22)), EYES, head);
            add(new Area(new Ellipse2D.Double(side * r * 1.0 - 13, -r * 1.0, 26, 34)), SKIN, head);
        }
        add(new Area(new RoundRectangle2D.Double(-r * 0.75, -r * 0.18, r * 1.5, r * 0.42, 30, 30)), TRIM, head);
        if (hasCap) {
            add(new Area(new RoundRectangle2D.Double(-r * 1.1, -r * 2.25, r * 2.2, r * 0.75, 60, 60)), STRIPE, head);
        }
    }

    private void arm(AffineTransform body, int side, Random random) {
        AffineTransform upper = new AffineTransform(body);
        upper.translate(side * girth * 0.62, -height / 2 + 34);
        upper.rotate(-side * (0.5 + 0.45 * random.nextGaussian()));
        double length = height * 0.4;
        AffineTransform lower = new AffineTransform(upper);
        lower.translate(0, length);
        lower.rotate(-side * 0.7 * random.nextDouble());
        add(new Area(new Ellipse2D.Double(-24, length - 12, 48, 52)), SKIN, lower);
        add(limb(length, 30), COAT, lower);
        add(new Area(new RoundRectangle2D.Double(-34, length - 22, 68, 28, 14, 14)), TRIM, lower);
        add(limb(length, 34), COAT, upper);
    }

    private void leg(AffineTransform body, int side, Random random) {
        AffineTransform upper = new AffineTransform(body);
        upper.translate(side * girth * 0.5, height * 0.48);
        upper.rotate(-side * 0.12 + 0.3 * random.nextGaussian());
        double length = height * 0.34;
        AffineTransform lower = new AffineTransform(upper);
        lower.translate(0, length);
        lower.rotate(0.25 * random.nextGaussian());
        Area foot = new Area(new Ellipse2D.Double(side > 0 ? -30 : -62, length - 24, 92, 50));
        add(limb(length, 38), TROUSERS, upper);
        Area boot = limb(length, 42);
        boot.add(foot);
        add(boot, BOOTS, lower);
        add(new Area(new RoundRectangle2D.Double(-46, 6, 92, 26, 12, 12)), TRIM, lower);
    }

    private static Area limb(double length, double radius) {
        return new Area(new BasicStroke((float) (2 * radius), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND)
                .createStrokedShape(new Line2D.Double(0, 0, 0, length)));
    }

    private static Area cut(Area whole, Rectangle2D by) {
        Area part = new Area(whole);
        part.intersect(new Area(by));
        return part;
    }

    private void add(Area area, int label, AffineTransform place) {
        pieces.add(new Motifs.Piece(area.createTransformedArea(place), Motifs.Outline.WHOLE));
        labels.add(label);
    }
}
