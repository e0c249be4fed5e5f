package stillpond.core.adopt;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.Srgb;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;

/**
 * What the cells of a sheet wear according to a picture of its flats.
 *
 * @param colourByCell by number of the cell; those over which the picture says nothing are left out
 * @param mixed cells over which more than one colour lies to a good part; they take the one that most of their area has
 * @param folded how many colours were too near to another to be one of their own
 * @param edges how many colours lie only where others meet
 */
public record AdoptedFlats(Map<Integer, Srgb> colourByCell, List<Mixed> mixed, int folded, int edges) {

    /** A cell is mixed if others than its own colour have so much of what was voted. */
    private static final double MIXED = 0.15;

    private static final double MAX_RATIO = 1.02;

    public AdoptedFlats {
        colourByCell = Map.copyOf(colourByCell);
        mixed = List.copyOf(mixed);
    }

    /** @param colours that lie over the cell, with their shares of its area, the largest first */
    public record Mixed(int cell, Map<Srgb, Double> colours) {}

    /**
     * @param flats of the same page, at any size
     * @param known the palette's colours: a colour too near to one of them is that one
     * @param threshold CIEDE2000 difference under which two colours are one
     * @throws Refusal, if the picture is of another shape or holds no even colour
     */
    public static AdoptedFlats of(CellMap map, InkPlane ink, Picture flats, List<Srgb> known, double threshold) {
        CellPlane plane = map.plane();
        requireSameShape(plane, flats);
        SolidColours solid = SolidColours.of(flats, known, threshold);
        Map<Integer, Map<Srgb, Integer>> votes = votes(plane, ink, flats, solid);
        if (votes.isEmpty()) {
            throw new Refusal(
                    "No area of this picture has an even colour, so there are no flats in it. The sheet stays as it was.");
        }
        Map<Integer, Srgb> colourByCell = new TreeMap<>();
        List<Mixed> mixed = new ArrayList<>();
        votes.forEach((cell, byColour) -> {
            Map<Srgb, Double> shares = shares(byColour);
            Srgb most = shares.keySet().iterator().next();
            colourByCell.put(cell, most);
            if (shares.get(most) < 1 - MIXED) {
                mixed.add(new Mixed(cell, shares));
            }
        });
        return new AdoptedFlats(colourByCell, mixed, solid.folded(), solid.edges());
    }

    private static void requireSameShape(CellPlane plane, Picture flats) {
        double ratio = flats.widthPx() / (double) flats.heightPx() * plane.heightPx() / plane.widthPx();
        if (ratio > MAX_RATIO || ratio < 1 / MAX_RATIO) {
            throw new Refusal("These flats are of another page: they are " + flats.widthPx() + " x "
                    + flats.heightPx() + " pixels, the sheet " + plane.widthPx() + " x " + plane.heightPx()
                    + ". The sheet stays as it was.");
        }
    }

    /** Paper votes; ink, under which flats are often ragged, does not. */
    private static Map<Integer, Map<Srgb, Integer>> votes(
            CellPlane plane, InkPlane ink, Picture flats, SolidColours solid) {
        Map<Integer, Map<Srgb, Integer>> votes = new TreeMap<>();
        for (int y = 0; y < plane.heightPx(); y++) {
            int row = (int) ((y + 0.5) * flats.heightPx() / plane.heightPx());
            for (int x = 0; x < plane.widthPx(); x++) {
                if (!ink.isInk(y * plane.widthPx() + x)) {
                    Srgb colour = solid.of(flats.argbAt((int) ((x + 0.5) * flats.widthPx() / plane.widthPx()), row));
                    if (colour != null) {
                        votes.computeIfAbsent(plane.numberAt(x, y), any -> new LinkedHashMap<>())
                                .merge(colour, 1, Integer::sum);
                    }
                }
            }
        }
        return votes;
    }

    private static Map<Srgb, Double> shares(Map<Srgb, Integer> byColour) {
        double all = byColour.values().stream().mapToInt(each -> each).sum();
        Map<Srgb, Double> shares = new LinkedHashMap<>();
        byColour.entrySet().stream()
                .sorted((a, b) -> a.getValue().equals(b.getValue())
                        ? Integer.compare(a.getKey().packed(), b.getKey().packed())
                        : Integer.compare(b.getValue(), a.getValue()))
                .forEach(each -> shares.put(each.getKey(), each.getValue() / all));
        return shares;
    }
}
