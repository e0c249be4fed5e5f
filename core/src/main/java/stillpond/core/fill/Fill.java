package stillpond.core.fill;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import stillpond.core.cell.Box;
import stillpond.core.ink.Placing;
import stillpond.core.refusal.Refusal;

/**
 * What one cell is filled with. A fill names swatches and holds no colour of its own, so that an edit of a swatch reaches everything made from it.
 *
 * <p>Two fills are the same if their {@link #text texts} are. Cells with the same gradient or pattern show one picture that runs through all of
 * them, since its {@link Span} lies on the sheet and not in the cell.
 */
public sealed interface Fill {

    /** No fill: the paper shows. */
    Fill NONE = new None();

    static Fill flat(UUID swatch) {
        return new Flat(swatch, Opacity.FULL);
    }

    /**
     * Reads what {@link #text} wrote.
     *
     * @throws Refusal if it is no fill
     */
    static Fill ofText(String text) {
        return FillText.read(text);
    }

    /** The form that is stored and sent; docs/formats.md describes it. */
    String text();

    /** The swatches that it takes colours from, in the order in which it names them, each once. */
    List<UUID> swatches();

    /** The same fill with other swatches in the place of its own. */
    Fill wearing(UnaryOperator<UUID> instead);

    /**
     * The same fill where some swatches are gone.
     *
     * @param removed what is worn in the place of each; empty: nothing, which empties a flat fill, while gradients and patterns keep the swatch
     */
    default Fill without(Map<UUID, Optional<UUID>> removed) {
        boolean isEven = this instanceof Flat || this instanceof Tone;
        boolean isEmptied = isEven
                && swatches().stream()
                        .anyMatch(swatch -> removed.getOrDefault(swatch, Optional.of(swatch))
                                .isEmpty());
        return isEmptied
                ? NONE
                : wearing(swatch ->
                        removed.getOrDefault(swatch, Optional.of(swatch)).orElse(swatch));
    }

    /** The gradient or pattern kept on a card that it is worn as; empty: none. */
    default Optional<UUID> kept() {
        return Optional.empty();
    }

    /** The same fill, worn as one that is kept on a card, or as none. @throws Refusal if it is neither a gradient nor a pattern */
    default Fill keptAs(Optional<UUID> id) {
        throw new Refusal("Gradients and patterns are kept on cards; one swatch lies on one already.");
    }

    /** A fill that looks like another, and lies where this one lies: what is kept was changed. */
    default Fill like(Fill other) {
        return other;
    }

    /** The same fill, lying nowhere: as it is kept. */
    default Fill nowhere() {
        return this;
    }

    /** The same fill; one that lies nowhere yet lies in a box then, as one does that is begun there. */
    default Fill placedIn(Box box) {
        return this;
    }

    /** Whether ink and shadows can wear it: one swatch, wholly, or nothing. */
    default boolean isOneSwatchOrNone() {
        return this instanceof None
                || this instanceof Flat flat && flat.opacity().equals(Opacity.FULL);
    }

    /** Whether it can be worn by a place; see {@link Places}. */
    default boolean fits(int place) {
        if (Places.isWidth(place)) {
            return this instanceof None || this instanceof Width;
        }
        return !(this instanceof Width) && (Places.isCell(place) || isOneSwatchOrNone());
    }

    /**
     * The same fill on another drawing of the page.
     *
     * @param there where the other drawing's pixels lie in the one that this fill is on
     */
    default Fill seenFrom(Placing there) {
        return this;
    }

    /** See {@link Fill#NONE}. */
    record None() implements Fill {
        @Override
        public String text() {
            return "none";
        }

        @Override
        public List<UUID> swatches() {
            return List.of();
        }

        @Override
        public Fill wearing(UnaryOperator<UUID> instead) {
            return this;
        }
    }

    /**
     * How much wider ink is shown than it was drawn; worn by the widths of strokes alone.
     *
     * @param tenths of the width of a stroke; below 0: narrower
     */
    record Width(int tenths) implements Fill {

        public static final int NARROWEST = -8;
        public static final int WIDEST = 20;

        public Width {
            if (tenths < NARROWEST || tenths > WIDEST) {
                throw new Refusal("Ink is shown up to 8 tenths of a stroke narrower, and up to 20 wider.");
            }
        }

        @Override
        public String text() {
            return "width " + tenths;
        }

        @Override
        public List<UUID> swatches() {
            return List.of();
        }

        @Override
        public Fill wearing(UnaryOperator<UUID> instead) {
            return this;
        }
    }

    /** One even colour: whatever the swatch is. */
    record Flat(UUID swatch, Opacity opacity) implements Fill {
        @Override
        public String text() {
            return opacity.equals(Opacity.FULL) ? swatch.toString() : "flat " + opacity.text() + " " + swatch;
        }

