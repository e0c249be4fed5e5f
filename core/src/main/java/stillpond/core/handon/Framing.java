package stillpond.core.handon;

import java.util.Optional;
import stillpond.core.cell.Box;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;

/**
 * What of a picture is handed on, and how large.
 *
 * @param trim down to what
 * @param marginPx that is left around what is laid, as far as the page goes; 0 to {@value #MOST_MARGIN_PX}
 * @param size how large it becomes
 */
public record Framing(Trim trim, int marginPx, Size size) {

    public static final int MOST_MARGIN_PX = 10_000;

    /** All of it, as large as it is. */
    public static final Framing WHOLE = new Framing(Trim.NOTHING, 0, new Size.Times(1));

    /** What a picture is cut down to. */
    public enum Trim {
        NOTHING,
        /** What is not clear. */
        LAID,
        /** The page frame, if there is one. */
        FRAME
    }

    /** How large a picture becomes. No colour comes up that was not there. */
    public sealed interface Size {

        int MOST_TIMES = 16;
        int LONGEST_PX = 30_000;

        /** By a whole factor. */
        record Times(int factor) implements Size {
            public Times {
                if (factor < 1 || factor > MOST_TIMES) {
                    throw new Refusal("Pictures are enlarged by whole factors, 1 to " + MOST_TIMES + ".");
                }
            }
        }

        /** Until its longer side has so many pixels. */
        record LongSide(int px) implements Size {
            public LongSide {
                if (px < 1 || px > LONGEST_PX) {
                    throw new Refusal("The longer side of a picture has 1 to 30,000 pixels.");
                }
            }
        }
    }

    public Framing {
        if (marginPx < 0 || marginPx > MOST_MARGIN_PX) {
            throw new Refusal("A margin has 0 to 10,000 pixels.");
        }
    }

    /** @param frame of the page, if it has one */
    public Picture of(Picture picture, Optional<Box> frame) {
        return resized(cut(picture, frame));
    }

    /** By how much pixels lie denser in what comes of a picture. */
    public double scale(Picture before, Picture framed, Optional<Box> frame) {
        return framed.widthPx() / (double) box(before, frame).widthPx();
    }

    private Picture cut(Picture picture, Optional<Box> frame) {
        Box box = box(picture, frame);
        return box.widthPx() == picture.widthPx() && box.heightPx() == picture.heightPx()
                ? picture
                : Cropped.of(picture, box);
    }

    private Box box(Picture picture, Optional<Box> frame) {
        Box whole = new Box(0, 0, picture.widthPx(), picture.heightPx());
        return switch (trim) {
            case NOTHING -> whole;
            case FRAME -> frame.map(box -> within(box, whole, 0)).orElse(whole);
            case LAID ->
                within(
                        Cropped.laid(picture)
                                .orElseThrow(
                                        () -> new Refusal(
                                                "Nothing is laid on this sheet, so there is nothing to trim to. Fill something, or hand on the whole page.")),
                        whole,
                        marginPx);
        };
    }

    private static Box within(Box box, Box whole, int margin) {
        Box grown = new Box(
                Math.max(0, box.xStart() - margin),
                Math.max(0, box.yStart() - margin),
                Math.min(whole.xEndExclusive(), box.xEndExclusive() + margin),
                Math.min(whole.yEndExclusive(), box.yEndExclusive() + margin));
        if (grown.widthPx() < 1 || grown.heightPx() < 1) {
            throw new Refusal("The page frame lies beside the picture. Draw it anew.");
        }
        return grown;
    }

    private Picture resized(Picture picture) {
        if (size instanceof Size.Times times) {
            return Resized.to(picture, picture.widthPx() * times.factor(), picture.heightPx() * times.factor());
        }
        double scale = ((Size.LongSide) size).px() / (double) Math.max(picture.widthPx(), picture.heightPx());
        return Resized.to(picture, Math.max(1, (int) Math.round(picture.widthPx() * scale)), Math.max(1, (int)
                Math.round(picture.heightPx() * scale)));
    }
}
