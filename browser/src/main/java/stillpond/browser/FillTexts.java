package stillpond.browser;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.teavm.jso.JSExport;
import stillpond.core.cell.Box;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Opacity;
import stillpond.core.fill.Repeat;
import stillpond.core.fill.Span;
import stillpond.core.fill.SpanPlace;
import stillpond.core.fill.Stop;
import stillpond.core.fill.Swap;

/** Fills in the form in which they are stored and sent; opacities in percent, spans as x1, y1, x2, y2. */
public final class FillTexts {

    private FillTexts() {}

    @JSExport
    public static FillParts parts(String text) {
        Fill fill = Fill.ofText(text);
        if (fill instanceof Fill.Flat flat) {
            return new FillParts(
                    "flat",
                    flat.opacity().percent(),
                    new int[0],
                    new int[0],
                    ids(fill.swatches()),
                    "",
                    false,
                    false,
                    0,
                    "");
        }
        if (fill instanceof Fill.Tone tone) {
            return new FillParts(
                    "tone", tone.percent(), new int[0], new int[0], ids(fill.swatches()), "", false, false, 0, "");
        }
        if (fill instanceof Fill.Gradient gradient) {
            return new FillParts(
                    gradient.course().name().toLowerCase(Locale.ROOT),
                    gradient.opacity().percent(),
                    numbers(gradient.span()),
                    gradient.stops().stream().mapToInt(Stop::percent).toArray(),
                    ids(gradient.stops().stream().map(Stop::swatch).toList()),
                    "",
                    false,
                    false,
                    0,
                    kept(gradient));
        }
        if (fill instanceof Fill.Pattern pattern) {
            return new FillParts(
                    "pattern",
                    pattern.opacity().percent(),
                    numbers(pattern.span()),
                    new int[0],
                    ids(pattern.inks()),
                    pattern.motif(),
                    pattern.repeat().mirrored(),
                    pattern.repeat().flipped(),
                    pattern.repeat().heightPercent(),
                    kept(pattern));
        }
        return new FillParts("none", 0, new int[0], new int[0], new String[0], "", false, false, 0, "");
    }

    private static String kept(Fill fill) {
        return fill.kept().map(UUID::toString).orElse("");
    }

    /** A gradient or pattern as one that is kept on a card. @param kept empty: as none */
    @JSExport
    public static String keptAs(String gradientOrPattern, String kept) {
        Optional<UUID> id = kept.isEmpty() ? Optional.empty() : Optional.of(UUID.fromString(kept));
        return Fill.ofText(gradientOrPattern).keptAs(id).text();
    }

    /** A fill as it is kept, lying nowhere. */
    @JSExport
    public static String nowhere(String text) {
        return Fill.ofText(text).nowhere().text();
    }

    /** A fill that is laid in a box, if it lies nowhere yet. */
    @JSExport
    public static String placed(String text, int[] box) {
        return Fill.ofText(text)
                .placedIn(new Box(box[0], box[1], box[2], box[3]))
                .text();
    }

    /** Whether ink can wear it. */
    @JSExport
    public static boolean isOneSwatchOrNone(String text) {
        return Fill.ofText(text).isOneSwatchOrNone();
    }

    /** The fill at so many steps of tone more, or less below 0. */
    @JSExport
    public static String toned(String text, int steps) {
        return Fill.Tone.stepped(Fill.ofText(text), steps).text();
    }

    @JSExport
    public static String flat(int opacity, String swatch) {
        return new Fill.Flat(UUID.fromString(swatch), new Opacity(opacity)).text();
    }

    /** @param course linear or radial */
    @JSExport
    public static String gradient(String course, int opacity, int[] span, int[] percents, String[] swatches) {
        List<Stop> stops = new ArrayList<>();
        for (int i = 0; i < swatches.length; i++) {
            stops.add(new Stop(percents[i], UUID.fromString(swatches[i])));
        }
        Fill.Course along = Fill.Course.valueOf(course.toUpperCase(Locale.ROOT));
        return new Fill.Gradient(along, span(span), stops, new Opacity(opacity)).text();
    }

    /** The gradient with one stop moved, as far as its neighbours let it. */
    @JSExport
    public static String movingStop(String gradient, int stop, int percent) {
        return gradient(gradient).movingStop(stop, percent).text();
    }

    @JSExport
    public static boolean canAddStop(String gradient) {
        return gradient(gradient).stops().size() < Fill.Gradient.MOST_STOPS;
    }

    /** The gradient with one more stop beside one. */
    @JSExport
    public static String addingStop(String gradient, int stop) {
        return gradient(gradient).addingStop(stop).text();
    }

    @JSExport
    public static String withoutStop(String gradient, int stop) {
        return gradient(gradient).withoutStop(stop).text();
    }

