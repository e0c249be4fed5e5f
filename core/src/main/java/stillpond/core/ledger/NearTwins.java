package stillpond.core.ledger;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Lab;
import stillpond.core.colour.Srgb;
import stillpond.core.colour.White;

/** Finds pairs of colours that are hard to tell apart. */
public final class NearTwins {

    /** Of one name, colours this much apart are still likely one that was picked twice; farther apart, they are parts of different things that are called alike. */
    private static final double OF_ONE_NAME = 10;

    /** The difference in lightness weighs at most this much in CIEDE2000: its S_L is 1 + 0.015 * 2500 / sqrt(20 + 2500) at the ends of the scale. */
    private static final double LARGEST_LIGHTNESS_SCALE = 1.75;

    private NearTwins() {}

    /**
     * Two colours by their places in a list.
     *
     * @param difference CIEDE2000
     */
    public record Pair(int first, int second, double difference) {}

    /** A colour and what it is called. */
    public record Named(String name, Srgb colour) {}

    /**
     * All pairs nearer to each other than a CIEDE2000 difference, or of one name and not much farther apart; nearest first.
     *
     * @param threshold above 0
     */
    public static List<Pair> amongNamed(List<Named> named, double threshold) {
        return among(named.stream().map(Named::colour).toList(), Math.max(threshold, OF_ONE_NAME)).stream()
                .filter(pair -> pair.difference() < threshold
                        || named.get(pair.first())
                                .name()
                                .equalsIgnoreCase(named.get(pair.second()).name()))
                .toList();
    }

    /**
     * All pairs nearer to each other than a CIEDE2000 difference, nearest first. Colours far apart in lightness alone are never compared.
     *
     * @param threshold above 0
     */
    public static List<Pair> among(List<Srgb> colours, double threshold) {
        List<Lab> labs =
                colours.stream().map(colour -> Lab.of(colour, White.D50)).toList();
        List<Integer> byLightness = new ArrayList<>();
        for (int i = 0; i < labs.size(); i++) {
            byLightness.add(i);
        }
        byLightness.sort(Comparator.comparingDouble((Integer i) -> labs.get(i).lightness()));
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < byLightness.size(); i++) {
            Lab first = labs.get(byLightness.get(i));
            for (int j = i + 1; j < byLightness.size(); j++) {
                Lab second = labs.get(byLightness.get(j));
                if (second.lightness() - first.lightness() > LARGEST_LIGHTNESS_SCALE * threshold) {
                    break;
                }
                double difference = Ciede2000.between(first, second);
                if (difference < threshold) {
                    int a = byLightness.get(i);
                    int b = byLightness.get(j);
                    pairs.add(new Pair(Math.min(a, b), Math.max(a, b), difference));
                }
            }
        }
        pairs.sort(Comparator.comparingDouble(Pair::difference)
                .thenComparingInt(Pair::first)
                .thenComparingInt(Pair::second));
        return pairs;
    }
}
