package stillpond.app.sheet;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.History;
import stillpond.core.blockin.LooseLine;
import stillpond.core.blockin.Shape;
import stillpond.core.blockin.ShapeMap;
import stillpond.core.blockin.ShapeText;
import stillpond.core.blockin.Shapes;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.refusal.Refusal;

/** The shapes of layers that are blocked in. Other shapes are another cutting of the layer, in which each shape keeps its number and so what it wears. */
@Service
@Transactional
public class LayerShapes {

    /** Of the heap, all maps together that are kept open. */
    private static final int HEAP_SHARE = 10;

    private static final int BYTES_A_PIXEL = 7;
    private static final int KIB = 1024;
    private static final Duration KEPT = Duration.ofMinutes(15);

    private final SheetRepository sheets;
    private final LayerFills fills;
    private final LayerGroups groups;
    private final LayerShadows shadows;
    private final Planes planes;
    private final History history;

    /** Maps of layers that somebody works on, by the name of their shapes and their size, so that a change costs what it changes. */
    private final Cache<List<Object>, ShapeMap> open = Caffeine.newBuilder()
            .maximumWeight(Runtime.getRuntime().maxMemory() / HEAP_SHARE / KIB)
            .weigher((List<Object> key, ShapeMap map) -> 1 + map.plane().numbers().length / KIB * BYTES_A_PIXEL)
            .expireAfterAccess(KEPT)
            .build();

    LayerShapes(
            SheetRepository sheets,
            LayerFills fills,
            LayerGroups groups,
            LayerShadows shadows,
            Planes planes,
            History history) {
        this.sheets = sheets;
        this.fills = fills;
        this.groups = groups;
        this.shadows = shadows;
        this.planes = planes;
        this.history = history;
    }

    /**
     * What is done to the shapes of a layer.
     *
     * @param becomes the id that the layer will have
     * @param put shapes that are new or others now
     * @param order all numbers, from back to front
     * @param lines all lines that do not meet
     * @param like by new shape, the one whose fill it wears
     * @param wears by new shape, what it wears otherwise
     */
    public record Change(
            UUID becomes,
            String words,
            List<Shape> put,
            List<Integer> order,
            List<LooseLine> lines,
            Map<Integer, Integer> like,
            Map<Integer, Fill> wears) {}

    @Transactional(readOnly = true)
    public Shapes of(Layer layer) {
        return of(layer, planes);
    }

    /**
     * The text of shapes that a layer of a sheet has, or had.
     *
     * @throws java.util.NoSuchElementException if it has none of this name
     */
    @Transactional(readOnly = true)
    public byte[] text(UUID project, UUID sheet, String name) {
        boolean isThere = sheets.findByIdAndProjectId(sheet, project).orElseThrow().everyLayer().stream()
                .anyMatch(layer -> layer.isBlockedIn() && layer.source().equals(name));
        if (!isThere) {
            throw new NoSuchElementException("The sheet has no such shapes.");
        }
        return planes.content(name);
    }

    static Shapes of(Layer layer, Planes planes) {
        return ShapeText.shapes(new String(planes.content(layer.source()), StandardCharsets.UTF_8));
    }

    static byte[] text(Shapes shapes) {
        return ShapeText.of(shapes).getBytes(StandardCharsets.UTF_8);
    }

    /**
     * Changes the shapes of a sheet's layer, as one change.
     *
     * @throws Refusal with a message for the user; nothing is changed then
     */
    public void change(Sheet before, UUID author, Change change) {
        StoredSheet sheet = sheets.findAndLock(before.id()).orElseThrow();
        StoredLayer old = sheet.layer(before.layer().id());
        Layer was = old.asLayer();
        if (!was.isBlockedIn()) {
            throw new Refusal("This layer is line art; shapes go on a layer of their own. Add one among the layers.");
        }
        if (!old.isCurrent()) {
            throw new Refusal(
                    "Somebody else has changed the shapes of this layer just now. Yours are as they were; look at theirs, and do it again.");
        }
        LayerLocks.requireUnlocked(sheet, old);
        if (sheets.existsLayer(change.becomes())) {
            throw new Refusal("There is a cutting with this id already. Load the page again.");
        }
        Shapes shapes = of(was);
        Shapes becoming = shapes.becoming(change.put(), change.order(), change.lines());
        ShapeMap map = taken(was, shapes);
        map.become(becoming);
        byte[] text = text(becoming);
        StoredLayer fresh = new StoredLayer(
                change.becomes(),
                old.standing(),
                LineArt.ofShapes(map).keepIn(planes, text, was.origin()).blockedIn());
        sheet.replace(old, fresh);
        sheet.nextRevision();
        sheets.flush();
        groups.carry(was, fresh.asLayer());
        shadows.carry(was, fresh.asLayer());
        fills.write(fresh.id(), Fills.none().becoming(worn(old.id(), fresh.asLayer(), shapes, change)));
        history.keep(
                sheet.projectId(), author, change.words(), List.of(new Effect.Recut(sheet.id(), old.id(), fresh.id())));
        open.put(key(fresh.asLayer()), map);
    }

    private ShapeMap taken(Layer layer, Shapes shapes) {
        ShapeMap map = open.asMap().remove(key(layer));
        return map == null ? ShapeMap.of(shapes, layer.widthPx(), layer.heightPx()) : map;
    }

    private static List<Object> key(Layer layer) {
        return List.of(layer.source(), layer.widthPx(), layer.heightPx());
    }

    private Fills worn(UUID old, Layer fresh, Shapes before, Change change) {
        Fills then = fills.worn(old);
        Map<Integer, Fill> worn = new HashMap<>();
        then.filled().forEach(place -> worn.put(place, then.of(place)));
        change.like().forEach((part, whole) -> {
            requireNew(part, before);
            copy(whole, part, worn);
            copy(Places.ofStroke(whole), Places.ofStroke(part), worn);
        });
        change.wears().forEach((number, fill) -> {
            requireNew(number, before);
            worn.put(number, fill);
        });
        return LayerSwaps.byNumber(Fills.of(worn), fresh, planes);
    }

    private static void copy(int from, int to, Map<Integer, Fill> worn) {
        if (worn.containsKey(from)) {
            worn.put(to, worn.get(from));
        }
    }

    private static void requireNew(int number, Shapes before) {
        if (before.find(number).isPresent()) {
            throw new Refusal("Only new shapes are filled as they are made.");
        }
    }
}