    /** The gradient the other way round. */
    @JSExport
    public static String turned(String gradient) {
        return gradient(gradient).turned().text();
    }

    private static Fill.Gradient gradient(String text) {
        return (Fill.Gradient) Fill.ofText(text);
    }

    /** Where a fill lies to begin with. @param kind linear, radial or pattern @param box around what is filled */
    @JSExport
    public static int[] spanIn(String kind, int[] box) {
        Box around = new Box(box[0], box[1], box[2], box[3]);
        return numbers(
                switch (kind) {
                    case "pattern" -> Span.repeatedIn(around);
                    case "radial" -> Span.outOf(around);
                    default -> Span.downThrough(around);
                });
    }

    /** How a span lies beside the one that its fill was begun with: percent of its length, degrees, and how far it is shifted right and down. */
    @JSExport
    public static int[] placeOf(int[] begun, int[] span) {
        return numbers(SpanPlace.of(span(begun), span(span)));
    }

    /** The span that lies so. @param placed as of {@link #placeOf} */
    @JSExport
    public static int[] spanAt(int[] begun, int[] placed) {
        return numbers(place(placed).beside(span(begun)));
    }

    /** @param placed as of {@link #placeOf} @param turn to the next step of so many degrees */
    @JSExport
    public static int[] placeTurned(int[] placed, int turn) {
        return numbers(place(placed).turned(turn));
    }

    private static SpanPlace place(int[] numbers) {
        return new SpanPlace(numbers[0], numbers[1], numbers[2], numbers[3]);
    }

    private static int[] numbers(SpanPlace place) {
        return new int[] {place.percent(), place.degrees(), place.rightPx(), place.downPx()};
    }

    /** A pattern, one repeat of which covers a box. */
    @JSExport
    public static String stretched(String pattern, int[] box) {
        return ((Fill.Pattern) Fill.ofText(pattern))
                .stretchedTo(new Box(box[0], box[1], box[2], box[3]))
                .text();
    }

    /** @param height of each repeat in percent of its width */
    @JSExport
    public static String pattern(
            int opacity, int[] span, String motif, boolean mirrored, boolean flipped, int height, String[] swatches) {
        List<UUID> inks = new ArrayList<>();
        for (String swatch : swatches) {
            inks.add(UUID.fromString(swatch));
        }
        return new Fill.Pattern(motif, span(span), new Repeat(mirrored, flipped, height), inks, new Opacity(opacity))
                .text();
    }

    /** Each once. */
    @JSExport
    public static String[] swatches(String text) {
        return ids(Fill.ofText(text).swatches());
    }

    /** The fill with other swatches in the place of some of its own. */
    @JSExport
    public static String wearing(String text, String[] swatches, String[] instead) {
        Map<UUID, UUID> others = new HashMap<>();
        for (int i = 0; i < swatches.length; i++) {
            others.put(UUID.fromString(swatches[i]), UUID.fromString(instead[i]));
        }
        return Fill.ofText(text)
                .wearing(swatch -> others.getOrDefault(swatch, swatch))
                .text();
    }

    /** The places of those cells that laying a fill would change. @param worn by each cell */
    @JSExport
    public static int[] laying(String fill, String[] worn) {
        Map<Integer, Fill> laid = new TreeMap<>();
        Fill one = Fill.ofText(fill);
        for (int i = 0; i < worn.length; i++) {
            laid.put(i, one);
        }
        return places(fills(worn).laying(laid));
    }

    /**
     * The places of those cells that taking a change back would change: what was changed since is left alone.
     *
     * @param worn by each cell now
     * @param before what each wore before that change
     * @param after what each wore after it
     */
    @JSExport
    public static int[] takingBack(String[] worn, String[] before, String[] after) {
        List<Swap> swaps = new ArrayList<>();
        for (int i = 0; i < worn.length; i++) {
            swaps.add(new Swap(i, Fill.ofText(before[i]), Fill.ofText(after[i])));
        }
        return places(fills(worn).takingBack(new Change(swaps)));
    }

    private static Fills fills(String[] worn) {
        Map<Integer, Fill> fills = new HashMap<>();
        Map<String, Fill> known = new HashMap<>();
        for (int i = 0; i < worn.length; i++) {
            fills.put(i, known.computeIfAbsent(worn[i], Fill::ofText));
        }
        return Fills.of(fills);
    }

    private static int[] places(Change change) {
        return change.swaps().stream().mapToInt(Swap::place).toArray();
    }

    private static Span span(int[] numbers) {
        return new Span(numbers[0], numbers[1], numbers[2], numbers[3]);
    }

    private static int[] numbers(Span span) {
        return new int[] {span.x1(), span.y1(), span.x2(), span.y2()};
    }

    private static String[] ids(List<UUID> ids) {
        return ids.stream().map(UUID::toString).toArray(String[]::new);
    }
}
