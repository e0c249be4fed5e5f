package stillpond.bench.flats;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.format.UnreadableFile;
import stillpond.core.ink.Picture;

/**
 * Makes cases from the coloured drawings of Debian's package {@code openclipart-svg}, which are in the public domain. Drawings of some artists are left out, so
 * that what is fitted to these cases can be measured on artists that nothing was fitted to.
 */
final class ClipartCases {

    private static final int WIDTH_PX = 1200;
    private static final int MOST_HEIGHT_PX = 3000;

    /** Large files are pages of thousands of shapes, no drawings in flats. */
    private static final long MOST_BYTES = 2 << 20;

    private ClipartCases() {}

    /** @param args where the drawings lie; where cases go; and where more go that are only good enough to be fitted to, if any shall be made */
    public static void main(String[] args) throws IOException {
        List<Path> drawings;
        try (Stream<Path> files = Files.walk(Path.of(args[0]))) {
            drawings = files.filter(file -> file.toString().endsWith(".svg"))
                    .filter(file -> !isLeftOut(nameOf(file)))
                    .sorted()
                    .toList();
        }
        Path measured = Path.of(args[1]);
        Optional<Path> fitted = args.length > 2 ? Optional.of(Path.of(args[2])) : Optional.empty();
        long made = drawings.parallelStream()
                .filter(file -> make(file, measured, fitted))
                .count();
        System.out.printf("%d of %d drawings became cases%n", made, drawings.size());
    }

    private static String nameOf(Path file) {
        String name = file.getFileName().toString();
        return name.substring(0, name.length() - ".svg".length());
    }

    /** Whether the artist, by the last two words of the name, is one that nothing may be fitted to. */
    static boolean isLeftOut(String name) {
        List<String> words = Arrays.stream(name.split("_"))
                .filter(word -> !word.matches("\\d+"))
                .toList();
        String artist = String.join("_", words.subList(Math.max(0, words.size() - 2), words.size()));
        return firstByteOfMd5(artist) % 5 < 2;
    }

    static int firstByteOfMd5(String text) {
        try {
            return MessageDigest.getInstance("MD5").digest(text.getBytes(StandardCharsets.UTF_8))[0] & 0xff;
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static boolean make(Path file, Path measured, Optional<Path> fitted) {
        try {
            if (Files.isSymbolicLink(file) || Files.size(file) > MOST_BYTES) {
                return false;
            }
            Optional<Picture> picture = drawn(Files.readAllBytes(file));
            return picture.isPresent()
                    && (write(file, picture.get(), ColouredDrawing.Limits.MEASURED, measured)
                            || fitted.isPresent()
                                    && write(file, picture.get(), ColouredDrawing.Limits.FITTED, fitted.get()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static boolean write(Path file, Picture picture, ColouredDrawing.Limits limits, Path folder)
            throws IOException {
        Optional<Case> made = ColouredDrawing.toCase(nameOf(file), picture, limits);
        if (made.isPresent()) {
            CaseFiles.write(folder, made.get());
        }
        return made.isPresent();
    }

    private static Optional<Picture> drawn(byte[] file) {
        try {
            Picture small = new LineArtReader(ImageLimits.DEFAULT.withVectorLongSide(200)).read(file);
            double slender = Math.max(1, small.heightPx() / (double) small.widthPx());
            if (slender * WIDTH_PX > MOST_HEIGHT_PX) {
                return Optional.empty();
            }
            int longSide = (int) Math.round(slender * WIDTH_PX);
            return Optional.of(new LineArtReader(ImageLimits.DEFAULT.withVectorLongSide(longSide)).read(file));
        } catch (UnreadableFile e) {
            return Optional.empty();
        }
    }
}
