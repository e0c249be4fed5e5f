package stillpond.core.cut;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import stillpond.core.cell.CellPlane;
import stillpond.core.refusal.Refusal;
import stillpond.core.shape.PlanarMap;
import stillpond.core.shape.SmoothMap;

/**
 * Everything that is cut of one group.
 *
 * @param name of the group
 * @param pieces how many there are
 * @param areaMm2 of all pieces
 * @param cuts in their order: what lies inside comes before what lies around it, the waste last
 * @param small pieces of the group that are not cut by themselves
 */
public record CutJob(
        String name,
        double widthMm,
        double heightMm,
        int pieces,
        double areaMm2,
        List<Cut> cuts,
        List<Small> small,
        CutSettings settings) {

    /** Hands cut no better, and a blade less well. */
    private static final double TOLERANCE_PX = 1.1;

    private static final int MOST_CUTS = 20_000;

    public CutJob {
        cuts = List.copyOf(cuts);
        small = List.copyOf(small);
    }

    /** A piece that is too small. @param joined the name of the group that it is cut with; empty if it is left out */
    public record Small(Spot middle, double areaMm2, String joined) {}

    /**
     * @param plane see {@link CutPlane}
     * @param names of the groups, that of number 1 first
     * @param group the number of the one to cut
     * @throws Refusal if there is nothing to cut, or more than can be
     */
    public static CutJob of(CellPlane plane, List<String> names, int group, double mmPerPx, CutSettings settings) {
        Handled handled = Handled.of(plane, settings.smallestMm2() / (mmPerPx * mmPerPx), settings.small());
        List<Outline> lines = outlines(handled.plane(), group, mmPerPx);
        List<Outline> around = lines.stream().filter(line -> !line.isHole()).toList();
        String name = names.get(group - 1);
        if (around.isEmpty()) {
            throw new Refusal("There is no piece of '" + name + "' that is large enough to cut.");
        }
        if (lines.size() > MOST_CUTS) {
            throw new Refusal("'" + name + "' has " + lines.size()
                    + " outlines, more than a cutter takes at once. Raise the smallest piece.");
        }
        List<Cut> cuts = new ArrayList<>(inOrder(lines, settings));
        weeds(around, new Frame(0, 0, plane.widthPx() * mmPerPx, plane.heightPx() * mmPerPx), settings)
                .forEach(line -> cuts.add(BladePath.along(line, Cut.Kind.WEED, settings)));
        double area = lines.stream()
                .mapToDouble(line -> line.isHole() ? -line.areaMm2() : line.areaMm2())
                .sum();
        List<Small> small = handled.small().stream()
                .filter(each -> each.group() == group)
                .map(each -> new Small(
                        new Spot(
                                (each.box().xStart() + each.box().xEndExclusive()) / 2.0 * mmPerPx,
                                (each.box().yStart() + each.box().yEndExclusive()) / 2.0 * mmPerPx),
                        each.areaPx() * mmPerPx * mmPerPx,
                        each.joined() == CutPlane.NOTHING ? "" : names.get(each.joined() - 1)))
                .toList();
        return new CutJob(
                name,
                plane.widthPx() * mmPerPx,
                plane.heightPx() * mmPerPx,
                around.size(),
                area,
                cuts,
                small,
                settings);
    }

    /** Of the map of all groups, so that neighbours that are cut from other stuff have the same border. */
    private static List<Outline> outlines(CellPlane plane, int group, double mmPerPx) {
        return SmoothMap.smooth(PlanarMap.edges(plane, number -> number), TOLERANCE_PX).around(group).stream()
                .map(loop -> Outline.of(loop, mmPerPx))
                .filter(line -> line.spots().size() > 2)
                .toList();
    }

    /** What is cut around first comes loose, and cannot be cut into any more; among what may come next, the nearest does. */
    private static List<Cut> inOrder(List<Outline> lines, CutSettings settings) {
        Map<Integer, List<Outline>> byDepth = new HashMap<>();
        List<Frame> frames = lines.stream().map(Outline::frame).toList();
        for (int i = 0; i < lines.size(); i++) {
            int at = i;
            Spot inside = lines.get(i).spots().get(0);
            int depth = (int) IntStream.range(0, lines.size())
                    .filter(other -> other != at
                            && frames.get(other).meets(frames.get(at))
                            && lines.get(other).areaMm2() > lines.get(at).areaMm2()
                            && lines.get(other).contains(inside))
                    .count();
            byDepth.computeIfAbsent(depth, any -> new ArrayList<>()).add(lines.get(i));
        }
        List<Cut> cuts = new ArrayList<>();
        Spot blade = new Spot(0, 0);
        for (int depth :
                byDepth.keySet().stream().sorted(Comparator.reverseOrder()).toList()) {
            List<Outline> open = byDepth.get(depth);
            while (!open.isEmpty()) {
                Outline nearest = nearest(open, blade);
                open.remove(nearest);
                Cut cut = BladePath.along(nearest, nearest.isHole() ? Cut.Kind.HOLE : Cut.Kind.PIECE, settings);
                cuts.add(cut);
                blade = cut.moves().get(cut.moves().size() - 1).to();
            }
        }
        return cuts;
    }

    private static Outline nearest(List<Outline> open, Spot blade) {
        Outline nearest = open.get(0);
        for (Outline each : open) {
            if (each.spots().get(0).distance(blade) < nearest.spots().get(0).distance(blade)) {
                nearest = each;
            }
        }
        return nearest;
    }

    /** Boxes around pieces, on the page; those that would cross are one. */
    private static List<Outline> weeds(List<Outline> pieces, Frame page, CutSettings settings) {
        if (settings.weedMarginMm() == 0) {
            return List.of();
        }
        List<Frame> boxes = new ArrayList<>();
        for (Outline piece : pieces) {
            Frame box = piece.frame().grown(settings.weedMarginMm()).within(page);
            for (int i = 0; i < boxes.size(); i++) {
                if (boxes.get(i).meets(box)) {
                    box = box.with(boxes.remove(i));
                    i = -1;
                }
            }
            boxes.add(box);
        }
        return boxes.stream().map(Frame::outline).toList();
    }

    public double cutMm() {
        return cuts.stream().mapToDouble(Cut::lengthMm).sum();
    }
}
