package stillpond.core.format;

import java.io.IOException;
import java.io.OutputStream;

/** Writes whole numbers in 7-bit groups, low groups first, with the high bit set on all but the last (unsigned LEB128). */
final class NumberWriter {

    private final OutputStream out;
    private final byte[] buffer;
    private int used;

    NumberWriter(OutputStream out, int bufferBytes) {
        this.out = out;
        this.buffer = new byte[bufferBytes];
    }

    /** How many bytes a number takes. */
    static int lengthOf(int value) {
        return Math.max(1, (38 - Integer.numberOfLeadingZeros(value)) / 7);
    }

    void number(int value) throws IOException {
        int rest = value;
        while ((rest & ~0x7f) != 0) {
            put(rest & 0x7f | 0x80);
            rest >>>= 7;
        }
        put(rest);
    }

    void numbers(int[] values) throws IOException {
        for (int value : values) {
            number(value);
        }
    }

    /** Folds the sign into the lowest bit first, so that small negative numbers stay short. */
    void signed(int value) throws IOException {
        number(value << 1 ^ value >> 31);
    }

    void bytes(byte[] bytes) throws IOException {
        flush();
        out.write(bytes);
    }

    void flush() throws IOException {
        out.write(buffer, 0, used);
        used = 0;
    }

    private void put(int value) throws IOException {
        if (used == buffer.length) {
            flush();
        }
        buffer[used++] = (byte) value;
    }
}
