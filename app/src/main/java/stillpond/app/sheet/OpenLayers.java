package stillpond.app.sheet;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Component;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Openings;
import stillpond.core.ink.InkPlane;

/** Layers that somebody draws dams into, unpacked, so that a line costs what it cuts and not the whole page. They are known by the names of their planes. */
@Component
class OpenLayers {

    /** Of the heap, all of them together; the rest belongs to requests. */
    private static final int HEAP_SHARE = 6;

    private static final Duration KEPT = Duration.ofMinutes(15);
    private static final int BYTES_A_PIXEL = 5;
    private static final int KIB = 1024;

    private final LayerDams dams;
    private final Planes planes;
    private final Cache<List<String>, OpenLayer> unpacked = Caffeine.newBuilder()
            .maximumWeight(Runtime.getRuntime().maxMemory() / HEAP_SHARE / KIB)
            .weigher((List<String> names, OpenLayer layer) ->
                    1 + (int) ((long) layer.ink().density().length * BYTES_A_PIXEL / KIB))
            .expireAfterAccess(KEPT)
            .build();

    OpenLayers(LayerDams dams, Planes planes) {
        this.dams = dams;
        this.planes = planes;
    }

    record OpenLayer(Openings openings, InkPlane ink) {}

    /** Unpacks a layer ahead of its use. */
    void open(Layer layer) {
        unpacked.get(names(layer), names -> unpack(layer));
    }

    /** Hands out a layer for good: whoever has it may change its cells, and {@link #keep}s what it has become. */
    OpenLayer take(Layer layer) {
        OpenLayer open = unpacked.asMap().remove(names(layer));
        return open != null ? open : unpack(layer);
    }

    void keep(Layer layer, OpenLayer open) {
        unpacked.put(names(layer), open);
    }

    private OpenLayer unpack(Layer layer) {
        return new OpenLayer(dams.openings(layer), PlaneCodec.decodeInk(planes.content(layer.ink())));
    }

    /** A layer analysed before there were openings has none. */
    private static List<String> names(Layer layer) {
        return Arrays.asList(layer.ink(), layer.cells(), layer.openings());
    }
}
