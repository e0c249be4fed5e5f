package stillpond.app.visit;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.concurrent.Semaphore;
import org.springframework.stereotype.Component;
import stillpond.app.export.PageMemory;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Showing;
import stillpond.core.format.PngWriter;

/** Whole sheets as a screen shows them. Visitors need no account, so one picture is painted at a time, and painted ones are kept. */
@Component
class VisitPictures {

    static final int LONG_SIDE_PX = 1800;
    /** As for handing on a sheet as it is seen. */
    private static final int BYTES_PER_PIXEL = 16;

    private static final long MOST_BYTES = 64L << 20;

    private final SheetPictures pictures;
    private final PageMemory memory;
    private final Semaphore painting = new Semaphore(1, true);
    private final Cache<String, byte[]> painted = Caffeine.newBuilder()
            .maximumWeight(MOST_BYTES)
            .weigher((String version, byte[] png) -> png.length)
            .build();

    VisitPictures(SheetPictures pictures, PageMemory memory) {
        this.pictures = pictures;
        this.memory = memory;
    }

    SheetPictures.ColouredSheet colour(Sheet sheet) {
        return pictures.colour(sheet, Showing.OWN);
    }

    /** For the list of sheets; a PNG. */
    byte[] small(SheetPictures.ColouredSheet coloured) {
        return png(out -> PngWriter.write(pictures.small(coloured), out));
    }

    /** A PNG, its longer side up to {@link #LONG_SIDE_PX}. */
    byte[] whole(Sheet sheet, SheetPictures.ColouredSheet coloured) {
        String version = sheet.id() + coloured.smallVersion();
        byte[] kept = painted.getIfPresent(version);
        if (kept != null) {
            return kept;
        }
        painting.acquireUninterruptibly();
        try {
            return painted.get(version, any -> paint(sheet));
        } finally {
            painting.release();
        }
    }

    private byte[] paint(Sheet sheet) {
        return memory.during(
                sheet,
                "a picture",
                BYTES_PER_PIXEL,
                () -> png(out -> PngWriter.write(pictures.composed(sheet, Showing.OWN, LONG_SIDE_PX), out)));
    }

    private interface Writing {
        void to(OutputStream out) throws IOException;
    }

    private static byte[] png(Writing writing) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            writing.to(out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
