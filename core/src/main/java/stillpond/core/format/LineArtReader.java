package stillpond.core.format;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import stillpond.core.ink.Picture;

/**
 * Reads line art: PNG (ISO/IEC 15948), JPEG (ISO/IEC 10918, also CMYK), TIFF 6.0, WebP, SVG and OpenRaster. What a file is, is told by its first bytes, never by its name.
 */
public final class LineArtReader {

    private static final int SNIFFED_BYTES = 256;

    private final ImageLimits limits;

    public LineArtReader(ImageLimits limits) {
        this.limits = limits;
    }

    /** @throws UnreadableFile if it is none of these, broken, too large, or refers to anything outside itself */
    public Picture read(byte[] file) {
        return open(file).decode();
    }

    /**
     * Looks at a file, without decoding it.
     *
     * @throws UnreadableFile as {@link #read}
     */
    public PictureFile open(byte[] file) {
        limits.requireBytes(file.length);
        Optional<RasterFormat> format = RasterFormat.of(file);
        if (format.isPresent()) {
            return new RasterReader(limits).open(file, format.get());
        }
        if (OpenRasterReader.reads(file)) {
            return new OpenRasterReader(limits).open(file);
        }
        if (looksLikeXml(file)) {
            return new SvgReader(limits).open(file);
        }
        throw new UnreadableFile(
                "The file is not a picture that can be read here. Bring line art as PNG, JPEG, TIFF, WebP, SVG or OpenRaster.");
    }

    private static boolean looksLikeXml(byte[] file) {
        String start = new String(file, 0, Math.min(file.length, SNIFFED_BYTES), StandardCharsets.UTF_8);
        return start.replace("\uFEFF", "").stripLeading().startsWith("<");
    }
}
