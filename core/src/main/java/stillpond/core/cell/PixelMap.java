package stillpond.core.cell;

import java.util.Arrays;

/** A number for each of some pixels, without boxing: an open-addressing hash table. Keys and values are 0 or more. */
public final class PixelMap {

    /** Receives one pixel and its number. */
    public interface Receiver {
        void pixel(int pixel, int number);
    }

    /** What pixels have that are not in the map. */
    public static final int NONE = -1;

    private int[] pixels = filled(1024);
    private int[] numbers = filled(1024);
    private int size;

    /** @return the pixel's number, or {@link #NONE} */
    public int get(int pixel) {
        return numbers[slot(pixels, pixel)];
    }

    /** @return whether the pixel had no number yet, and has this one now */
    public boolean putIfAbsent(int pixel, int number) {
        int slot = slot(pixels, pixel);
        if (pixels[slot] != NONE) {
            return false;
        }
        pixels[slot] = pixel;
        numbers[slot] = number;
        size++;
        if (size * 2 > pixels.length) {
            grow();
        }
        return true;
    }

    /** In no order that means anything. */
    public void forEach(Receiver receiver) {
        for (int i = 0; i < pixels.length; i++) {
            if (pixels[i] != NONE) {
                receiver.pixel(pixels[i], numbers[i]);
            }
        }
    }

    private void grow() {
        int[] oldPixels = pixels;
        int[] oldNumbers = numbers;
        pixels = filled(oldPixels.length * 2);
        numbers = filled(pixels.length);
        for (int i = 0; i < oldPixels.length; i++) {
            if (oldPixels[i] != NONE) {
                int slot = slot(pixels, oldPixels[i]);
                pixels[slot] = oldPixels[i];
                numbers[slot] = oldNumbers[i];
            }
        }
    }

    private static int slot(int[] pixels, int pixel) {
        int mask = pixels.length - 1;
        int slot = pixel * 0x9E3779B9 >>> 7 & mask;
        while (pixels[slot] != NONE && pixels[slot] != pixel) {
            slot = slot + 1 & mask;
        }
        return slot;
    }

    private static int[] filled(int length) {
        int[] array = new int[length];
        Arrays.fill(array, NONE);
        return array;
    }
}
