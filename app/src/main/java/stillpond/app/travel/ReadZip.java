package stillpond.app.travel;

import java.io.IOException;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import stillpond.core.refusal.Refusal;

/** A zip that somebody sent: its entries are found by names that can do no harm, and give no more bytes than was said, whatever it claims of itself. */
final class ReadZip implements AutoCloseable {

    private static final int MOST_ENTRIES = 60_000;
    /** Two hundred sheets of two megapixels take two minutes. */
    private static final Duration LONGEST = Duration.ofMinutes(40);

    private static final int MOST_NAME_LENGTH = 200;
    private static final Pattern NAME = Pattern.compile("[A-Za-z0-9_-][A-Za-z0-9._-]*(/[A-Za-z0-9_-][A-Za-z0-9._-]*)*");

    /** APPNOTE 6.3.10 of the ZIP format, 4.3.16: the record at its end. */
    private static final int END_SIGNATURE = 0x06054b50;

    private static final int END_BYTES = 22;
    private static final int ENTRIES_AT = 10;
    private static final int TABLE_AT = 12;
    private static final int COMMENT_AT = 20;
    private static final long MOST_TABLE_BYTES = 32 << 20;
    private static final int MOST_COMMENT = 0xffff;
    private static final int UNSIGNED_SHORT = 0xffff;

    private final ZipFile zip;
    private final Map<String, ZipEntry> entries = new LinkedHashMap<>();
    private final Set<String> asked = new HashSet<>();
    private final long begun = System.nanoTime();
    private long bytesLeft;

    private ReadZip(ZipFile zip, long mostBytes) {
        this.zip = zip;
        this.bytesLeft = mostBytes;
    }

    /**
     * @param mostBytes that may be unpacked of it in all
     * @throws Refusal if it is none, or not one that we would write
     */
    static ReadZip open(Path file, long mostBytes) throws IOException {
        requireSmallTable(file);
        ZipFile zip;
        try {
            zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8);
        } catch (IOException | IllegalArgumentException e) {
            throw noZip(e);
        }
        ReadZip read = new ReadZip(zip, mostBytes);
        try {
            read.list();
        } catch (RuntimeException e) {
            zip.close();
            throw e;
        }
        return read;
    }

    private static Refusal noZip(Exception cause) {
        return new Refusal("This is no project file: it is not a zip, or it is broken.", cause);
    }

    /** Told by the record at its end before the table of entries is read, which may be as large as the file. What stands in a comment is no such record. */
    private static void requireSmallTable(Path file) throws IOException {
        try (RandomAccessFile in = new RandomAccessFile(file.toFile(), "r")) {
            int length = (int) Math.min(in.length(), END_BYTES + MOST_COMMENT);
            byte[] tail = new byte[length];
            in.seek(in.length() - length);
            in.readFully(tail);
            ByteBuffer numbers = ByteBuffer.wrap(tail).order(ByteOrder.LITTLE_ENDIAN);
            for (int at = length - END_BYTES; at >= 0; at--) {
                boolean reachesTheEnd = at + END_BYTES + (numbers.getShort(at + COMMENT_AT) & UNSIGNED_SHORT) == length;
                if (numbers.getInt(at) == END_SIGNATURE && reachesTheEnd) {
                    int entries = numbers.getShort(at + ENTRIES_AT) & UNSIGNED_SHORT;
                    long table = Integer.toUnsignedLong(numbers.getInt(at + TABLE_AT));
                    if (entries > MOST_ENTRIES || table > MOST_TABLE_BYTES) {
                        throw new Refusal("The file has more entries than a project.");
                    }
                    return;
                }
            }
            throw noZip(null);
        }
    }

    private void list() {
        Set<String> folded = new HashSet<>();
        for (ZipEntry entry : Collections.list(zip.entries())) {
            String name = entry.getName();
            if (name.length() > MOST_NAME_LENGTH || !NAME.matcher(name).matches()) {
                throw new Refusal("The file has an entry under a name that no project file has: '"
                        + name.substring(0, Math.min(name.length(), 60)) + "'.");
            }
            if (!folded.add(name.toLowerCase(Locale.ROOT))) {
                throw new Refusal("The file has two entries under the name '" + name + "'.");
            }
            entries.put(name, entry);
        }
        if (entries.size() > MOST_ENTRIES) {
            throw new Refusal("The file has more entries than a project.");
        }
    }

    /** The entries that nobody has asked for. */
    List<String> unasked() {
        return entries.keySet().stream().filter(name -> !asked.contains(name)).toList();
    }

    /** @throws Refusal if there is no such entry, or if it is larger than {@code most} bytes */
    byte[] bytes(String name, long most) {
        ZipEntry entry = entries.get(name);
        asked.add(name);
        if (entry == null) {
            throw new Refusal("The file lacks '" + name + "', which it speaks of.");
        }
        if (System.nanoTime() - begun > LONGEST.toNanos()) {
            throw new Refusal("It takes longer than " + LONGEST.toMinutes() + " minutes to read the file.");
        }
        int limit = (int) Math.min(Math.min(most, bytesLeft), Integer.MAX_VALUE - Long.BYTES - 1);
        try (InputStream in = zip.getInputStream(entry)) {
            byte[] content = in.readNBytes(limit + 1);
            if (content.length > limit) {
                throw new Refusal("'" + name + "' is larger than it may be when it is unpacked.");
            }
            bytesLeft -= content.length;
            return content;
        } catch (IOException e) {
            throw noZip(e);
        }
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}
