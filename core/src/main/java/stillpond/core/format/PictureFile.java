package stillpond.core.format;

import java.util.List;
import java.util.function.Supplier;
import stillpond.core.ink.Picture;

/** A picture that was looked at and found to be within the limits, but not decoded yet, which is what takes time and memory. */
public final class PictureFile {

    private final int widthPx;
    private final int heightPx;
    private final List<String> leftOut;
    private final Supplier<Picture> decoder;
    private final Supplier<List<FileLayer>> layers;

    PictureFile(int widthPx, int heightPx, List<String> leftOut, Supplier<Picture> decoder) {
        this(widthPx, heightPx, leftOut, decoder, List::of);
    }

    PictureFile(
            int widthPx,
            int heightPx,
            List<String> leftOut,
            Supplier<Picture> decoder,
            Supplier<List<FileLayer>> layers) {
        this.widthPx = widthPx;
        this.heightPx = heightPx;
        this.leftOut = List.copyOf(leftOut);
        this.decoder = decoder;
        this.layers = layers;
    }

    /** As it will be decoded, but for a photograph that was taken sideways. */
    public int widthPx() {
        return widthPx;
    }

    public int heightPx() {
        return heightPx;
    }

    /** What the file holds and is not drawn, for the user to read, each to follow "without". */
    public List<String> leftOut() {
        return leftOut;
    }

    /** @throws UnreadableFile if it turns out to be broken */
    public Picture decode() {
        return decoder.get();
    }

    /** The layers that it consists of, from front to back; none if the file knows of no layers. @throws UnreadableFile if it turns out to be broken, or has too many */
    public List<FileLayer> layers() {
        return layers.get();
    }
}
