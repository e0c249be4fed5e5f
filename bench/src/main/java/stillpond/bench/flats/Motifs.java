package stillpond.bench.flats;

import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.geom.RoundRectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Things to draw, each a stack of shapes from back to front on a field of 1000 x 1000. */
public final class Motifs {

    public record Piece(Area area, Outline outline) {}

    /** How the edge of a shape is drawn. */
    public enum Outline {
        /** All round. */
        WHOLE,
        /** All but its lower end, as where a figure is cut off. */
        OPEN_BASE,
        /** Not at all: a colour without a line, such as a blush. */
        NONE
    }

    private final Random random;
    private final List<Piece> pieces = new ArrayList<>();

    private Motifs(Random random) {
        this.random = random;
    }

    /** How many motifs there are; the last {@link #HELD_OUT} of them are never fitted to. */
    public static final int COUNT = 16;

    static final int HELD_OUT = 4;

    public static List<Piece> draw(int motif, Random random) {
        Motifs motifs = new Motifs(random);
        switch (motif) {
            case 0 -> motifs.blobs();
            case 1 -> motifs.bust();
            case 2 -> motifs.figure();
            case 3 -> motifs.house();
            case 4 -> motifs.animal();
            case 5 -> motifs.flower();
            case 6 -> motifs.cup();
            case 7 -> motifs.cart();
            case 8 -> motifs.rings();
            case 9 -> motifs.book();
            case 10 -> motifs.polygons();
            case 11 -> motifs.landscape();
            case 12 -> motifs.fish();
            case 13 -> motifs.table();
            case 14 -> motifs.tree();
            default -> motifs.hand();
        }
        return motifs.pieces;
    }

    private void blobs() {
        int count = 2 + random.nextInt(5);
        for (int i = 0; i < count; i++) {
            add(blob(200 + 600 * u(), 200 + 600 * u(), 90 + 230 * u(), 90 + 200 * u(), 5 + random.nextInt(6), 0.25));
        }
    }

    private void bust() {
        double x = 450 + 100 * u();
        double r = 150 + 50 * u();
        add(blob(x, 330, r * 1.35, r * 1.5, 9, 0.12));
        Area shoulders = new Area(smooth(
                x - 330 - 40 * u(),
                960,
                x - 260,
                700,
                x - 90,
                620,
                x + 90,
                620,
                x + 260,
                700,
                x + 330 + 40 * u(),
                960));
        add(shoulders, Outline.OPEN_BASE);
        add(new Area(new Rectangle2D.Double(x - 55, 440, 110, 220)), Outline.OPEN_BASE);
        add(ellipse(x, 360, r, r * 1.15));
        Area hair = blob(x, 300, r * 1.25, r * 0.95, 10, 0.1);
        hair.subtract(ellipse(x, 400, r * 0.85, r * 0.95));
        add(hair);
        for (int side = -1; side <= 1; side += 2) {
            add(ellipse(x + side * r * 0.4, 370, 30 + 8 * u(), 26));
            add(ellipse(x + side * r * 0.4 + 4, 372, 13, 14));
        }
        add(new Area(polygon(x - 120, 640, x, 780, x + 120, 640)));
        if (u() < 0.5) {
            add(ellipse(x - r * 0.6, 440, 26, 20), Outline.NONE);
        }
    }

    private void figure() {
        double x = 460 + 80 * u();
        for (int side = -1; side <= 1; side += 2) {
            double foot = x + side * (70 + 90 * u());
            add(limb(46 + 14 * u(), x + side * 50, 590, x + side * (60 + 40 * u()), 730, foot, 890));
            add(blob(foot + side * 20, 910, 75, 36, 7, 0.1));
        }
        add(limb(40 + 14 * u(), x - 110, 400, x - 210 - 60 * u(), 480 + 90 * u(), x - 190 - 60 * u(), 620));
        Area body = new Area(
                smooth(x - 120, 360, x, 335, x + 120, 360, x + 140 + 40 * u(), 640, x, 670, x - 140 - 40 * u(), 640));
        add(body);
        Area belt = new Area(new Rectangle2D.Double(x - 260, 520 + 30 * u(), 520, 44));
        belt.intersect(body);
        add(belt);
        add(limb(40 + 14 * u(), x + 110, 400, x + 230 + 60 * u(), 430 + 120 * u(), x + 150 + 120 * u(), 570));
        add(ellipse(x, 230, 110, 118));
        Area hair = blob(x, 190, 135, 105, 11, 0.14);
        hair.subtract(ellipse(x, 265, 98, 95));
        add(hair);
        add(blob(x, 350, 120, 40, 9, 0.12));
    }

