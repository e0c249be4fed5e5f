package stillpond.core.format;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.util.stream.IntStream;

/** Reads what {@link NumberWriter} wrote. */
final class NumberReader {

    private final BufferedInputStream in;

    NumberReader(InputStream in, int bufferBytes) {
        this.in = new BufferedInputStream(in, bufferBytes);
    }

    int number() throws IOException {
        int value = 0;
        for (int shift = 0; ; shift += 7) {
            int next = in.read();
            if (next < 0) {
                throw new EOFException("A stored plane ends too early.");
            }
            value |= (next & 0x7f) << shift;
            if (next < 0x80) {
                return value;
            }
        }
    }

    /** All numbers up to the end. */
    int[] rest() throws IOException {
        IntStream.Builder rest = IntStream.builder();
        for (in.mark(1); in.read() >= 0; in.mark(1)) {
            in.reset();
            rest.add(number());
        }
        return rest.build().toArray();
    }

    int signed() throws IOException {
        int folded = number();
        return folded >>> 1 ^ -(folded & 1);
    }

    byte[] bytes(int count) throws IOException {
        byte[] bytes = in.readNBytes(count);
        if (bytes.length < count) {
            throw new EOFException("A stored plane ends too early.");
        }
        return bytes;
    }
}
