package stillpond.core.adopt;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Lab;
import stillpond.core.colour.Srgb;
import stillpond.core.colour.White;
import stillpond.core.ink.Picture;

/** The colours of a picture that fill areas, each with the one that it is folded into. */
final class SolidColours {

    /** So much of a solid colour's area has its own colour on all four sides; an edge colour has hardly any. */
    private static final double LEAST_INNER_SHARE = 0.2;

    private static final int OPAQUE = 250;

    private final Map<Integer, Srgb> foldedByColour = new HashMap<>();
    private int folded;
    private int edges;

    private SolidColours() {}

    /**
     * @param known colours that others are folded into before they are folded into each other
     * @param threshold colours nearer than this CIEDE2000 difference are one
     */
    static SolidColours of(Picture flats, List<Srgb> known, double threshold) {
        SolidColours colours = new SolidColours();
        Map<Integer, int[]> counts = counts(flats);
        List<Map.Entry<Integer, int[]>> bySize = new ArrayList<>(counts.entrySet());
        bySize.sort(Comparator.comparingInt((Map.Entry<Integer, int[]> each) -> -each.getValue()[0])
                .thenComparing(Map.Entry::getKey));
        List<Srgb> kept = new ArrayList<>(known);
        for (Map.Entry<Integer, int[]> each : bySize) {
            int all = each.getValue()[0];
            int inner = each.getValue()[1];
            if (inner < LEAST_INNER_SHARE * all || inner == 0) {
                colours.edges++;
            } else {
                colours.fold(Srgb.ofPacked(each.getKey()), kept, threshold);
            }
        }
        return colours;
    }

    private void fold(Srgb colour, List<Srgb> kept, double threshold) {
        Lab lab = Lab.of(colour, White.D50);
        Srgb nearest = kept.stream()
                .min(Comparator.comparingDouble((Srgb other) -> Ciede2000.between(lab, Lab.of(other, White.D50))))
                .filter(other -> Ciede2000.between(lab, Lab.of(other, White.D50)) < threshold)
                .orElse(colour);
        if (nearest.equals(colour)) {
            if (!kept.contains(colour)) {
                kept.add(colour);
            }
        } else {
            folded++;
        }
        foldedByColour.put(colour.packed(), nearest);
    }

    /** How many pixels have each opaque colour, and how many of them have it on all four sides too. */
    private static Map<Integer, int[]> counts(Picture flats) {
        int width = flats.widthPx();
        int[] argb = flats.argb();
        Map<Integer, int[]> counts = new HashMap<>();
        int last = 0;
        int[] count = null;
        for (int i = 0; i < argb.length; i++) {
            if (isOpaque(argb[i])) {
                if (count == null || argb[i] != last) {
                    last = argb[i];
                    count = counts.computeIfAbsent(argb[i] & 0xffffff, any -> new int[2]);
                }
                count[0]++;
                int x = i % width;
                boolean isInner = x > 0
                        && x < width - 1
                        && i >= width
                        && i < argb.length - width
                        && argb[i - 1] == argb[i]
                        && argb[i + 1] == argb[i]
                        && argb[i - width] == argb[i]
                        && argb[i + width] == argb[i];
                count[1] += isInner ? 1 : 0;
            }
        }
        return counts;
    }

    private static boolean isOpaque(int argb) {
        return argb >>> 24 >= OPAQUE;
    }

    /** What a pixel votes for; null for an edge colour or nothing. */
    Srgb of(int argb) {
        return isOpaque(argb) ? foldedByColour.get(argb & 0xffffff) : null;
    }

    /** How many colours were folded into others. */
    int folded() {
        return folded;
    }

    /** How many colours lie only where others meet. */
    int edges() {
        return edges;
    }
}