    private void house() {
        double w = 220 + 120 * u();
        double top = 430 + 60 * u();
        add(new Area(new Rectangle2D.Double(500 + w * 0.3, top - 220, 70, 200)));
        add(new Area(new Rectangle2D.Double(500 - w, top, 2 * w, 420)));
        add(new Area(polygon(
                500 - w - 70, top + 10, 500 - w * 0.2, top - 260, 500 + w * 0.3, top - 250, 500 + w + 70, top + 10)));
        double door = 500 - w * 0.4 + w * 0.6 * u();
        add(new Area(new RoundRectangle2D.Double(door, top + 170, 120, 252, 90, 90)));
        add(ellipse(door + 95, top + 310, 11, 11));
        for (int i = 0; i < 2; i++) {
            double wx = 500 - w + 40 + i * (2 * w - 210);
            double wy = top + 70;
            if (Math.abs(wx - door) > 150) {
                add(new Area(new Rectangle2D.Double(wx, wy, 130, 130)));
                add(new Area(new Rectangle2D.Double(wx + 14, wy + 14, 46, 102)));
                add(new Area(new Rectangle2D.Double(wx + 72, wy + 14, 46, 102)));
            }
        }
    }

    private void animal() {
        double y = 500 + 60 * u();
        add(limb(34, 770, y, 900, y - 90, 880 + 50 * u(), y - 220));
        for (int i = 0; i < 4; i++) {
            add(limb(44 + 10 * u(), 330 + i * 120, y + 80, 325 + i * 122, y + 200, 330 + i * 120 + 30 * u(), y + 320));
        }
        add(blob(540, y, 290, 150 + 30 * u(), 8, 0.1));
        for (int i = 0; i < 3; i++) {
            add(blob(420 + 120 * i, y - 40 + 70 * u(), 36 + 20 * u(), 30, 6, 0.2));
        }
        double hx = 240;
        double hy = y - 150;
        for (int side = -1; side <= 1; side += 2) {
            Area ear = blob(hx + side * 85, hy - 130, 45, 95, 7, 0.1);
            add(ear);
            add(blob(hx + side * 85, hy - 125, 22, 60, 7, 0.1));
        }
        add(blob(hx, hy, 150, 135, 9, 0.08));
        add(ellipse(hx - 30, hy + 60, 75, 52));
        add(ellipse(hx - 30, hy + 35, 26, 18));
        for (int side = -1; side <= 1; side += 2) {
            add(ellipse(hx - 10 + side * 60, hy - 25, 20, 24));
        }
    }

    private void flower() {
        add(limb(26, 500, 480, 470 + 60 * u(), 720, 510, 950));
        for (int side = -1; side <= 1; side += 2) {
            Area leaf = blob(500 + side * 140, 760 + 60 * u(), 150, 52, 6, 0.1);
            leaf.transform(AffineTransform.getRotateInstance(side * -0.5, 500, 760));
            add(leaf);
        }
        int petals = 5 + random.nextInt(4);
        double reach = 180 + 40 * u();
        for (int i = 0; i < petals; i++) {
            Area petal = blob(500 + reach, 350, 140, 88, 7, 0.1);
            petal.transform(AffineTransform.getRotateInstance(2 * Math.PI * i / petals, 500, 350));
            add(petal);
        }
        add(ellipse(500, 350, 95, 90));
    }

    private void cup() {
        Area handle = ellipse(720, 540, 150, 160);
        handle.subtract(ellipse(725, 540, 92, 100));
        add(handle);
        if (u() < 0.6) {
            add(limb(60, 330, 600, 200, 540, 150, 380));
        }
        add(new Area(smooth(290, 330, 510, 320, 730, 330, 700, 700, 510, 790, 320, 700)));
        add(ellipse(510, 335, 222, 54));
        add(ellipse(510, 340, 180, 34));
        if (u() < 0.5) {
            Area band = new Area(new Rectangle2D.Double(200, 520, 600, 80));
            band.intersect(new Area(smooth(290, 330, 510, 320, 730, 330, 700, 700, 510, 790, 320, 700)));
            add(band);
        }
        add(blob(510, 850, 380, 60, 8, 0.05));
    }

