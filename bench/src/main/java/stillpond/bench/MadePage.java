package stillpond.bench;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.CubicCurve2D;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import javax.imageio.ImageIO;

/** A page of line art made by code: the same drawing at every size, with a few hundred regions. */
final class MadePage {

    private static final int SHAPES = 220;

    private MadePage() {}

    /** An A4 upright page of about so many megapixels, as an 8-bit grey PNG. */
    static byte[] png(int megapixels) {
        return png(megapixels, 1);
    }

    /** Another drawing for each seed. */
    static byte[] png(int megapixels, int seed) {
        int width = (int) Math.round(Math.sqrt(megapixels * 1e6 / Math.sqrt(2)));
        int height = (int) Math.round(width * Math.sqrt(2));
        BufferedImage page = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D pen = page.createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, width, height);
        pen.setColor(Color.BLACK);
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setStroke(new BasicStroke(width / 400f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        draw(pen, width, height, seed);
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(page, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** The same, kept in the folder for temporary files: drawing the large ones takes longer than reading them. */
    static byte[] file(int megapixels) throws IOException {
        Path path = Path.of(System.getProperty("java.io.tmpdir"), "still-pond-page-" + megapixels + ".png");
        if (!Files.exists(path)) {
            Files.write(path, png(megapixels));
        }
        return Files.readAllBytes(path);
    }

    private static void draw(Graphics2D pen, int width, int height, int seed) {
        Random random = new Random(seed);
        for (int i = 0; i < SHAPES; i++) {
            double x = random.nextDouble() * width;
            double y = random.nextDouble() * height;
            double side = (0.01 + 0.12 * random.nextDouble()) * width;
            if (i % 4 == 0) {
                pen.draw(new CubicCurve2D.Double(
                        x,
                        y,
                        random.nextDouble() * width,
                        y + side,
                        x + side,
                        random.nextDouble() * height,
                        x,
                        y + side));
            } else {
                pen.draw(new Ellipse2D.Double(x, y, side, side * (0.4 + random.nextDouble())));
            }
        }
    }
}
