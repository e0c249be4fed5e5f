package stillpond.core.line;

import java.util.Collection;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.IntFunction;
import java.util.function.IntToDoubleFunction;
import stillpond.core.colour.Oklab;
import stillpond.core.fill.Fill;
import stillpond.core.palette.Paint;
import stillpond.core.palette.SwatchColours;
import stillpond.core.palette.Tie;
import stillpond.core.stroke.Stroke;

/**
 * Gives each stroke the colour of a region beside it, brought down in lightness.
 *
 * @param basis which region counts where there are two
 * @param alsoAgainstNothing whether strokes get a colour that have nothing on one side
 * @param worn what each cell wears
 * @param areas the area of the region of each cell
 * @param colours of the swatches
 */
public record DarkerThanBeside(
        Basis basis,
        boolean alsoAgainstNothing,
        IntFunction<Fill> worn,
        IntToDoubleFunction areas,
        SwatchColours colours) {

    /** Which of two regions beside a stroke gives it its colour. */
    public enum Basis {
        DARKER,
        LARGER
    }

    /** The swatch of the region beside each stroke that counts; strokes that stay as they are are left out. */
    public Map<Integer, UUID> sources(Collection<Stroke> strokes) {
        Map<Integer, UUID> sources = new TreeMap<>();
        strokes.forEach(stroke -> source(stroke).ifPresent(swatch -> sources.put(stroke.number(), swatch)));
        return sources;
    }

    private Optional<UUID> source(Stroke stroke) {
        boolean isAgainstNothing =
                stroke.sides().stream().anyMatch(side -> worn.apply(side.cell()).equals(Fill.NONE));
        if (isAgainstNothing && !alsoAgainstNothing) {
            return Optional.empty();
        }
        Comparator<Stroke.Side> order = basis == Basis.LARGER
                ? Comparator.comparingDouble(side -> areas.applyAsDouble(side.cell()))
                : Comparator.comparingDouble(side -> -lightness(darkest(side).orElseThrow()));
        return stroke.sides().stream()
                .filter(side -> darkest(side).isPresent())
                .max(order)
                .flatMap(this::darkest);
    }

    /** Of a gradient or a pattern the darkest swatch stands for all. */
    private Optional<UUID> darkest(Stroke.Side side) {
        return worn.apply(side.cell()).swatches().stream()
                .filter(swatch -> colours.colourOf(swatch).isPresent())
                .min(Comparator.comparingDouble(this::lightness));
    }

    private double lightness(UUID swatch) {
        return Oklab.of(colours.colourOf(swatch).orElseThrow()).lightness();
    }

    /** What the darker swatch is called. @param source the name of the one that it follows */
    public static String nameOf(String source) {
        return source + " line";
    }

    /**
     * How the darker swatch is tied, so that it follows.
     *
     * @param amount by which its lightness is lower, in OKLab, 0 to 1
     */
    public static Paint.Tied darker(UUID source, double amount) {
        return new Paint.Tied(source, new Tie.Shift(-amount, 0, 0));
    }

    /** The swatch that is tied so already, which is worn again instead of one more like it. @param paints of all swatches, in their order */
    public static Optional<UUID> among(Map<UUID, Paint> paints, Paint.Tied darker) {
        return paints.entrySet().stream()
                .filter(each -> each.getValue().equals(darker))
                .map(Map.Entry::getKey)
                .findFirst();
    }
}