    private void cart() {
        add(new Area(smooth(120, 640, 160, 470, 360, 420, 480, 290, 730, 300, 800, 440, 890, 500, 890, 650)));
        add(new Area(polygon(420, 430, 500, 330, 590, 330, 590, 430)));
        add(new Area(polygon(620, 430, 620, 330, 700, 335, 750, 430)));
        add(new Area(new RoundRectangle2D.Double(600, 470, 8 + 150 * u(), 150, 30, 30)));
        for (int i = 0; i < 2; i++) {
            double x = 290 + 430 * i;
            add(ellipse(x, 660, 118, 118));
            add(ellipse(x, 660, 74, 74));
            add(ellipse(x, 660, 24, 24));
        }
        add(ellipse(870, 560, 24, 34));
    }

    private void rings() {
        int groups = 1 + random.nextInt(3);
        for (int g = 0; g < groups; g++) {
            double x = 250 + 500 * u();
            double y = 250 + 500 * u();
            double r = 120 + 180 * u();
            double ratio = 0.6 + 0.4 * u();
            while (r > 22) {
                add(ellipse(x, y, r, r * ratio));
                r *= 0.45 + 0.3 * u();
            }
        }
    }

    private void book() {
        Area left = new Area(smooth(500, 330, 330, 280, 120, 320, 120, 740, 330, 700, 500, 760));
        Area right = new Area(smooth(500, 330, 670, 280, 880, 320, 880, 740, 670, 700, 500, 760));
        add(new Area(polygon(95, 330, 905, 330, 905, 780, 95, 780)));
        add(left);
        add(right);
        add(new Area(new Rectangle2D.Double(190, 400, 120 + 90 * u(), 110)));
        add(new Area(polygon(640, 300, 700, 300, 700, 540, 670, 500, 640, 540)));
        for (int i = 0; i < 5; i++) {
            add(new Area(new Rectangle2D.Double(560 + 60 * i, 600, 60, 70 + 30 * u())));
        }
    }

    private void polygons() {
        int count = 3 + random.nextInt(6);
        for (int i = 0; i < count; i++) {
            double x = 150 + 700 * u();
            double y = 150 + 700 * u();
            double r = 80 + 170 * u();
            int corners = 3 + random.nextInt(6);
            double[] points = new double[2 * corners];
            boolean star = u() < 0.3;
            for (int c = 0; c < corners; c++) {
                double angle = 2 * Math.PI * (c + 0.3 * u()) / corners;
                double reach = r * (star && c % 2 == 1 ? 0.5 : 0.8 + 0.3 * u());
                points[2 * c] = x + reach * Math.cos(angle);
                points[2 * c + 1] = y + reach * Math.sin(angle);
            }
            add(new Area(polygon(points)));
        }
    }

    private void landscape() {
        add(new Area(new Rectangle2D.Double(-80, 520 + 80 * u(), 1160, 560)));
        add(ellipse(720 + 120 * u(), 240, 90, 90));
        for (int i = 0; i < 3; i++) {
            double top = 560 + 110 * i;
            add(new Area(smooth(
                    -90,
                    1080,
                    -90,
                    top + 90 * u(),
                    250,
                    top - 70 * u(),
                    600,
                    top + 90 * u(),
                    1090,
                    top - 30,
                    1090,
                    1080)));
        }
        add(blob(270, 220, 150, 60, 12, 0.16));
        add(limb(40, 380, 760, 385, 610, 380, 520));
        add(blob(380, 470, 120, 110, 13, 0.12));
    }

    private void fish() {
        add(new Area(polygon(740, 500, 900, 360, 880, 500, 910, 650)));
        add(new Area(smooth(400, 380, 520, 230, 640, 370)));
        Area body = blob(470, 500, 310, 170, 8, 0.05);
        add(body);
        Area head = ellipse(200, 500, 190, 260);
        head.intersect(body);
        add(head);
        for (int i = 0; i < 3; i++) {
            Area stripe = new Area(new Rectangle2D.Double(440 + 90 * i, 200, 40, 600));
            stripe.intersect(body);
            add(stripe);
        }
        add(blob(500, 580, 80, 44, 6, 0.15));
        add(ellipse(270, 450, 36, 36));
        add(ellipse(268, 452, 16, 16));
    }