        @Override
        public List<UUID> swatches() {
            return List.of(swatch);
        }

        @Override
        public Fill wearing(UnaryOperator<UUID> instead) {
            return new Flat(instead.apply(swatch), opacity);
        }
    }

    /**
     * A tint: a swatch mixed with white, opaque, as paper shows between the dots of a thinner print.
     *
     * @param percent of the swatch, 10 to 90 in tens; at 100 it is {@link Flat}
     */
    record Tone(UUID swatch, int percent) implements Fill {

        private static final int STEP = 10;

        public Tone {
            if (percent < STEP || percent >= 100 || percent % STEP != 0) {
                throw new Refusal("A tone is 10 to 90 %, in tens.");
            }
        }

        @Override
        public String text() {
            return "tone " + percent + "% " + swatch;
        }

        @Override
        public List<UUID> swatches() {
            return List.of(swatch);
        }

        @Override
        public Fill wearing(UnaryOperator<UUID> instead) {
            return new Tone(instead.apply(swatch), percent);
        }

        /** What a swatch is at so many steps of tone more or less; as far as it goes. @param fill one swatch, wholly or in a tone; anything else stays as it is */
        public static Fill stepped(Fill fill, int steps) {
            boolean isWhole = fill instanceof Flat flat && flat.opacity().equals(Opacity.FULL);
            if (!isWhole && !(fill instanceof Tone)) {
                return fill;
            }
            int now = fill instanceof Tone tone ? tone.percent() : 100;
            int wanted = Math.max(STEP, Math.min(100, now + steps * STEP));
            UUID worn = fill.swatches().get(0);
            return wanted == 100 ? Fill.flat(worn) : new Tone(worn, wanted);
        }
    }

    /** How the colours of a gradient run along its span. */
    enum Course {
        /** Across the span, even along every line at a right angle to it. */
        LINEAR,
        /** In circles around the start of the span; its end lies on the last one. */
        RADIAL
    }

    /**
     * Colours that run into each other, in OKLab; before the first stop and beyond the last there is that stop's colour.
     *
     * @param stops 2 to 16, along the span
     */
    record Gradient(Course course, Span span, List<Stop> stops, Opacity opacity, Optional<UUID> kept) implements Fill {

        public static final int MOST_STOPS = 16;

        public Gradient(Course course, Span span, List<Stop> stops, Opacity opacity) {
            this(course, span, stops, opacity, Optional.empty());
        }

        public Gradient {
            stops = List.copyOf(stops);
            if (stops.size() < 2 || stops.size() > MOST_STOPS) {
                throw new Refusal("A gradient has 2 to " + MOST_STOPS + " stops.");
            }
            for (int i = 1; i < stops.size(); i++) {
                if (stops.get(i).percent() < stops.get(i - 1).percent()) {
                    throw new Refusal("The stops of a gradient stand in their order.");
                }
            }
        }

        /** The same with one stop moved, as far as its neighbours let it. */
        public Gradient movingStop(int stop, int percent) {
            int least = stop == 0 ? 0 : stops.get(stop - 1).percent();
            int most = stop == stops.size() - 1 ? 100 : stops.get(stop + 1).percent();
            List<Stop> moved = new ArrayList<>(stops);
            moved.set(
                    stop,
                    new Stop(
                            Math.max(least, Math.min(most, percent)),
                            stops.get(stop).swatch()));
            return with(moved);
        }

        /** The same with one more stop in the colour of one: behind that, halfway to the next; before the last, if it is the last. */
        public Gradient addingStop(int stop) {
            int before = Math.min(stop, stops.size() - 2);
            int sum = stops.get(before).percent() + stops.get(before + 1).percent();
            List<Stop> more = new ArrayList<>(stops);
            more.add(before + 1, new Stop((sum + 1) / 2, stops.get(stop).swatch()));
            return with(more);
        }

        public Gradient withoutStop(int stop) {
            List<Stop> fewer = new ArrayList<>(stops);
            fewer.remove(stop);
            return with(fewer);
        }

        /** The same the other way round. */
        public Gradient turned() {
            List<Stop> turned = new ArrayList<>();
            for (Stop stop : stops) {
                turned.add(0, new Stop(100 - stop.percent(), stop.swatch()));
            }
            return with(turned);
        }

        private Gradient with(List<Stop> others) {
            return new Gradient(course, span, others, opacity, kept);
        }

        @Override
        public Fill keptAs(Optional<UUID> id) {
            return new Gradient(course, span, stops, opacity, id);
        }

        @Override
        public Fill like(Fill other) {
            return other instanceof Gradient gradient
                    ? new Gradient(gradient.course, span, gradient.stops, gradient.opacity, kept)
                    : other instanceof Pattern pattern
                            ? new Pattern(
                                    pattern.motif(), span, pattern.repeat(), pattern.inks(), pattern.opacity(), kept)
                            : other;
        }

