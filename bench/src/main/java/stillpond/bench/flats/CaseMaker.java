package stillpond.bench.flats;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;

/** Makes drawings whose flats are known, from a seed: the same seed makes the same case on any machine. */
public final class CaseMaker {

    private static final double NEARLY_CLOSED = 0.4;

    private CaseMaker() {}

    /** A case to fit to. */
    static Case fitting(int seed) {
        Random random = new Random(1_000_003L * seed + 17);
        return make("fit-" + seed, random.nextInt(Motifs.COUNT - Motifs.HELD_OUT), Style.random(random, false), random);
    }

    /** A case of motifs, sizes and gaps that are never fitted to. */
    static Case heldOut(int seed) {
        Random random = new Random(7_000_003L * seed + 5);
        int motif = Motifs.COUNT - Motifs.HELD_OUT + random.nextInt(Motifs.HELD_OUT);
        return make("held-out-" + seed, motif, Style.random(random, true), random);
    }

    private static Case make(String name, int motif, Style style, Random random) {
        int side = style.sidePx();
        AffineTransform onPage = AffineTransform.getScaleInstance(side / 1000.0, side / 1000.0);
        if (motif != 11) {
            onPage.translate(500, 500);
            onPage.rotate(0.25 * random.nextGaussian());
            onPage.scale(0.75 + 0.15 * random.nextDouble(), 0.75 + 0.15 * random.nextDouble());
            onPage.translate(-500, -500);
        }
        List<Motifs.Piece> pieces = Motifs.draw(motif, random).stream()
                .map(piece -> new Motifs.Piece(piece.area().createTransformedArea(onPage), piece.outline()))
                .toList();
        Inked inked = ink(pieces, style, random);
        BufferedImage page = inked.page();
        int[] top = inked.top();
        Truth truth = Truth.of(top, ink(page), side, side, style.strokePx(), NEARLY_CLOSED);
        return new Case(name, style.scan() ? scanned(page, random) : page, truth.labels(), truth.regions());
    }

    /**
     * A drawing of some pieces.
     *
     * @param page 8-bit grey
     * @param top by pixel, the piece that lies on top; -1 outside
     */
    public record Inked(BufferedImage page, int[] top) {}

    /** @param pieces from back to front, in pixels of the page */
    public static Inked ink(List<Motifs.Piece> pieces, Style style, Random random) {
        int[] top = top(pieces, style.sidePx());
        Inker inker = new Inker(style, random, top);
        for (int i = 0; i < pieces.size(); i++) {
            if (pieces.get(i).outline() != Motifs.Outline.NONE) {
                inker.outline(pieces.get(i), i);
            }
            inker.marks(pieces.get(i), i);
        }
        return new Inked(inker.page(), top);
    }

    private static int[] top(List<Motifs.Piece> pieces, int side) {
        BufferedImage map = new BufferedImage(side, side, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = map.createGraphics();
        for (int i = 0; i < pieces.size(); i++) {
            pen.setColor(new Color(i + 1));
            pen.fill(pieces.get(i).area());
        }
        pen.dispose();
        int[] top = map.getRGB(0, 0, side, side, null, 0, side);
        Arrays.setAll(top, i -> (top[i] & 0xffffff) - 1);
        return top;
    }

    private static boolean[] ink(BufferedImage page) {
        byte[] grey = ((DataBufferByte) page.getRaster().getDataBuffer()).getData();
        boolean[] ink = new boolean[grey.length];
        for (int i = 0; i < ink.length; i++) {
            ink[i] = (grey[i] & 0xff) < 128;
        }
        return ink;
    }

    /** Soft, on toned paper with a shadow, grainy, and through JPEG. */
    private static BufferedImage scanned(BufferedImage page, Random random) {
        int side = page.getWidth();
        BufferedImage scan = new BufferedImage(side, side, BufferedImage.TYPE_BYTE_GRAY);
        byte[] from = ((DataBufferByte) page.getRaster().getDataBuffer()).getData();
        byte[] to = ((DataBufferByte) scan.getRaster().getDataBuffer()).getData();
        double tone = 15 + 30 * random.nextDouble();
        double noise = 2 + 5 * random.nextDouble();
        for (int y = 0; y < side; y++) {
            for (int x = 0; x < side; x++) {
                int left = Math.max(0, x - 1);
                int right = Math.min(side - 1, x + 1);
                double soft = ((from[y * side + left] & 0xff)
                                + 2 * (from[y * side + x] & 0xff)
                                + (from[y * side + right] & 0xff))
                        / 4.0;
                double paper = 255 - tone * (0.4 + 0.8 * x / side);
                double value = soft / 255 * paper + noise * random.nextGaussian() + 20 * (1 - soft / 255);
                to[y * side + x] = (byte) Math.max(0, Math.min(255, Math.round(value)));
            }
        }
        return throughJpeg(scan, 0.6f + 0.35f * random.nextFloat());
    }

    private static BufferedImage throughJpeg(BufferedImage page, float quality) {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (var out = ImageIO.createImageOutputStream(bytes)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(quality);
            writer.setOutput(out);
            writer.write(null, new IIOImage(page, null, null), how);
            out.flush();
            return ImageIO.read(new ByteArrayInputStream(bytes.toByteArray()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
    }
}