    private void table() {
        for (int i = 0; i < 4; i++) {
            add(new Area(polygon(200 + 180 * i, 480, 245 + 180 * i, 480, 235 + 180 * i, 900, 212 + 180 * i, 900)));
        }
        add(new Area(polygon(120, 430, 880, 430, 910, 510, 90, 510)));
        add(blob(330, 360, 80, 90, 8, 0.05));
        Area handle = ellipse(430, 350, 44, 48);
        handle.subtract(ellipse(430, 350, 22, 26));
        add(handle);
        add(new Area(new RoundRectangle2D.Double(560, 250, 150, 185, 20, 20)));
        add(new Area(new Rectangle2D.Double(585, 280, 100, 60)));
    }

    private void tree() {
        add(new Area(smooth(430, 960, 460, 640, 400, 560, 500, 600, 610, 540, 545, 660, 580, 960)));
        for (int i = 0; i < 4; i++) {
            add(blob(320 + 120 * i, 330 + 120 * u(), 150 + 40 * u(), 140, 13, 0.13));
        }
        for (int i = 0; i < 4; i++) {
            add(ellipse(330 + 110 * i, 350 + 130 * u(), 24, 26));
        }
        add(ellipse(505, 760, 26, 44));
    }

    private void hand() {
        add(new Area(smooth(330, 960, 350, 700, 500, 640, 650, 700, 690, 960)), Outline.OPEN_BASE);
        add(blob(500, 560, 165, 160, 9, 0.05));
        for (int i = 0; i < 4; i++) {
            double x = 375 + 84 * i;
            add(limb(60, x, 520, x + (i - 1.5) * 22, 360, x + (i - 1.5) * 40, 230 + 40 * Math.abs(i - 1.4)));
        }
        add(limb(64, 380, 620, 260, 560, 210, 460));
        add(new Area(polygon(300, 720, 720, 720, 740, 800, 290, 800)));
    }

    private void add(Area area) {
        add(area, Outline.WHOLE);
    }

    private void add(Area area, Outline outline) {
        pieces.add(new Piece(area, outline));
    }

    private double u() {
        return random.nextDouble();
    }

    private static Area ellipse(double x, double y, double rx, double ry) {
        return new Area(new Ellipse2D.Double(x - rx, y - ry, 2 * rx, 2 * ry));
    }

    private Area blob(double x, double y, double rx, double ry, int knots, double rough) {
        double[] points = new double[2 * knots];
        for (int i = 0; i < knots; i++) {
            double angle = 2 * Math.PI * i / knots;
            double reach = 1 + rough * (2 * u() - 1);
            points[2 * i] = x + rx * reach * Math.cos(angle);
            points[2 * i + 1] = y + ry * reach * Math.sin(angle);
        }
        return new Area(smooth(points));
    }

    private static Area limb(double width, double... points) {
        Path2D path = new Path2D.Double();
        path.moveTo(points[0], points[1]);
        path.quadTo(points[2], points[3], points[4], points[5]);
        Shape stroked = new BasicStroke((float) width * 1.6f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND)
                .createStrokedShape(path);
        return new Area(stroked);
    }

    private static Path2D polygon(double... points) {
        Path2D path = new Path2D.Double();
        path.moveTo(points[0], points[1]);
        for (int i = 2; i < points.length; i += 2) {
            path.lineTo(points[i], points[i + 1]);
        }
        path.closePath();
        return path;
    }

    /** A closed Catmull-Rom curve through the points. */
    private static Path2D smooth(double... points) {
        int n = points.length / 2;
        Path2D path = new Path2D.Double();
        path.moveTo(points[0], points[1]);
        for (int i = 0; i < n; i++) {
            int a = (i + n - 1) % n;
            int c = (i + 1) % n;
            int d = (i + 2) % n;
            path.curveTo(
                    points[2 * i] + (points[2 * c] - points[2 * a]) / 6,
                    points[2 * i + 1] + (points[2 * c + 1] - points[2 * a + 1]) / 6,
                    points[2 * c] - (points[2 * d] - points[2 * i]) / 6,
                    points[2 * c + 1] - (points[2 * d + 1] - points[2 * i + 1]) / 6,
                    points[2 * c],
                    points[2 * c + 1]);
        }
        path.closePath();
        return path;
    }
}
