package stillpond.bench.drill;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.io.BufferedOutputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import stillpond.bench.drill.HostileFile.Reader;

/** Files written by hand to do harm, and good files changed at random from a fixed seed: bits, bytes, numbers, cuts, repeats. */
final class HostileFiles {

    private static final int SEED = 41;
    private static final int MOST_CHANGES = 12;

    private final int outsidePort;
    private final List<byte[]> projectFiles;
    private final Random random = new Random(SEED);

    /**
     * @param outsidePort of a listener that nobody should call
     * @param projectFiles good ones
     */
    HostileFiles(int outsidePort, List<byte[]> projectFiles) {
        this.outsidePort = outsidePort;
        this.projectFiles = projectFiles;
    }

    /** Good files, each changed in some places. */
    List<HostileFile> changed(int count) {
        List<HostileFile> good = good();
        List<HostileFile> changed = new ArrayList<>();
        while (changed.size() < count) {
            HostileFile base = good.get(changed.size() % good.size());
            boolean isWithin = base.reader() == Reader.PROJECT && random.nextInt(4) > 0;
            byte[] content = isWithin ? changedWithin(base.content()) : changed(base.content());
            changed.add(new HostileFile(base.reader(), base.name(), content));
        }
        return changed;
    }

    /** Those written by hand. */
    List<HostileFile> written() {
        List<HostileFile> all = new ArrayList<>();
        String outside = "http://127.0.0.1:" + outsidePort + "/x";
        for (String body : List.of(
                "<path d='M0 0 H600 V400 H0 Z' stroke='#000' stroke-dasharray='0.00001'/>",
                "<defs><pattern id='p' width='.01' height='.01' patternUnits='userSpaceOnUse'><circle r='.004'/></pattern></defs><rect width='600' height='400' fill='url(#p)'/>",
                "<mask id='m'><rect width='600' height='400' fill='#fff' mask='url(#m)'/></mask><rect width='600' height='400' mask='url(#m)'/>",
                "<filter id='f'><feGaussianBlur stdDeviation='9999'/></filter><rect width='600' height='400' filter='url(#f)'/>",
                "<filter id='f'><feTurbulence numOctaves='99999' baseFrequency='9'/></filter><rect width='600' height='400' filter='url(#f)'/>",
                "<marker id='k' markerWidth='9' markerHeight='9'><path d='M0 0L9 9' marker-mid='url(#k)'/></marker><path marker-mid='url(#k)' d='M0 0"
                        + "L1 1L2 3".repeat(20_000) + "'/>",
                "<image href='" + outside + "' width='9' height='9'/>",
                "<use href='" + outside + "#a'/>",
                "<style>@import '" + outside + "';</style><rect width='9' height='9'/>",
                "<rect width='9' height='9' style='fill:url(" + outside + ")'/>",
                "<foreignObject><iframe src='" + outside + "'/></foreignObject><rect width='99' height='99'/>",
                "<g>".repeat(10_000) + "</g>".repeat(10_000),
                "<path d='M0 0" + " 1e308 1e308".repeat(50_000) + "'/>",
                "<rect width='1e30' height='1e30' stroke='#000' stroke-width='1e30'/>",
                "<text font-size='1e9'>" + "x".repeat(100_000) + "</text>")) {
            all.add(new HostileFile(Reader.SHEET, "bad.svg", svg(body)));
            all.add(new HostileFile(Reader.MOTIF, "bad.svg", svg(body)));
        }
        String doctype = "<!DOCTYPE svg [<!ENTITY a SYSTEM '" + outside + "'>]>";
        all.add(new HostileFile(
                Reader.SHEET,
                "leak.svg",
                (doctype + "<svg xmlns='http://www.w3.org/2000/svg'>&a;</svg>").getBytes(StandardCharsets.UTF_8)));
        for (int i = 0; i < 4; i++) {
            all.add(new HostileFile(Reader.SHEET, "claims.png", emptyPng(10_000, 10_000 + i)));
        }
        all.add(new HostileFile(Reader.PICTURE, "claims.png", emptyPng(31_000, 9_000)));
        all.add(new HostileFile(Reader.FLATS, "claims.png", emptyPng(17_000, 17_000)));
        byte[] jpeg = picture("jpeg");
        all.add(new HostileFile(Reader.SHEET, "claims.jpg", claiming(jpeg, 17_000)));
        all.add(new HostileFile(Reader.SHEET, "scans.jpg", manyScans(jpeg, 1000)));
        all.add(new HostileFile(
                Reader.CARDS, "hyphens.css", ("--" + "-".repeat(900_000)).getBytes(StandardCharsets.UTF_8)));
        StringBuilder aliases = new StringBuilder("{\"c0\":{\"$type\":\"color\",\"$value\":\"#102030\"}");
        for (int i = 1; i < 4000; i++) {
            aliases.append(",\"c")
                    .append(i)
                    .append("\":{\"$type\":\"color\",\"$value\":\"{c")
                    .append(i - 1)
                    .append("}\"}");
        }
        all.add(new HostileFile(
                Reader.CARDS, "aliases.json", aliases.append('}').toString().getBytes(StandardCharsets.UTF_8)));
        all.add(new HostileFile(Reader.CARDS, "deep.json", "[".repeat(200_000).getBytes(StandardCharsets.UTF_8)));
        all.add(new HostileFile(Reader.BLOCKED_IN, "claims.png", emptyPng(17_000, 17_000)));
        all.add(new HostileFile(Reader.BLOCKED_IN, "scans.jpg", manyScans(jpeg, 1000)));
        all.add(new HostileFile(Reader.PROJECT, "deep.zip", zipped("project.json", "[", 1_000_000)));
        all.add(new HostileFile(Reader.PROJECT, "blank.zip", zipped("project.json", " ", 400_000_000)));
        all.add(new HostileFile(Reader.PROJECT, "outside.zip", zipped("../../project.json", "{}", 1)));
        return all;
    }

