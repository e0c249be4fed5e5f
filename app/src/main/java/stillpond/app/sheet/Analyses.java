package stillpond.app.sheet;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInput;
import java.io.DataInputStream;
import java.io.DataOutput;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.util.List;
import org.springframework.stereotype.Component;
import stillpond.app.reading.PictureFiles;
import stillpond.app.reading.PictureWork;
import stillpond.core.format.ImageLimits;
import stillpond.core.ink.InkSettings;
import stillpond.core.ink.Picture;

/** Has files of line art analysed where pictures are read, so that what takes too long, such as a page of noise, is stopped. */
@Component
class Analyses {

    /** A glance at a page of ordinary size takes a tenth of it. */
    private static final Duration GLANCE = Duration.ofSeconds(9);

    private static final double SECONDS_PER_MEGAPIXEL = 0.5;

    /** Who waits for an analysis; it takes a few seconds on a page of ordinary size. */
    enum Waiting {
        SOMEBODY(Duration.ofSeconds(15)),
        NOBODY(Duration.ofSeconds(90));

        private final Duration least;

        Waiting(Duration least) {
            this.least = least;
        }
    }

    private final PictureFiles pictureFiles;

    Analyses(PictureFiles pictureFiles) {
        this.pictureFiles = pictureFiles;
    }

    /** @param leftOut see {@link Sheets.Brought} */
    record Done(LineArt lineArt, List<String> leftOut) {}

    /** Only cut along its ink. @throws stillpond.core.format.UnreadableFile with a message for the user */
    Done glance(byte[] file, ImageLimits limits) {
        return done(pictureFiles.work(file, limits, Glance.class, new byte[0], pixels -> within(GLANCE, pixels / 4)));
    }

    /** @throws stillpond.core.format.UnreadableFile with a message for the user */
    LineArt whole(byte[] file, ImageLimits limits, InkSettings settings, Waiting waiting) {
        ByteArrayOutputStream argument = new ByteArrayOutputStream();
        try {
            LineArt.writeSettings(settings, new DataOutputStream(argument));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return done(pictureFiles.work(
                        file, limits, Whole.class, argument.toByteArray(), pixels -> within(waiting.least, pixels)))
                .lineArt();
    }

    private static Duration within(Duration least, long pixels) {
        return least.plusMillis(Math.round(1000 * SECONDS_PER_MEGAPIXEL * pixels / 1e6));
    }

    private static Done done(PictureFiles.Worked worked) {
        try {
            return new Done(
                    LineArt.read(new DataInputStream(new ByteArrayInputStream(worked.result()))), worked.leftOut());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static final class Glance implements PictureWork {
        @Override
        public void run(Picture picture, DataInput argument, DataOutput result) throws IOException {
            LineArt.glance(picture).write(result);
        }
    }

    static final class Whole implements PictureWork {
        @Override
        public void run(Picture picture, DataInput argument, DataOutput result) throws IOException {
            LineArt.analyse(picture, LineArt.readSettings(argument)).write(result);
        }
    }
}
