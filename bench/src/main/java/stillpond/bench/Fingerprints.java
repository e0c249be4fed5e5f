package stillpond.bench;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.IntPredicate;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import stillpond.core.cell.Border;
import stillpond.core.cell.Cell;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;

/**
 * A fingerprint (SHA-256) of what each of some pages is analysed into, to the bit: run before and after a change that shall make the analysis faster and nothing else. The
 * demo's drawings, pages made by code, noise, a grid and specks.
 */
final class Fingerprints {

    private static final int SIDE = 500;

    private Fingerprints() {}

    /** @param args the folder of the demo's drawings */
    public static void main(String[] args) throws IOException {
        for (Map.Entry<String, byte[]> page : pages(Path.of(args[0])).entrySet()) {
            InkPlane ink = InkFinder.find(new LineArtReader(ImageLimits.DEFAULT).read(page.getValue()));
            System.out.printf("%s %s%n", of(Openings.of(ink)), page.getKey());
        }
    }

    private static Map<String, byte[]> pages(Path demo) throws IOException {
        Map<String, byte[]> pages = new LinkedHashMap<>();
        try (Stream<Path> files = Files.list(demo)) {
            List<Path> drawings = files.filter(file -> file.toString().matches(".*\\.(svg|png|jpg)"))
                    .sorted()
                    .toList();
            for (Path file : drawings) {
                pages.put(file.getFileName().toString(), Files.readAllBytes(file));
            }
        }
        pages.put("page of 1 megapixel", MadePage.png(1));
        pages.put("page of 4 megapixels", MadePage.png(4));
        pages.put("page of 12 megapixels", MadePage.png(12));
        Random random = new Random(1);
        pages.put("noise", made(i -> random.nextInt(4) == 0));
        pages.put("grid", made(i -> i % SIDE % 12 == 0 || i / SIDE % 12 == 0 && i % 7 > 0));
        pages.put("specks", made(i -> random.nextInt(90) == 0));
        return pages;
    }

    private static byte[] made(IntPredicate ink) throws IOException {
        BufferedImage page = new BufferedImage(SIDE, SIDE, BufferedImage.TYPE_BYTE_GRAY);
        for (int i = 0; i < SIDE * SIDE; i++) {
            page.getRaster().setSample(i % SIDE, i / SIDE, 0, ink.test(i) ? 0 : 255);
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(page, "png", out);
        return out.toByteArray();
    }

    /** Of cells, borders and openings, as hexadecimal digits. */
    static String of(Openings openings) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream out = new DataOutputStream(bytes)) {
            for (int number : openings.cells().plane().numbers()) {
                out.writeInt(number);
            }
            for (Cell cell : openings.cells().cells()) {
                out.writeInt(cell.areaPx());
                out.writeInt(cell.deepestX());
                out.writeInt(cell.deepestY());
                out.writeDouble(cell.depthPx());
                out.writeUTF(cell.box().toString());
            }
            for (Border border : openings.cells().borders()) {
                out.writeInt(border.first());
                out.writeInt(border.second());
                out.writeInt(border.lengthPx());
            }
            for (Opening opening : openings.openings()) {
                out.writeInt(opening.first());
                out.writeInt(opening.second());
                out.writeUTF(opening.kind().name());
                out.writeDouble(opening.widthPx());
                out.writeDouble(opening.strength());
                for (Point point : opening.line()) {
                    out.writeDouble(point.x());
                    out.writeDouble(point.y());
                }
            }
            out.writeDouble(openings.strokePx());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return digest(bytes.toByteArray());
    }

    private static String digest(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
