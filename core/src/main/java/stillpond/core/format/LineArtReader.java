package stillpond.core.format;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import stillpond.core.ink.Picture;

/**
 * Reads line art: PNG (ISO/IEC 15948) and SVG. What a file is, is told by its first bytes, never by its name.
 */
public final class LineArtReader {

    private static final byte[] PNG_SIGNATURE = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'};
    private static final int SNIFFED_BYTES = 256;

    private final ImageLimits limits;

    public LineArtReader(ImageLimits limits) {
        this.limits = limits;
    }

    /** @throws UnreadableFile if it is neither, broken, too large, or refers to anything outside itself */
    public Picture read(byte[] file) {
        limits.requireBytes(file.length);
        if (startsWith(file, PNG_SIGNATURE)) {
            return new PngReader(limits).read(file);
        }
        if (looksLikeXml(file)) {
            return new SvgReader(limits).read(file);
        }
        throw new UnreadableFile("The file is not a picture that can be read here. Bring line art as PNG or SVG.");
    }

    private static boolean startsWith(byte[] file, byte[] signature) {
        return file.length >= signature.length
                && Arrays.equals(file, 0, signature.length, signature, 0, signature.length);
    }

    private static boolean looksLikeXml(byte[] file) {
        String start = new String(file, 0, Math.min(file.length, SNIFFED_BYTES), StandardCharsets.UTF_8);
        return start.replace("\uFEFF", "").stripLeading().startsWith("<");
    }
}