    private List<HostileFile> good() {
        List<HostileFile> good = new ArrayList<>();
        byte[] svg = svg(
                "<g fill='none' stroke='#000' stroke-width='6'><rect x='40' y='100' width='120' height='200'/>"
                        + "<circle cx='300' cy='200' r='90' stroke-dasharray='40 3'/><path d='M440 100C500 90 560 300 450 310Z'/></g>");
        byte[] motif =
                svg("<rect width='64' height='64' fill='#2f6f5e'/><circle cx='32' cy='32' r='16' fill='#dcb378'/>");
        byte[] tokens =
                "{\"coat\":{\"$type\":\"color\",\"$value\":\"#2f6f5e\"},\"lining\":{\"$type\":\"color\",\"$value\":\"{coat}\"}}"
                        .getBytes(StandardCharsets.UTF_8);
        byte[] css = ":root { --coat: #2f6f5e; --lining: var(--coat); --scarf: rgb(210 96 63); }"
                .getBytes(StandardCharsets.UTF_8);
        byte[] csv = "card,name,colour,note\nJuniper,Coat,#2f6f5e,\"oil, skins\"\nJuniper,Scarf,#d2603f,\n"
                .getBytes(StandardCharsets.UTF_8);
        byte[] profile = ICC_Profile.getInstance(ColorSpace.CS_PYCC).getData();
        for (String format : List.of("png", "jpeg", "tiff")) {
            good.add(new HostileFile(Reader.SHEET, "a." + format, picture(format)));
            good.add(new HostileFile(Reader.PICTURE, "a." + format, picture(format)));
        }
        good.add(new HostileFile(Reader.SHEET, "a.svg", svg));
        good.add(new HostileFile(Reader.LINE_ART, "a.svg", svg));
        good.add(new HostileFile(Reader.FLATS, "a.png", picture("png")));
        good.add(new HostileFile(Reader.MOTIF, "a.svg", motif));
        good.add(new HostileFile(Reader.CARDS, "a.json", tokens));
        good.add(new HostileFile(Reader.CARDS, "a.css", css));
        good.add(new HostileFile(Reader.CARDS, "a.csv", csv));
        good.add(new HostileFile(Reader.PROFILE, "a.icc", profile));
        good.add(new HostileFile(Reader.BLOCKED_IN, "a.png", picture("png")));
        projectFiles.forEach(file -> good.add(new HostileFile(Reader.PROJECT, "a.zip", file)));
        return good;
    }

