package stillpond.bench.flats;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.function.IntUnaryOperator;
import javax.imageio.ImageIO;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.ink.InkPlane;

/** Draws what the analysis makes of some generated cases, for {@code docs/gap-closing.md}: openings, cells, regions. */
final class GapPictures {

    private static final int SIDE = 420;

    private GapPictures() {}

    public static void main(String[] args) throws IOException {
        Path folder = Path.of(args[0]);
        for (int i = 1; i < args.length; i++) {
            draw(
                    CaseMaker.heldOut(Integer.parseInt(args[i])),
                    folder.resolve("case-" + args[i] + ".png").toFile());
        }
    }

    private static void draw(Case drawn, File file) throws IOException {
        InkPlane ink = FlatsBench.ink(drawn);
        Openings openings = Openings.of(ink);
        Regions regions = Regions.of(openings, Dams.at(openings.defaultReach()));
        BufferedImage all = new BufferedImage(3 * SIDE, SIDE, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = all.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        BufferedImage lines = painted(ink, openings, cell -> 0xffffff);
        drawOpenings(lines, openings);
        pen.drawImage(lines, 0, 0, SIDE, SIDE, null);
        pen.drawImage(painted(ink, openings, cell -> colour(cell, 0.35f)), SIDE, 0, SIDE, SIDE, null);
        pen.drawImage(painted(ink, openings, cell -> colour(regions.of(cell), 0.5f)), 2 * SIDE, 0, SIDE, SIDE, null);
        pen.dispose();
        ImageIO.write(all, "png", file);
    }

    private static BufferedImage painted(InkPlane ink, Openings openings, IntUnaryOperator rgbOfCell) {
        BufferedImage page = new BufferedImage(ink.widthPx(), ink.heightPx(), BufferedImage.TYPE_INT_RGB);
        int[] numbers = openings.cells().plane().numbers();
        for (int i = 0; i < numbers.length; i++) {
            int rgb = ink.isInk(i) ? 0x202020 : rgbOfCell.applyAsInt(numbers[i]);
            page.setRGB(i % ink.widthPx(), i / ink.widthPx(), rgb);
        }
        return page;
    }

    /** Golden angles round the hue circle, so that neighbours in number look unlike each other. */
    private static int colour(int number, float saturation) {
        return Color.HSBtoRGB(number * 0.618034f, number == 0 ? 0.05f : saturation, 0.95f);
    }

    /** Thick and dark: strong. */
    private static void drawOpenings(BufferedImage page, Openings openings) {
        Graphics2D pen = page.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        for (Opening opening : openings.openings()) {
            Path2D path = new Path2D.Double();
            path.moveTo(opening.line().get(0).x(), opening.line().get(0).y());
            opening.line().forEach(point -> path.lineTo(point.x(), point.y()));
            boolean dammed = opening.strength() >= openings.defaultReach();
            pen.setStroke(new BasicStroke((float) (openings.strokePx() * (dammed ? 0.5 : 0.22))));
            pen.setColor(dammed ? new Color(0xc2452d) : new Color(0x6f8fb5));
            pen.draw(path);
        }
        pen.dispose();
    }
}
