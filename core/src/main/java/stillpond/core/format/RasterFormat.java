package stillpond.core.format;

import java.util.Arrays;
import java.util.Optional;

/** The pixel formats that are read, each told by the bytes that it starts with; {@code .} stands for any byte. */
enum RasterFormat {
    PNG("PNG", "\u0089PNG\r\n\u001a\n"),
    JPEG("JPEG", "\u00ff\u00d8\u00ff"),
    TIFF("TIFF", "II*\0", "MM\0*"),
    WEBP("WebP", "RIFF....WEBP");

    private final String shown;
    private final String[] signatures;

    RasterFormat(String shown, String... signatures) {
        this.shown = shown;
        this.signatures = signatures;
    }

    static Optional<RasterFormat> of(byte[] file) {
        return Arrays.stream(values())
                .filter(format -> Arrays.stream(format.signatures).anyMatch(signature -> starts(file, signature)))
                .findFirst();
    }

    private static boolean starts(byte[] file, String signature) {
        if (file.length < signature.length()) {
            return false;
        }
        for (int i = 0; i < signature.length(); i++) {
            char wanted = signature.charAt(i);
            if (wanted != '.' && (file[i] & 0xff) != wanted) {
                return false;
            }
        }
        return true;
    }

    @Override
    public String toString() {
        return shown;
    }
}