    private static byte[] svg(String body) {
        return ("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 600 400'>" + body + "</svg>")
                .getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] picture(String format) {
        BufferedImage image = new BufferedImage(300, 200, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, 300, 200);
        pen.setColor(Color.BLACK);
        pen.drawOval(40, 30, 120, 140);
        pen.dispose();
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        try {
            if (!ImageIO.write(image, format, file)) {
                throw new IllegalStateException("Nothing writes " + format);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return file.toByteArray();
    }

    /** As large as it says, and all one colour, so that it is small. */
    private static byte[] emptyPng(int width, int height) {
        Deflater deflater = new Deflater(9);
        ByteArrayOutputStream pixels = new ByteArrayOutputStream();
        byte[] row = new byte[1 + (width + 7) / 8];
        byte[] buffer = new byte[1 << 16];
        for (int y = 0; y <= height; y++) {
            if (y < height) {
                deflater.setInput(row);
            } else {
                deflater.finish();
            }
            while (y < height ? !deflater.needsInput() : !deflater.finished()) {
                pixels.write(buffer, 0, deflater.deflate(buffer));
            }
        }
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        png.writeBytes(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'});
        chunk(
                png,
                "IHDR",
                ByteBuffer.allocate(13)
                        .putInt(width)
                        .putInt(height)
                        .put((byte) 1)
                        .array());
        chunk(png, "IDAT", pixels.toByteArray());
        chunk(png, "IEND", new byte[0]);
        return png.toByteArray();
    }

    private static void chunk(ByteArrayOutputStream png, String type, byte[] content) {
        CRC32 sum = new CRC32();
        sum.update(type.getBytes(StandardCharsets.US_ASCII));
        sum.update(content);
        png.writeBytes(ByteBuffer.allocate(4).putInt(content.length).array());
        png.writeBytes(type.getBytes(StandardCharsets.US_ASCII));
        png.writeBytes(content);
        png.writeBytes(ByteBuffer.allocate(4).putInt((int) sum.getValue()).array());
    }

    /** With another size in its frame header (ISO/IEC 10918-1, SOF0). */
    private static byte[] claiming(byte[] jpeg, int side) {
        byte[] large = jpeg.clone();
        int frame = find(large, (byte) 0xc0);
        ByteBuffer.wrap(large).putShort(frame + 5, (short) side).putShort(frame + 7, (short) side);
        return large;
    }

    private static byte[] manyScans(byte[] jpeg, int scans) {
        int scan = find(jpeg, (byte) 0xda);
        byte[] all = Arrays.copyOf(jpeg, scan + scans * (jpeg.length - 2 - scan) + 2);
        for (int i = 0; i < scans; i++) {
            System.arraycopy(jpeg, scan, all, scan + i * (jpeg.length - 2 - scan), jpeg.length - 2 - scan);
        }
        all[all.length - 2] = (byte) 0xff;
        all[all.length - 1] = (byte) 0xd9;
        return all;
    }

    private static int find(byte[] jpeg, byte marker) {
        for (int i = 2; i < jpeg.length - 1; i++) {
            if (jpeg[i] == (byte) 0xff && jpeg[i + 1] == marker) {
                return i;
            }
        }
        throw new IllegalStateException("The JPEG has no such marker.");
    }

    private byte[] changed(byte[] content) {
        byte[] changed = content.clone();
        for (int i = 1 + random.nextInt(MOST_CHANGES); i > 0 && changed.length > 8; i--) {
            int at = random.nextInt(changed.length);
            switch (random.nextInt(6)) {
                case 0 -> changed[at] ^= (byte) (1 << random.nextInt(8));
                case 1 -> changed[at] = (byte) random.nextInt(256);
                case 2 -> {
                    int end = Math.min(changed.length, at + 4);
                    Arrays.fill(changed, at, end, (byte) (random.nextBoolean() ? 0xff : 0));
                }
                case 3 -> changed = Arrays.copyOf(changed, at + 1);
                case 4 ->
                    changed = repeated(
                            changed,
                            at,
                            Math.min(changed.length, at + 1 + random.nextInt(64)),
                            1 + random.nextInt(200));
                default -> changed = digits(changed, at);
            }
        }
        return changed;
    }

    private static byte[] zipped(String name, String text, int times) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        byte[] piece = text.getBytes(StandardCharsets.UTF_8);
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            BufferedOutputStream entry = new BufferedOutputStream(zip, 1 << 16);
            zip.putNextEntry(new ZipEntry(name));
            for (int i = 0; i < times; i++) {
                entry.write(piece);
            }
            entry.flush();
            zip.closeEntry();
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toByteArray();
    }

    /** A zip that is whole, with something in one of its files changed. */
    private byte[] changedWithin(byte[] zip) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipInputStream entries = new ZipInputStream(new ByteArrayInputStream(zip));
                ZipOutputStream again = new ZipOutputStream(out)) {
            int spoiled = random.nextInt(entries(zip));
            int at = 0;
            for (ZipEntry entry = entries.getNextEntry(); entry != null; entry = entries.getNextEntry()) {
                byte[] content = entries.readAllBytes();
                again.putNextEntry(new ZipEntry(entry.getName()));
                again.write(at == spoiled ? changed(content) : content);
                again.closeEntry();
                at++;
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toByteArray();
    }

    private static int entries(byte[] zip) throws IOException {
        try (ZipInputStream entries = new ZipInputStream(new ByteArrayInputStream(zip))) {
            int count = 0;
            while (entries.getNextEntry() != null) {
                count++;
            }
            return count;
        }
    }

    private static byte[] repeated(byte[] content, int start, int end, int times) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(content, 0, end);
        for (int i = 0; i < times; i++) {
            out.write(content, start, end - start);
        }
        out.write(content, end, content.length - end);
        return out.toByteArray();
    }

    /** Lets a number of a text become a very large or a very small one. */
    private byte[] digits(byte[] content, int from) {
        for (int i = from; i < content.length; i++) {
            if (content[i] >= '0' && content[i] <= '9') {
                String number =
                        List.of("999999999", "-1", "0.0000001", "1e308", "NaN").get(random.nextInt(5));
                ByteArrayOutputStream out = new ByteArrayOutputStream();
                out.write(content, 0, i);
                out.writeBytes(number.getBytes(StandardCharsets.US_ASCII));
                out.write(content, i + 1, content.length - i - 1);
                return out.toByteArray();
            }
        }
        return content;
    }
}
