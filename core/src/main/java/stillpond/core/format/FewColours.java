package stillpond.core.format;

import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.IndexColorModel;
import java.util.Optional;
import stillpond.core.ink.Picture;

/** Pictures of so few colours that a byte names each. */
final class FewColours {

    private static final int MOST = 256;
    /** A power of two far above {@link #MOST}, so that places of the table are seldom shared. */
    private static final int PLACES = 4096;

    private final int[] colours = new int[MOST];
    private final short[] numberAt = new short[PLACES];
    private int count;

    private FewColours() {}

    /** Empty if there are more than 256 colours. */
    static Optional<BufferedImage> of(Picture picture) {
        FewColours few = new FewColours();
        int[] argb = picture.argb();
        byte[] numbers = new byte[argb.length];
        int last = 0;
        int number = -1;
        for (int i = 0; i < argb.length; i++) {
            if (number < 0 || argb[i] != last) {
                last = argb[i];
                number = few.numberOf(last);
                if (number < 0) {
                    return Optional.empty();
                }
            }
            numbers[i] = (byte) number;
        }
        IndexColorModel model =
                new IndexColorModel(Byte.SIZE, few.count, few.colours, 0, true, -1, DataBuffer.TYPE_BYTE);
        BufferedImage image = new BufferedImage(
                model,
                model.createCompatibleWritableRaster(1, 1)
                        .createCompatibleWritableRaster(picture.widthPx(), picture.heightPx()),
                false,
                null);
        System.arraycopy(numbers, 0, ((DataBufferByte) image.getRaster().getDataBuffer()).getData(), 0, numbers.length);
        return Optional.of(image);
    }

    /** -1 if there is no room for one more. */
    private int numberOf(int colour) {
        int place = (colour * 0x9e3779b1 >>> 16) & PLACES - 1;
        while (numberAt[place] != 0) {
            if (colours[numberAt[place] - 1] == colour) {
                return numberAt[place] - 1;
            }
            place = place + 1 & PLACES - 1;
        }
        if (count == MOST) {
            return -1;
        }
        colours[count++] = colour;
        numberAt[place] = (short) count;
        return count - 1;
    }
}
