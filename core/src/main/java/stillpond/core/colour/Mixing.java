package stillpond.core.colour;

import java.util.ArrayList;
import java.util.List;
import stillpond.core.refusal.Refusal;

/** Mixing of colours in OKLab, where a straight line looks even. */
public final class Mixing {

    private static final Oklab WHITE = new Oklab(1, 0, 0);
    private static final Oklab BLACK = new Oklab(0, 0, 0);

    private Mixing() {}

    public static Srgb halfway(Srgb first, Srgb second) {
        return mix(first, second, 0.5);
    }

    /** @param share how much of the second, 0 to 1; a tenth added again and again nears it without reaching it */
    public static Srgb mix(Srgb first, Srgb second, double share) {
        return Gamut.show(Oklab.of(first).towards(Oklab.of(second), share)).colour();
    }

    /** @param percent how much white, 0 to 100 */
    public static Srgb tint(Srgb colour, double percent) {
        return Gamut.show(Oklab.of(colour).towards(WHITE, percent / 100)).colour();
    }

    /** @param percent how much black, 0 to 100 */
    public static Srgb shade(Srgb colour, double percent) {
        return Gamut.show(Oklab.of(colour).towards(BLACK, percent / 100)).colour();
    }

    /** A place on the way along several colours. @param leg the colour before it @param share of the way from that to the next, 0 to 1 */
    public record Place(int leg, double share) {}

    /**
     * Even steps along colours in their order.
     *
     * @param stops two colours or more; the first and the last are among the steps
     * @param count 2 or more
     */
    public static List<Srgb> ramp(List<Srgb> stops, int count) {
        return places(stops, count).stream()
                .map(at -> mix(stops.get(at.leg()), stops.get(at.leg() + 1), at.share()))
                .toList();
    }

    /** Where the steps of {@link #ramp} lie. */
    public static List<Place> places(List<Srgb> stops, int count) {
        if (stops.size() < 2 || count < 2) {
            throw new Refusal("A ramp runs from one colour to another in two steps or more.");
        }
        double[] reached = new double[stops.size()];
        for (int i = 1; i < stops.size(); i++) {
            reached[i] = reached[i - 1] + Oklab.of(stops.get(i - 1)).distanceTo(Oklab.of(stops.get(i)));
        }
        List<Place> places = new ArrayList<>(count);
        int leg = 0;
        for (int step = 0; step < count; step++) {
            double along = reached[reached.length - 1] * step / (count - 1);
            while (leg < stops.size() - 2 && along > reached[leg + 1]) {
                leg++;
            }
            double length = reached[leg + 1] - reached[leg];
            places.add(new Place(leg, length == 0 ? 0 : Math.min(1, (along - reached[leg]) / length)));
        }
        return places;
    }

    /** The same lightness and chroma at another hue, less chroma where sRGB does not reach so far. */
    public static Srgb turned(Srgb colour, double degrees) {
        return Gamut.show(Oklch.of(colour).shifted(0, 0, degrees)).colour();
    }
}
