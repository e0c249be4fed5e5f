package stillpond.app.sheet;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import stillpond.core.format.PlaneCodec;
import stillpond.core.stroke.StrokeMap;

/**
 * How the ink of a layer is cut into strokes.
 *
 * @param plane the name of the plane that says which stroke each pixel belongs to; see {@link StrokeMap}
 * @param small the same for small pictures
 * @param count how many strokes there are
 * @param widthPx how wide they are, in pixels of the layer
 */
@Embeddable
public record StrokePlanes(
        @Column(name = "strokes") String plane,
        @Column(name = "small_strokes") String small,
        @Column(name = "stroke_count") Integer count,
        @Column(name = "stroke_px") Double widthPx) {

    StrokeMap mapOf(Layer layer, Planes planes) {
        return PlaneCodec.decodeStrokes(planes.content(plane), layer.widthPx(), layer.heightPx());
    }

    /** @param widthPx of the small picture, as {@code heightPx} */
    StrokeMap smallMap(int widthPx, int heightPx, Planes planes) {
        return PlaneCodec.decodeStrokes(planes.content(small), widthPx, heightPx);
    }
}
