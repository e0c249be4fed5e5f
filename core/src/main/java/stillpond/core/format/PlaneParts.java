package stillpond.core.format;

import java.awt.image.BufferedImage;
import java.awt.image.ComponentSampleModel;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferInt;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import java.util.function.LongConsumer;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.InkPlane;
import stillpond.core.refusal.Refusal;

/**
 * A stored plane taken apart into what other programs can open: a picture of its pixels as PNG, and the numbers that are no pixels. Put together
 * again it is the same plane, to the byte.
 *
 * @param png empty if the plane has no pixels
 * @param numbers what the plane holds beside its pixels, in its order; 32 bits each, unsigned
 */
public record PlaneParts(byte[] png, int[] numbers) {

    /** Which planes there are; docs/formats.md says what each holds. */
    public enum Kind {
        /** 8 bits of grey a pixel, 0 paper; its number is the threshold. */
        INK,
        /** A cell or stroke a pixel: its number and one more, red the highest byte, blue the lowest. */
        NUMBERED,
        /** No pixels. */
        LIST
    }

    private static final int RED_BITS = 16;
    private static final int GREEN_BITS = 8;
    private static final int RGB = 3;

    public static PlaneParts of(Kind kind, byte[] stored) {
        return PlaneCodec.gunzip(stored, in -> switch (kind) {
            case INK -> {
                int width = in.number();
                int height = in.number();
                int[] threshold = {in.number()};
                yield new PlaneParts(png(grey(width, height, in.bytes(width * height))), threshold);
            }
            case NUMBERED -> new PlaneParts(png(coloured(PlaneCodec.readPlane(in))), in.rest());
            case LIST -> new PlaneParts(new byte[0], in.rest());
        });
    }

    /**
     * The plane as it is stored.
     *
     * @param budget told how many pixels the picture has before they are read, to refuse them
     * @throws Refusal if the picture is none, or not of this kind
     */
    public byte[] stored(Kind kind, LongConsumer budget) {
        return switch (kind) {
            case INK -> ink(picture(budget));
            case NUMBERED -> {
                CellPlane plane = numbered(picture(budget));
                yield PlaneCodec.gzip(out -> {
                    PlaneCodec.writePlane(plane, out);
                    out.numbers(numbers);
                });
            }
            case LIST -> PlaneCodec.gzip(out -> out.numbers(numbers));
        };
    }

    private byte[] ink(BufferedImage picture) {
        if (numbers.length != 1
                || !(picture.getRaster().getDataBuffer() instanceof DataBufferByte density)
                || density.getData().length != picture.getWidth() * picture.getHeight()) {
            throw new Refusal("A picture of ink has 8 bits of grey a pixel, and one threshold beside it.");
        }
        return PlaneCodec.encode(new InkPlane(picture.getWidth(), picture.getHeight(), density.getData(), numbers[0]));
    }

    private static CellPlane numbered(BufferedImage picture) {
        int width = picture.getWidth();
        int height = picture.getHeight();
        if (picture.getRaster().getNumBands() != RGB
                || !(picture.getRaster().getDataBuffer() instanceof DataBufferByte bytes)
                || !(picture.getSampleModel() instanceof ComponentSampleModel layout)) {
            throw new Refusal("A picture of numbers has 8 bits of red, green and blue a pixel.");
        }
        byte[] samples = bytes.getData();
        int[] bands = layout.getBandOffsets();
        int[] all = new int[width * height];
        for (int y = 0; y < height; y++) {
            int at = y * layout.getScanlineStride();
            for (int x = 0; x < width; x++, at += layout.getPixelStride()) {
                all[y * width + x] = ((samples[at + bands[0]] & 0xff) << RED_BITS
                                | (samples[at + bands[1]] & 0xff) << GREEN_BITS
                                | samples[at + bands[2]] & 0xff)
                        - 1;
            }
        }
        return new CellPlane(width, height, all);
    }

    private static BufferedImage grey(int widthPx, int heightPx, byte[] density) {
        BufferedImage picture = new BufferedImage(widthPx, heightPx, BufferedImage.TYPE_BYTE_GRAY);
        System.arraycopy(
                density, 0, ((DataBufferByte) picture.getRaster().getDataBuffer()).getData(), 0, density.length);
        return picture;
    }

    private static BufferedImage coloured(CellPlane plane) {
        BufferedImage picture = new BufferedImage(plane.widthPx(), plane.heightPx(), BufferedImage.TYPE_INT_RGB);
        int[] pixels = ((DataBufferInt) picture.getRaster().getDataBuffer()).getData();
        int[] cells = plane.numbers();
        for (int i = 0; i < cells.length; i++) {
            pixels[i] = cells[i] + 1;
        }
        return picture;
    }

    private BufferedImage picture(LongConsumer budget) {
        ImageReader reader = ImageIO.getImageReadersByFormatName("png").next();
        try (ImageInputStream in = new MemoryCacheImageInputStream(new ByteArrayInputStream(png))) {
            // Without what the file tells beside its pixels, which may be packed to any size.
            reader.setInput(in, true, true);
            budget.accept((long) reader.getWidth(0) * reader.getHeight(0));
            return reader.read(0);
        } catch (Refusal told) {
            throw told;
        } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException | NegativeArraySizeException e) {
            throw new Refusal("A picture of a plane is no PNG that can be read.", e);
        } finally {
            reader.dispose();
        }
    }

    private static byte[] png(BufferedImage picture) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PngWriter.write(picture, new PngWriter.About(Optional.empty(), Map.of()), out);
        return out.toByteArray();
    }
}
