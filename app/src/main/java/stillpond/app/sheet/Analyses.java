package stillpond.app.sheet;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInput;
import java.io.DataInputStream;
import java.io.DataOutput;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import stillpond.app.reading.PictureFiles;
import stillpond.app.reading.PictureWork;
import stillpond.core.format.FileLayer;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.PlaneCodec;
import stillpond.core.format.PngWriter;
import stillpond.core.ink.InkSettings;
import stillpond.core.ink.Picture;
import stillpond.core.render.LayeredPicture;
import stillpond.core.stack.VisibleInk;

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

    /** Ink of another layer as it is kept. @param xPx where its left edge lies on the layer that is analysed, as {@code yPx} its upper one */
    record OtherInk(byte[] plane, int xPx, int yPx) {}

    /**
     * @param others ink that bounds the cells too
     * @throws stillpond.core.format.UnreadableFile with a message for the user
     */
    LineArt whole(byte[] file, ImageLimits limits, InkSettings settings, List<OtherInk> others, Waiting waiting) {
        ByteArrayOutputStream argument = new ByteArrayOutputStream();
        try {
            DataOutputStream out = new DataOutputStream(argument);
            LineArt.writeSettings(settings, out);
            out.writeInt(others.size());
            for (OtherInk other : others) {
                LineArt.writePlane(other.plane(), out);
                out.writeInt(other.xPx());
                out.writeInt(other.yPx());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return done(pictureFiles.work(
                        file, limits, Whole.class, argument.toByteArray(), pixels -> within(waiting.least, pixels)))
                .lineArt();
    }

    /** Line art that is as large as its page, and the file that it is to be made from again. */
    record Fitted(LineArt lineArt, byte[] file) {}

    /** A file and the layers that it consists of, if it knows of layers; else there are none. */
    record Apart(int widthPx, int heightPx, List<FileLayer> layers) {}

    /** @throws stillpond.core.format.UnreadableFile with a message for the user */
    Apart apart(byte[] file, ImageLimits limits) {
        byte[] result = pictureFiles.takeApart(file, limits, pixels -> within(GLANCE, pixels));
        try {
            DataInputStream in = new DataInputStream(new ByteArrayInputStream(result));
            int width = in.readInt();
            int height = in.readInt();
            List<FileLayer> layers = new ArrayList<>();
            for (int more = in.readInt(); more > 0; more--) {
                layers.add(new FileLayer(
                        in.readUTF(),
                        LineArt.readPlane(in),
                        in.readInt(),
                        in.readInt(),
                        in.readInt(),
                        in.readBoolean()));
            }
            return new Apart(width, height, layers);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * A glance at a layer of a page that may be larger than the layer.
     *
     * @return empty if nothing is drawn on it, or all of it is ink
     * @param xPx where the left edge of the layer lies, as {@code yPx} its upper one
     */
    Optional<Fitted> glanceOnPage(byte[] file, ImageLimits limits, int widthPx, int heightPx, int xPx, int yPx) {
        ByteBuffer argument = ByteBuffer.allocate(4 * Integer.BYTES);
        argument.putInt(widthPx).putInt(heightPx).putInt(xPx).putInt(yPx);
        long page = (long) widthPx * heightPx;
        PictureFiles.Worked worked = pictureFiles.work(
                file, limits, OnPage.class, argument.array(), pixels -> within(GLANCE, Math.max(page, pixels)));
        try {
            DataInputStream in = new DataInputStream(new ByteArrayInputStream(worked.result()));
            if (!in.readBoolean()) {
                return Optional.empty();
            }
            byte[] fitted = in.readBoolean() ? file : LineArt.readPlane(in);
            return Optional.of(new Fitted(LineArt.read(in), fitted));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
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

    /** Makes a layer of a file as large as its page, if it is not, and glances at it. */
    static final class OnPage implements PictureWork {
        @Override
        public void run(Picture picture, DataInput argument, DataOutput result) throws IOException {
            int width = argument.readInt();
            int height = argument.readInt();
            int x = argument.readInt();
            int y = argument.readInt();
            boolean isAsLarge = picture.widthPx() == width && picture.heightPx() == height && x == 0 && y == 0;
            Picture page = isAsLarge ? picture : laid(picture, width, height, x, y);
            Optional<LineArt> lineArt = LineArt.glanceIfDrawn(page);
            result.writeBoolean(lineArt.isPresent());
            if (lineArt.isPresent()) {
                result.writeBoolean(isAsLarge);
                if (!isAsLarge) {
                    ByteArrayOutputStream file = new ByteArrayOutputStream();
                    PngWriter.write(page, file);
                    LineArt.writePlane(file.toByteArray(), result);
                }
                lineArt.get().write(result);
            }
        }

        private static Picture laid(Picture picture, int width, int height, int x, int y) {
            LayeredPicture page = LayeredPicture.onClear(width, height);
            page.lay(picture, 100, x, y);
            return page.picture();
        }
    }

    static final class Whole implements PictureWork {
        @Override
        public void run(Picture picture, DataInput argument, DataOutput result) throws IOException {
            InkSettings settings = LineArt.readSettings(argument);
            List<VisibleInk.Other> others = new ArrayList<>();
            for (int more = argument.readInt(); more > 0; more--) {
                others.add(new VisibleInk.Other(
                        PlaneCodec.decodeInk(LineArt.readPlane(argument)), argument.readInt(), argument.readInt()));
            }
            LineArt.analyse(picture, settings, others).write(result);
        }
    }
}
