package stillpond.core.render;

import java.util.function.IntUnaryOperator;

/** The colour that a fill shows at each place of a sheet, for fills that are not one colour all over. */
interface Look {

    /** The same with other colours in the place of those that it is made of, as 0xAARRGGBB. */
    Look mapped(IntUnaryOperator colours);

    /**
     * @param x in sheet pixels
     * @param pixelPx how wide a pixel of the picture that is painted is, in sheet pixels
     * @return 0xAARRGGBB, not premultiplied
     */
    int argbAt(double x, double y, double pixelPx);

    /** The same with no colours at its edges but those that it is made of. */
    default Look hardEdged() {
        return this;
    }
}
