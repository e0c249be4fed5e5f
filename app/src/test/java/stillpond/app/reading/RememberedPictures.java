package stillpond.app.reading;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import stillpond.app.settings.PondSettings;
import stillpond.app.sheet.Sheets;
import stillpond.core.format.ImageLimits;
import stillpond.core.ink.Picture;

/**
 * Reads pictures as the application does, but has each work on each file done once for all tests: what came of it is kept on disk, under a hash of everything
 * that it depends on. What is refused is refused anew each time. Tests of reading itself make a {@link PictureFiles} of their own.
 */
final class RememberedPictures extends PictureFiles {

    /** Takes its place wherever the tests start the application. */
    @Configuration
    static class InTests {
        @Bean
        @Primary
        PictureFiles rememberedPictures(PondSettings settings, WorkingMemory memory) {
            return new RememberedPictures(settings.reading(), memory);
        }
    }

    private static final Path KEPT =
            Path.of(System.getenv().getOrDefault("POND_TEST_PICTURES", "target/test-pictures"), ofCode());

    private RememberedPictures(PondSettings.Reading settings, WorkingMemory memory) {
        super(settings, memory);
    }

    @Override
    public Worked work(
            byte[] file, ImageLimits limits, Class<? extends PictureWork> work, byte[] argument, Budget budget) {
        Path kept = KEPT.resolve(hash(
                file,
                limits.toString().getBytes(StandardCharsets.UTF_8),
                work.getName().getBytes(StandardCharsets.UTF_8),
                argument));
        try {
            if (Files.exists(kept)) {
                return read(kept);
            }
            Worked worked = super.work(file, limits, work, argument, budget);
            write(worked, kept);
            return worked;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Worked read(Path kept) throws IOException {
        DataInputStream in = new DataInputStream(new ByteArrayInputStream(Files.readAllBytes(kept)));
        byte[] result = in.readNBytes(in.readInt());
        List<String> leftOut = new ArrayList<>();
        for (int more = in.readInt(); more > 0; more--) {
            leftOut.add(in.readUTF());
        }
        return new Worked(result, leftOut);
    }

    /** Written aside and then moved: tests run in several processes. */
    private static void write(Worked worked, Path kept) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(bytes);
        out.writeInt(worked.result().length);
        out.write(worked.result());
        out.writeInt(worked.leftOut().size());
        for (String each : worked.leftOut()) {
            out.writeUTF(each);
        }
        Files.createDirectories(KEPT);
        Path aside = Files.createTempFile(KEPT, "new", "");
        Files.write(aside, bytes.toByteArray());
        Files.move(aside, kept, StandardCopyOption.ATOMIC_MOVE);
    }

    /** The classes of the core, and those that do the work where pictures are read. */
    private static String ofCode() {
        try {
            Path core = Path.of(Picture.class
                    .getProtectionDomain()
                    .getCodeSource()
                    .getLocation()
                    .toURI());
            Path work = Path.of(Sheets.class
                            .getProtectionDomain()
                            .getCodeSource()
                            .getLocation()
                            .toURI())
                    .resolve("stillpond/app/sheet");
            List<byte[]> code = new ArrayList<>(contents(core, ""));
            code.addAll(contents(work, "Analyses"));
            code.addAll(contents(work, "LineArt"));
            return hash(code.toArray(byte[][]::new));
        } catch (Exception e) {
            throw new ExceptionInInitializerError(e);
        }
    }

    private static List<byte[]> contents(Path code, String start) throws IOException {
        if (Files.isDirectory(code)) {
            return contentsBelow(code, start);
        }
        // A jar holds the times at which it was made; what is in it is the same.
        try (FileSystem jar = FileSystems.newFileSystem(code)) {
            return contentsBelow(jar.getPath("/"), start);
        }
    }

    private static List<byte[]> contentsBelow(Path folder, String start) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            List<byte[]> contents = new ArrayList<>();
            for (Path file : files.filter(Files::isRegularFile)
                    .filter(each -> each.getFileName().toString().startsWith(start)
                            && each.toString().endsWith(".class"))
                    .sorted()
                    .toList()) {
                contents.add(Files.readAllBytes(file));
            }
            return contents;
        }
    }

    private static String hash(byte[]... parts) {
        MessageDigest digest = DigestUtils.getSha256Digest();
        for (byte[] part : parts) {
            digest.update(ByteBuffer.allocate(Integer.BYTES).putInt(0, part.length));
            digest.update(part);
        }
        return HexFormat.of().formatHex(digest.digest());
    }
}
