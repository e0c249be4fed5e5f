package stillpond.core.format;

import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import stillpond.core.ink.Picture;

/**
 * How a camera held: the value of the Exif tag Orientation (Exif 2.32, tag 0x0112), 1 upright to 8.
 *
 * @param value 1 to 8
 */
record ExifOrientation(int value) {

    private static final ExifOrientation UPRIGHT = new ExifOrientation(1);
    private static final int TAG = 0x0112;
    private static final int APP1 = 0xffe1;
    private static final int START_OF_SCAN = 0xffda;
    private static final int EXIF_HEADER_BYTES = 6;

    /** Upright where a JPEG does not say, or says it in a way that cannot be understood. */
    static ExifOrientation of(byte[] jpeg) {
        try {
            ByteBuffer buffer = ByteBuffer.wrap(jpeg).position(2);
            for (int marker = buffer.getShort() & 0xffff;
                    marker != START_OF_SCAN;
                    marker = buffer.getShort() & 0xffff) {
                int length = buffer.getShort() & 0xffff;
                int next = buffer.position() + length - 2;
                if (marker == APP1 && isExif(jpeg, buffer.position())) {
                    int start = buffer.position() + EXIF_HEADER_BYTES;
                    return inTiff(ByteBuffer.wrap(jpeg, start, next - start).slice());
                }
                buffer.position(next);
            }
            return UPRIGHT;
        } catch (BufferUnderflowException | IllegalArgumentException | IndexOutOfBoundsException e) {
            return UPRIGHT;
        }
    }

    private static boolean isExif(byte[] jpeg, int at) {
        return jpeg[at] == 'E' && jpeg[at + 1] == 'x' && jpeg[at + 2] == 'i' && jpeg[at + 3] == 'f';
    }

    private static ExifOrientation inTiff(ByteBuffer tiff) {
        tiff.order(tiff.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
        int directory = tiff.getInt(4);
        int entries = tiff.getShort(directory);
        for (int i = 0; i < entries; i++) {
            int entry = directory + 2 + 12 * i;
            int value = tiff.getShort(entry + 8);
            if ((tiff.getShort(entry) & 0xffff) == TAG && value >= 1 && value <= 8) {
                return new ExifOrientation(value);
            }
        }
        return UPRIGHT;
    }

    /** The picture as it was meant to be seen. */
    Picture turn(Picture stored) {
        if (value == 1) {
            return stored;
        }
        boolean sideways = value >= 5;
        int width = sideways ? stored.heightPx() : stored.widthPx();
        int height = sideways ? stored.widthPx() : stored.heightPx();
        int[] argb = new int[width * height];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                argb[y * width + x] = at(stored, x, y);
            }
        }
        return new Picture(width, height, argb);
    }

    private int at(Picture stored, int x, int y) {
        int right = stored.widthPx() - 1;
        int bottom = stored.heightPx() - 1;
        return switch (value) {
            case 2 -> stored.argbAt(right - x, y);
            case 3 -> stored.argbAt(right - x, bottom - y);
            case 4 -> stored.argbAt(x, bottom - y);
            case 5 -> stored.argbAt(y, x);
            case 6 -> stored.argbAt(y, bottom - x);
            case 7 -> stored.argbAt(right - y, bottom - x);
            default -> stored.argbAt(right - y, x);
        };
    }
}
