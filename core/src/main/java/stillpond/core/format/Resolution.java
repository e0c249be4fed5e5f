package stillpond.core.format;

import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import stillpond.core.refusal.Refusal;

/**
 * How densely the pixels of a picture lie, as its file says it: the chunk pHYs of a PNG (ISO/IEC 15948), the density of JFIF (ISO/IEC 10918-5),
 * or the tags XResolution, YResolution and ResolutionUnit of TIFF 6.0 and Exif.
 *
 * @param xPerMetre pixels in a metre across, more than 0
 * @param yPerMetre down
 */
public record Resolution(int xPerMetre, int yPerMetre) {

    private static final double METRES_PER_INCH = 0.0254;
    private static final double METRES_PER_CENTIMETRE = 0.01;
    private static final int PER_INCH = 2;
    private static final int PER_CENTIMETRE = 3;
    private static final int X_RESOLUTION = 282;
    private static final int Y_RESOLUTION = 283;
    private static final int UNIT = 296;
    private static final int APP0 = 0xffe0;
    private static final int APP1 = 0xffe1;
    private static final int START_OF_SCAN = 0xffda;

    public Resolution {
        if (xPerMetre <= 0 || yPerMetre <= 0) {
            throw new Refusal("Pixels lie at least one to a metre.");
        }
    }

    /** That of a picture whose pixels lie so many times as densely. */
    public Resolution times(double denser) {
        return new Resolution(times(xPerMetre, denser), times(yPerMetre, denser));
    }

    private static int times(int perMetre, double denser) {
        return (int) Math.max(1, Math.min(Integer.MAX_VALUE, Math.round(perMetre * denser)));
    }

    /** Empty where a file does not say, or not in a way that can be understood; a vector drawing has none. */
    public static Optional<Resolution> of(byte[] file) {
        try {
            return RasterFormat.of(file).flatMap(format -> switch (format) {
                case PNG -> inPng(ByteBuffer.wrap(file).position(8));
                case JPEG -> inJpeg(file);
                case TIFF -> inTiff(ByteBuffer.wrap(file));
                case WEBP -> Optional.empty();
            });
        } catch (BufferUnderflowException | IllegalArgumentException | IndexOutOfBoundsException e) {
            return Optional.empty();
        }
    }

    private static Optional<Resolution> inPng(ByteBuffer png) {
        while (true) {
            int length = png.getInt();
            String chunk = text(png, 4);
            if (chunk.equals("pHYs")) {
                int x = png.getInt();
                int y = png.getInt();
                return png.get() == 1 ? Optional.of(new Resolution(x, y)) : Optional.empty();
            }
            if (chunk.equals("IDAT") || length < 0) {
                return Optional.empty();
            }
            png.position(png.position() + length + 4);
        }
    }

    private static Optional<Resolution> inJpeg(byte[] file) {
        ByteBuffer jpeg = ByteBuffer.wrap(file).position(2);
        Optional<Resolution> found = Optional.empty();
        for (int marker = jpeg.getShort() & 0xffff; marker != START_OF_SCAN; marker = jpeg.getShort() & 0xffff) {
            int next = jpeg.position() + (jpeg.getShort() & 0xffff);
            ByteBuffer segment = ByteBuffer.wrap(file, jpeg.position(), next - jpeg.position())
                    .slice();
            if (marker == APP0 && found.isEmpty() && text(segment, 5).equals("JFIF\0")) {
                found = density(segment.position(7));
            } else if (marker == APP1 && found.isEmpty() && text(segment, 6).equals("Exif\0\0")) {
                found = inTiff(segment.slice());
            }
            jpeg.position(next);
        }
        return found;
    }

    private static Optional<Resolution> density(ByteBuffer jfif) {
        // JFIF counts from 1 where TIFF counts from 2.
        return scaled(jfif.get() + 1, jfif.getShort() & 0xffff, jfif.getShort() & 0xffff);
    }

    private static Optional<Resolution> inTiff(ByteBuffer tiff) {
        tiff.order(tiff.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
        int directory = tiff.getInt(4);
        int entries = tiff.getShort(directory) & 0xffff;
        double x = 0;
        double y = 0;
        int unit = PER_INCH;
        for (int i = 0; i < entries; i++) {
            int entry = directory + 2 + 12 * i;
            switch (tiff.getShort(entry) & 0xffff) {
                case X_RESOLUTION -> x = rational(tiff, tiff.getInt(entry + 8));
                case Y_RESOLUTION -> y = rational(tiff, tiff.getInt(entry + 8));
                case UNIT -> unit = tiff.getShort(entry + 8);
                default -> {
                    // Not about its density.
                }
            }
        }
        return scaled(unit, x, y);
    }

    private static double rational(ByteBuffer tiff, int at) {
        return (tiff.getInt(at) & 0xffffffffL) / (double) (tiff.getInt(at + 4) & 0xffffffffL);
    }

    private static Optional<Resolution> scaled(int unit, double x, double y) {
        double metres = unit == PER_INCH ? METRES_PER_INCH : unit == PER_CENTIMETRE ? METRES_PER_CENTIMETRE : 0;
        boolean isSane = metres > 0 && x >= 1 && y >= 1 && x < Short.MAX_VALUE && y < Short.MAX_VALUE;
        return isSane
                ? Optional.of(new Resolution((int) Math.round(x / metres), (int) Math.round(y / metres)))
                : Optional.empty();
    }

    private static String text(ByteBuffer bytes, int length) {
        byte[] text = new byte[length];
        bytes.get(text);
        return new String(text, StandardCharsets.ISO_8859_1);
    }
}