        @Override
        public Fill nowhere() {
            return new Gradient(course, Span.NOWHERE, stops, opacity, kept);
        }

        @Override
        public Fill placedIn(Box box) {
            Span within = course == Course.LINEAR ? Span.downThrough(box) : Span.outOf(box);
            return span.equals(Span.NOWHERE) ? new Gradient(course, within, stops, opacity, kept) : this;
        }

        /** How far along the span a place of the sheet lies, 0 to 1. */
        public double along(double x, double y) {
            double dx = span.x2() - span.x1();
            double dy = span.y2() - span.y1();
            double along = course == Course.LINEAR
                    ? ((x - span.x1()) * dx + (y - span.y1()) * dy) / (dx * dx + dy * dy)
                    : Math.hypot(x - span.x1(), y - span.y1()) / span.lengthPx();
            return Math.max(0, Math.min(1, along));
        }

        @Override
        public String text() {
            return FillText.of(course.name().toLowerCase(Locale.ROOT), this);
        }

        @Override
        public List<UUID> swatches() {
            return stops.stream().map(Stop::swatch).distinct().toList();
        }

        @Override
        public Fill wearing(UnaryOperator<UUID> instead) {
            List<Stop> others = stops.stream()
                    .map(stop -> new Stop(stop.percent(), instead.apply(stop.swatch())))
                    .toList();
            return new Gradient(course, span, others, opacity, kept);
        }

        @Override
        public Fill seenFrom(Placing there) {
            return new Gradient(course, span.seenFrom(there), stops, opacity, kept);
        }
    }

    /**
     * A motif that is repeated over the sheet.
     *
     * @param motif the name of one of ours, or the id of one that somebody brought
     * @param span from a corner of one repeat to the next corner along its upper side: where it lies, how large it is and how it is turned
     * @param repeat how each repeat is seen
     * @param inks swatches for the colours of the motif, 1 to 4
     */
    record Pattern(String motif, Span span, Repeat repeat, List<UUID> inks, Opacity opacity, Optional<UUID> kept)
            implements Fill {

        private static final int MOST_INKS = 4;
        private static final int LONGEST_MOTIF = 40;

        public Pattern(String motif, Span span, Repeat repeat, List<UUID> inks, Opacity opacity) {
            this(motif, span, repeat, inks, opacity, Optional.empty());
        }

        public Pattern {
            inks = List.copyOf(inks);
            if (inks.isEmpty() || inks.size() > MOST_INKS) {
                throw new Refusal("A pattern has 1 to " + MOST_INKS + " colours.");
            }
            if (motif.isEmpty()
                    || motif.length() > LONGEST_MOTIF
                    || !motif.chars().allMatch(Pattern::isOfMotif)) {
                throw new Refusal("'" + motif + "' is no name of a motif.");
            }
        }

        /** One repeat of it over a whole box, seen as it was. */
        public Pattern stretchedTo(Box box) {
            Span upper = new Span(box.xStart(), box.yStart(), box.xEndExclusive(), box.yStart());
            return new Pattern(motif, upper, repeat.stretchedTo(box.widthPx(), box.heightPx()), inks, opacity, kept);
        }

        @Override
        public Fill keptAs(Optional<UUID> id) {
            return new Pattern(motif, span, repeat, inks, opacity, id);
        }

        @Override
        public Fill like(Fill other) {
            return other instanceof Pattern pattern
                    ? new Pattern(pattern.motif, span, repeat, pattern.inks, pattern.opacity, kept)
                    : other instanceof Gradient gradient
                            ? new Gradient(gradient.course(), span, gradient.stops(), gradient.opacity(), kept)
                            : other;
        }

        @Override
        public Fill nowhere() {
            return new Pattern(motif, Span.NOWHERE, repeat, inks, opacity, kept);
        }

        @Override
        public Fill placedIn(Box box) {
            return span.equals(Span.NOWHERE)
                    ? new Pattern(motif, Span.repeatedIn(box), repeat, inks, opacity, kept)
                    : this;
        }

        private static boolean isOfMotif(int letter) {
            return letter >= 'a' && letter <= 'z' || letter >= '0' && letter <= '9' || letter == '-';
        }

        @Override
        public String text() {
            return FillText.of(this);
        }

        @Override
        public List<UUID> swatches() {
            return inks.stream().distinct().toList();
        }

        @Override
        public Fill wearing(UnaryOperator<UUID> instead) {
            return new Pattern(motif, span, repeat, inks.stream().map(instead).toList(), opacity, kept);
        }

        @Override
        public Fill seenFrom(Placing there) {
            return new Pattern(motif, span.seenFrom(there), repeat, inks, opacity, kept);
        }
    }
}
