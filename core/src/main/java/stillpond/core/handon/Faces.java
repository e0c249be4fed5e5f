package stillpond.core.handon;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.ledger.CellGroup;
import stillpond.core.ledger.CellGroups;
import stillpond.core.ledger.FillNames;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

/**
 * The shapes that the fills of a layer make, and the groups that they are put to, from front to back.
 *
 * <p>Face 0 is what has no fill; the others are numbered from 1 as in {@link #all}.
 */
public final class Faces {

    /** The number of what has no fill. */
    public static final int UNFILLED = 0;

    private final int[] ofCell;
    private final List<Face> all;
    private final List<String> groups;

    private Faces(int[] ofCell, List<Face> all, List<String> groups) {
        this.ofCell = ofCell;
        this.all = List.copyOf(all);
        this.groups = List.copyOf(groups);
    }

    /**
     * A layer as far as its shapes follow from it.
     *
     * @param regionOfCell the region that each cell is in
     * @param groups as they are kept on the layer
     */
    public record Laid(Fills fills, int[] regionOfCell, CellGroups groups) {}

    private record Place(String group, String name) {}

    public static Faces of(Arrangement arrangement, Laid laid, Palette palette) {
        Map<Integer, String> kept = arrangement == Arrangement.GROUP ? groupNames(laid.groups()) : Map.of();
        Map<List<Object>, Integer> numbers = new LinkedHashMap<>();
        Map<String, Integer> counts = new HashMap<>();
        List<Face> all = new ArrayList<>();
        int[] ofCell = new int[laid.regionOfCell().length];
        for (int cell = 0; cell < ofCell.length; cell++) {
            Fill fill = laid.fills().of(cell);
            if (fill.equals(Fill.NONE)) {
                continue;
            }
            String group = kept.getOrDefault(cell, name(arrangement, fill, palette));
            Object own = arrangement == Arrangement.SEPARATE ? laid.regionOfCell()[cell] : "";
            Integer number = numbers.get(List.of(group, fill, own));
            if (number == null) {
                String name = FillNames.of(fill, palette);
                int count = counts.merge(group, 1, Integer::sum);
                all.add(new Face(group, arrangement == Arrangement.SEPARATE ? name + " " + count : name, fill));
                number = all.size();
                numbers.put(List.of(group, fill, own), number);
            }
            ofCell[cell] = number;
        }
        return new Faces(ofCell, all, inOrder(all, kept, laid.groups(), palette));
    }

    private static Map<Integer, String> groupNames(CellGroups groups) {
        Map<Integer, String> names = new HashMap<>();
        List<String> unique = unique(groups);
        for (int i = 0; i < unique.size(); i++) {
            String name = unique.get(i);
            groups.groups().get(i).cells().forEach(cell -> names.put(cell, name));
        }
        return names;
    }

    /** Groups may be called alike; handed on, they are told apart. */
    private static List<String> unique(CellGroups groups) {
        Set<String> unique = new LinkedHashSet<>();
        for (CellGroup group : groups.groups()) {
            String name = group.name();
            for (int i = 2; !unique.add(name); i++) {
                name = group.name() + " " + i;
            }
        }
        return List.copyOf(unique);
    }

    private static String name(Arrangement arrangement, Fill fill, Palette palette) {
        if (arrangement != Arrangement.PART) {
            return FillNames.withCard(fill, palette);
        }
        UUID swatch = fill.swatches().get(0);
        return FillNames.part(swatch, palette);
    }

    /** Kept groups in their order, then by the order of the cards. */
    private static List<String> inOrder(
            List<Face> faces, Map<Integer, String> kept, CellGroups groups, Palette palette) {
        Map<UUID, Integer> rank = new HashMap<>();
        for (Card card : palette.cards()) {
            for (Swatch swatch : card.swatches()) {
                rank.put(swatch.id(), rank.size());
            }
        }
        Set<String> order = new LinkedHashSet<>();
        Set<String> used = new LinkedHashSet<>();
        faces.forEach(face -> used.add(face.group()));
        if (!kept.isEmpty()) {
            unique(groups).stream().filter(used::contains).forEach(order::add);
        }
        faces.stream()
                .sorted(Comparator.comparingInt(
                        face -> rank.getOrDefault(face.fill().swatches().get(0), Integer.MAX_VALUE)))
                .forEach(face -> order.add(face.group()));
        return List.copyOf(order);
    }

    /** The number of the face of a cell. */
    public int of(int cell) {
        return ofCell[cell];
    }

    /** In the order of their numbers, the first of which is 1. */
    public List<Face> all() {
        return all;
    }

    /** From front to back. */
    public List<String> groups() {
        return groups;
    }

    /** The numbers of the faces of a group. */
    public List<Integer> in(String group) {
        List<Integer> numbers = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).group().equals(group)) {
                numbers.add(i + 1);
            }
        }
        return numbers;
    }
}
