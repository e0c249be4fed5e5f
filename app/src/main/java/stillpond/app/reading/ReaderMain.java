package stillpond.app.reading;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.PrintStream;
import java.lang.reflect.Constructor;
import java.nio.ByteBuffer;
import java.util.List;
import stillpond.core.format.FileLayer;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.format.PictureFile;
import stillpond.core.format.UnreadableFile;
import stillpond.core.ink.Picture;

/**
 * The process that reads pictures for {@link Reader}, one after the other. It is told a file and its limits, says how large the picture is,
 * and decodes it when it is told what to do with it. Whatever a file does to it, it can be ended and another one started.
 */
final class ReaderMain {

    static final int FINE = 1;
    static final int REFUSED = 0;
    /** Stands for the name of a work: to tell the layers of the file apart. */
    static final String APART = "apart";

    /** So that it can be written as one text. */
    private static final int LONGEST_NAME = 1000;

    private static final int CHUNK_PIXELS = 1 << 16;

    private ReaderMain() {}

    public static void main(String[] arguments) throws IOException {
        DataInputStream in = new DataInputStream(new BufferedInputStream(System.in, 1 << 16));
        DataOutputStream out = new DataOutputStream(new BufferedOutputStream(System.out, 1 << 18));
        // What a library prints must not get in between.
        System.setOut(new PrintStream(System.err));
        out.writeByte(FINE);
        out.flush();
        try {
            while (true) {
                serve(in, out);
                out.flush();
            }
        } catch (EOFException nobodyAsksAnyMore) {
            System.exit(0);
        }
    }

    private static void serve(DataInputStream in, DataOutputStream out) throws IOException {
        byte[] file = in.readNBytes(in.readInt());
        ImageLimits limits = new ImageLimits(in.readLong(), in.readLong(), in.readInt(), in.readInt());
        try {
            PictureFile opened = new LineArtReader(limits).open(file);
            out.writeByte(FINE);
            out.writeInt(opened.widthPx());
            out.writeInt(opened.heightPx());
            out.writeInt(opened.leftOut().size());
            for (String each : opened.leftOut()) {
                out.writeUTF(each);
            }
            out.flush();
            String work = in.readUTF();
            byte[] argument = in.readNBytes(in.readInt());
            if (work.isEmpty()) {
                write(opened.decode(), out);
            } else {
                write(work.equals(APART) ? apart(opened) : result(work, opened.decode(), argument), out);
            }
        } catch (UnreadableFile e) {
            refuse(out, e.getMessage());
        } catch (StackOverflowError e) {
            refuse(out, "The file holds things within things without end, so it was not opened.");
        } catch (OutOfMemoryError e) {
            refuse(out, "The file needs more memory than one file is given here. Bring it smaller, or in parts.");
        }
    }

    private static byte[] apart(PictureFile file) throws IOException {
        ByteArrayOutputStream result = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(result);
        List<FileLayer> layers = file.layers();
        out.writeInt(file.widthPx());
        out.writeInt(file.heightPx());
        out.writeInt(layers.size());
        for (FileLayer layer : layers) {
            out.writeUTF(layer.name().substring(0, Math.min(layer.name().length(), LONGEST_NAME)));
            out.writeInt(layer.file().length);
            out.write(layer.file());
            out.writeInt(layer.xPx());
            out.writeInt(layer.yPx());
            out.writeInt(layer.opacityPercent());
            out.writeBoolean(layer.isHidden());
        }
        return result.toByteArray();
    }

    private static byte[] result(String work, Picture picture, byte[] argument) throws IOException {
        ByteArrayOutputStream result = new ByteArrayOutputStream();
        try {
            Constructor<?> constructor = Class.forName(work).getDeclaredConstructor();
            constructor.setAccessible(true);
            ((PictureWork) constructor.newInstance())
                    .run(
                            picture,
                            new DataInputStream(new ByteArrayInputStream(argument)),
                            new DataOutputStream(result));
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(work + " is no work on pictures", e);
        }
        return result.toByteArray();
    }

    private static void write(byte[] result, DataOutputStream out) throws IOException {
        out.writeByte(FINE);
        out.writeInt(result.length);
        out.write(result);
    }

    private static void refuse(DataOutputStream out, String reason) throws IOException {
        out.writeByte(REFUSED);
        out.writeUTF(reason);
    }

    private static void write(Picture picture, DataOutputStream out) throws IOException {
        int[] argb = picture.argb();
        out.writeByte(FINE);
        out.writeInt(picture.widthPx());
        out.writeInt(picture.heightPx());
        ByteBuffer chunk = ByteBuffer.allocate(CHUNK_PIXELS * Integer.BYTES);
        for (int start = 0; start < argb.length; start += CHUNK_PIXELS) {
            int count = Math.min(CHUNK_PIXELS, argb.length - start);
            chunk.asIntBuffer().put(argb, start, count);
            out.write(chunk.array(), 0, count * Integer.BYTES);
        }
    }
}
