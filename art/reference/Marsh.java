import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.LinearGradientPaint;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.QuadCurve2D;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.util.Random;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;

/** Paints the demo's reference picture, a salt marsh at noon: {@code java Marsh.java} writes marsh-at-noon.jpg here. */
public class Marsh {

    private static final int WIDTH = 1200;
    private static final int HEIGHT = 800;
    private static final int[] GRASS = {0x6e7d43, 0x8a9654, 0x55663a, 0x9b8a4a};
    private static final double NOISE = 5;

    private final Random random = new Random(11);
    private final BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    private final Graphics2D graphics = image.createGraphics();

    public static void main(String[] arguments) throws IOException {
        Marsh marsh = new Marsh();
        marsh.paint();
        marsh.write(new File("marsh-at-noon.jpg"));
    }

    private void paint() {
        graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        sky();
        sea();
        sand();
        grass();
        flag();
        grain();
    }

    private void sky() {
        band(0, 420, new float[] {0, 0.6f, 1}, 0x7fa9bd, 0xbcd3d6, 0xf0dfc0);
        for (int i = 0; i < 60; i++) {
            graphics.setColor(new Color(255, 248, 236, 20 + random.nextInt(30)));
            double x = random.nextInt(WIDTH);
            double y = 60 + random.nextInt(220);
            graphics.fill(new Ellipse2D.Double(x - 90, y - 14, 120 + random.nextInt(160), 18 + random.nextInt(22)));
        }
        graphics.setColor(new Color(0xf3d98b));
        graphics.fill(new Ellipse2D.Double(930, 120, 92, 92));
    }

    private void sea() {
        band(400, 170, new float[] {0, 1}, 0x5f8f98, 0x86aaa6);
        graphics.setColor(new Color(223, 233, 226, 60));
        for (int i = 0; i < 240; i++) {
            int y = 405 + random.nextInt(120);
            graphics.fillRect(random.nextInt(WIDTH), y, 30 + random.nextInt(120), 1 + random.nextInt(2));
        }
    }

    private void sand() {
        Path2D shore = new Path2D.Double();
        shore.moveTo(0, 540);
        shore.curveTo(300, 490, 700, 560, 1200, 505);
        shore.lineTo(1200, 800);
        shore.lineTo(0, 800);
        shore.closePath();
        graphics.setPaint(gradient(510, 290, new float[] {0, 1}, 0xdcc08c, 0xb08a55));
        graphics.fill(shore);
        graphics.setColor(new Color(110, 150, 156, 150));
        for (int i = 0; i < 16; i++) {
            double x = random.nextInt(WIDTH);
            graphics.fill(new Ellipse2D.Double(
                    x, 570 + random.nextInt(180), 60 + random.nextInt(140), 8 + random.nextInt(12)));
        }
    }

    private void grass() {
        for (int i = 0; i < 2600; i++) {
            Color blade = new Color(GRASS[random.nextInt(GRASS.length)]);
            graphics.setColor(new Color(blade.getRed(), blade.getGreen(), blade.getBlue(), 170));
            double x = random.nextDouble() < 0.5 ? random.nextInt(380) : 820 + random.nextInt(380);
            double y = 640 + random.nextInt(170);
            graphics.setStroke(new BasicStroke(1.2f + random.nextFloat() * 2));
            graphics.draw(new QuadCurve2D.Double(
                    x,
                    y,
                    x + random.nextInt(20) - 10,
                    y - 60,
                    x + random.nextInt(60) - 30,
                    y - 60 - random.nextInt(90)));
        }
    }

    private void flag() {
        graphics.setColor(new Color(0x5b4636));
        graphics.setStroke(new BasicStroke(7));
        graphics.draw(new Line2D.Double(620, 700, 628, 430));
        Path2D cloth = new Path2D.Double();
        cloth.moveTo(628, 432);
        cloth.curveTo(680, 410, 700, 470, 752, 440);
        cloth.lineTo(746, 492);
        cloth.curveTo(700, 520, 680, 466, 627, 486);
        cloth.closePath();
        graphics.setColor(new Color(0xc8472f));
        graphics.fill(cloth);
    }

    private void grain() {
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                Color colour = new Color(image.getRGB(x, y));
                double noise = random.nextGaussian() * NOISE;
                image.setRGB(
                        x,
                        y,
                        new Color(within(colour.getRed() + noise), within(colour.getGreen() + noise), within(colour.getBlue() + noise))
                                .getRGB());
            }
        }
    }

    private static int within(double channel) {
        return (int) Math.max(0, Math.min(255, channel));
    }

    private void band(int top, int height, float[] at, int... colours) {
        graphics.setPaint(gradient(top, height, at, colours));
        graphics.fillRect(0, top, WIDTH, height);
    }

    private static LinearGradientPaint gradient(int top, int height, float[] at, int... colours) {
        Color[] stops = new Color[colours.length];
        for (int i = 0; i < stops.length; i++) {
            stops[i] = new Color(colours[i]);
        }
        return new LinearGradientPaint(0, top, 0, top + height, at, stops);
    }

    private void write(File file) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpg").next();
        ImageWriteParam quality = writer.getDefaultWriteParam();
        quality.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        quality.setCompressionQuality(0.82f);
        writer.setOutput(ImageIO.createImageOutputStream(file));
        writer.write(null, new IIOImage(image, null, null), quality);
        writer.dispose();
    }
}
