package stillpond.app.sheet;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import org.springframework.stereotype.Component;
import stillpond.core.format.PlaneCodec;
import stillpond.core.stroke.Stroke;
import stillpond.core.stroke.Strokes;

/** The strokes of layers with what lies beside them; told from planes, which never change, so what was told lately is kept. */
@Component
class LayerStrokes {

    private static final int MOST_KEPT = 200_000;
    private static final Duration KEPT = Duration.ofMinutes(15);

    private final Planes planes;
    private final Cache<List<String>, List<Stroke>> told = Caffeine.newBuilder()
            .maximumWeight(MOST_KEPT)
            .weigher((List<String> names, List<Stroke> strokes) -> 1 + strokes.size())
            .expireAfterAccess(KEPT)
            .build();

    LayerStrokes(Planes planes) {
        this.planes = planes;
    }

    /** By their numbers; none while the ink is not cut. */
    List<Stroke> of(Layer layer) {
        StrokePlanes strokes = layer.strokes();
        return strokes == null
                ? List.of()
                : told.get(
                        List.of(strokes.plane(), layer.ink(), layer.cells()),
                        names -> Strokes.of(
                                strokes.mapOf(layer, planes),
                                PlaneCodec.decodeInk(planes.content(layer.ink())),
                                PlaneCodec.decodeCells(planes.content(layer.cells()))));
    }
}
