package stillpond.app.demo;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import stillpond.core.gap.Openings;

/**
 * The books of the demo as the application ships them: project files, unpacked into folders, so that no file is large and a change shows which parts it is of. The first
 * is the one that the shelf shows first.
 */
enum DemoFiles {
    TIDE_POST("tide-post", "book.json"),
    HERON("herons-umbrella", "heron.json");

    /** Says what they were made from: see {@link #state}. */
    static final String MADE_FROM = "made-from";

    private static final String SHIPPED = "demo/";

    private final String folder;
    private final String source;

    DemoFiles(String folder, String source) {
        this.folder = folder;
        this.source = source;
    }

    /** The name of the file, among the drawings, that says what the book consists of. */
    String source() {
        return source;
    }

    interface Content {
        void writeTo(OutputStream out) throws IOException;
    }

    /** Unpacks a project file in the place of what was there. */
    void write(Path into, Content projectFile) throws IOException {
        Path folder = into.resolve(this.folder);
        empty(folder);
        Path zip = Files.createTempFile("still-pond-", ".zip");
        try {
            try (OutputStream out = Files.newOutputStream(zip)) {
                projectFile.writeTo(out);
            }
            try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip))) {
                for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                    Path file = folder.resolve(entry.getName());
                    Files.createDirectories(file.getParent());
                    Files.copy(in, file);
                }
            }
        } finally {
            Files.delete(zip);
        }
    }

    private static void empty(Path folder) throws IOException {
        if (Files.exists(folder)) {
            try (Stream<Path> files = Files.walk(folder)) {
                for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(file);
                }
            }
        }
    }

    /** Packs the shipped project file. */
    void pack(OutputStream into) throws IOException {
        String root = SHIPPED + folder + "/";
        ZipOutputStream zip = new ZipOutputStream(into);
        // Read here and then thrown away.
        zip.setLevel(0);
        for (Resource resource : new PathMatchingResourcePatternResolver().getResources("classpath*:" + root + "**")) {
            if (!resource.isReadable()) {
                continue;
            }
            String address = resource.getURL().getPath();
            zip.putNextEntry(new ZipEntry(address.substring(address.lastIndexOf(root) + root.length())));
            resource.getInputStream().transferTo(zip);
            zip.closeEntry();
        }
        zip.finish();
    }

    /** A hash of what a demo is made from: the drawings and books in a folder, and how gaps are found. */
    static String state(Path from) throws IOException {
        MessageDigest digest = DigestUtils.getSha256Digest();
        try (Stream<Path> files = Files.list(from)) {
            for (Path file : files.sorted().toList()) {
                digest.update(file.getFileName().toString().getBytes(StandardCharsets.UTF_8));
                digest.update(Files.readAllBytes(file));
            }
        }
        return HexFormat.of().formatHex(digest.digest()) + " by analysis " + Openings.VERSION + "\n";
    }
}
