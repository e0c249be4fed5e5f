package stillpond.bench.flats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import stillpond.core.carry.Carry;
import stillpond.core.carry.Drawing;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellPlane;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Figures;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;

/**
 * How many acts a scripted expert needs to finish each demo sheet. An act is to take a swatch, to click, to press and sweep in one stroke, or to press a key or button. The expert
 * knows what every region is of, and makes no mistakes.
 */
final class ActionsBench {

    private static final List<String> SHEETS = List.of(
            "morningPost",
            "panniers",
            "crossing",
            "farewell",
            "willNotBudge",
            "lanternIsLit",
            "upTheHill",
            "atTheDoor");

    /** A hand draws a sweep through so many regions in a row at the most before it pauses. */
    private static final int LONGEST_SWEEP = 12;

    private static final List<String> MODELS = List.of("modelJuniper", "modelBram", "modelKettle", "modelSorrel");

    /** What the queue of a run shows at once, and what it leaves out as too unlikely. */
    private static final int ASKED_AT_ONCE = 12;

    private static final double LEAST_FIRST = 0.3;

    private final CellPlane plane;
    private final Regions regions;
    private final Drawing drawing;
    private final Map<Integer, Integer> wanted = new TreeMap<>();
    private final Map<Integer, Cell> places = new HashMap<>();
    private final Set<Integer> inside = new HashSet<>();
    private final long mixedRegions;

    private ActionsBench(Path folder, String name) throws IOException {
        byte[] file = Files.readAllBytes(folder.resolve("demo/" + name + ".svg"));
        InkPlane ink = InkFinder.find(new LineArtReader(ImageLimits.DEFAULT).read(file));
        Openings openings = Openings.of(ink);
        this.plane = openings.cells().plane();
        this.regions = Regions.of(openings, Dams.at(openings.defaultReach()));
        this.drawing = Drawing.of(openings.cells(), regions);
        Map<Integer, DemoTruth.Label> labels =
                DemoTruth.read(folder.resolve("truth/" + name + ".png")).byRegion(plane, ink, regions);
        labels.forEach((region, label) -> wanted.put(region, label.swatch()));
        this.mixedRegions = labels.values().stream()
                .filter(label -> label.otherPx() > 0.25 * label.paperPx())
                .count();
        openings.cells()
                .cells()
                .forEach(cell ->
                        places.merge(regions.of(cell.number()), cell, (a, b) -> a.depthPx() >= b.depthPx() ? a : b));
        Figures.of(openings.cells().graph(), regions)
                .forEach(figure -> figure.cells().forEach(cell -> inside.add(regions.of(cell))));
    }

    public static void main(String[] args) throws IOException {
        Path folder = Path.of(args[0]);
        List<Carry.Source> laid = new ArrayList<>();
        for (String model : MODELS) {
            laid.add(new ActionsBench(folder, model).asSource());
        }
        System.out.println(
                "sheet            regions  swatches  mixed  clicks  sweeps  ground+sweeps  ratio  carry+queue+sweeps  ratio");
        for (String name : SHEETS) {
            ActionsBench sheet = new ActionsBench(folder, name);
            int clicks = sheet.acts(Set.of(), 1);
            int sweeps = sheet.acts(Set.of(), LONGEST_SWEEP);
            int ground = sheet.withGround();
            int carried = sheet.withCarry(laid);
            laid.add(sheet.asSource());
            System.out.printf(
                    "%-16s %7d %9d %6d %7d %7d %14d %6.2f %19d  %.2f%n",
                    name,
                    sheet.wanted.size(),
                    new TreeSet<>(sheet.wanted.values()).size(),
                    sheet.mixedRegions,
                    clicks,
                    sweeps,
                    ground,
                    ground / (double) clicks,
                    carried,
                    carried / (double) clicks);
        }
    }

    /** Ground with the swatch that most regions inside the figures are of: take it, ground, fill; then the rest by sweeps. */
    private int withGround() {
        Map<Integer, Long> counts = new TreeMap<>();
        wanted.forEach((region, swatch) -> {
            if (inside.contains(region)) {
                counts.merge(swatch, 1L, Long::sum);
            }
        });
        if (counts.isEmpty()) {
            return acts(Set.of(), LONGEST_SWEEP);
        }
        int base = counts.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .orElseThrow()
                .getKey();
        Set<Integer> done = new HashSet<>();
        wanted.forEach((region, swatch) -> {
            if (swatch == base && inside.contains(region)) {
                done.add(region);
            }
        });
        boolean isTakenAgain =
                wanted.entrySet().stream().anyMatch(each -> each.getValue() == base && !inside.contains(each.getKey()));
        return 3 + acts(done, LONGEST_SWEEP) - (isTakenAgain ? 1 : 0);
    }

    /** The sheet once it is laid as it is meant. */
    private Carry.Source asSource() {
        int[] labels = new int[regions.count()];
        Arrays.setAll(labels, region -> {
            int swatch = wanted.getOrDefault(region, 0);
            return swatch == 0 ? -1 : swatch;
        });
        return new Carry.Source(drawing, labels);
    }

    /**
     * A run is begun with one act for each sheet, which lays what is sure; of the queue a group is taken, or left, with one act, after what does not belong to it was taken out of it, with
     * one act each; then the rest by sweeps. What was laid wrongly is laid anew.
     */
    private int withCarry(List<Carry.Source> sources) {
        Set<Integer> done = new HashSet<>();
        Map<Integer, List<Integer>> asked = new TreeMap<>();
        for (Carry.Proposal proposal : Carry.from(sources, drawing)) {
            Carry.Choice first = proposal.choices().get(0);
            Integer region = proposal.region();
            if (!proposal.isCovered() || first.share() < LEAST_FIRST || !wanted.containsKey(region)) {
                continue;
            }
            if (!proposal.isSure()) {
                asked.computeIfAbsent(first.label(), label -> new ArrayList<>()).add(region);
            } else if (wanted.get(region) == first.label()) {
                done.add(region);
            }
        }
        int acts = 1;
        for (Map.Entry<Integer, List<Integer>> group : asked.entrySet()) {
            List<Integer> alike = group.getValue();
            for (int from = 0; from < alike.size(); from += ASKED_AT_ONCE) {
                List<Integer> shown = alike.subList(from, Math.min(alike.size(), from + ASKED_AT_ONCE));
                List<Integer> right = shown.stream()
                        .filter(region -> wanted.get(region).equals(group.getKey()))
                        .toList();
                acts += right.isEmpty() ? 1 : 1 + shown.size() - right.size();
                done.addAll(right);
            }
        }
        return acts + acts(done, LONGEST_SWEEP);
    }

    /** Swatch by swatch: taking it, and then strokes, each through as many regions as it can pass in straight lines from one to the next without touching another. */
    private int acts(Set<Integer> done, int longest) {
        int acts = 0;
        for (int swatch : new TreeSet<>(wanted.values())) {
            Set<Integer> left = new TreeSet<>();
            wanted.forEach((region, of) -> {
                if (of == swatch && !done.contains(region)) {
                    left.add(region);
                }
            });
            acts += left.isEmpty() ? 0 : 1;
            while (!left.isEmpty()) {
                int from = left.iterator().next();
                left.remove(from);
                int passed = 1;
                while (passed < longest) {
                    int next = next(from, swatch, left);
                    if (next < 0) {
                        break;
                    }
                    passed += swept(from, next, left);
                    left.remove(next);
                    from = next;
                }
                acts++;
            }
        }
        return acts;
    }

    /** The nearest region still to be filled that a straight line reaches without leaving what is of the swatch; -1 if there is none. */
    private int next(int from, int swatch, Set<Integer> left) {
        List<Integer> byDistance = new ArrayList<>(left);
        Cell here = places.get(from);
        byDistance.sort(Comparator.comparingDouble((Integer region) -> Math.hypot(
                        places.get(region).deepestX() - here.deepestX(),
                        places.get(region).deepestY() - here.deepestY()))
                .thenComparingInt(region -> region));
        return byDistance.stream()
                .filter(region -> passed(from, region).stream().allMatch(each -> wanted.get(each) == swatch))
                .findFirst()
                .orElse(-1);
    }

    private int swept(int from, int to, Set<Integer> left) {
        Set<Integer> passed = passed(from, to);
        int before = left.size();
        left.removeAll(passed);
        return before - left.size();
    }

    private Set<Integer> passed(int from, int to) {
        Cell a = places.get(from);
        Cell b = places.get(to);
        int steps = 1 + (int) Math.hypot(b.deepestX() - a.deepestX(), b.deepestY() - a.deepestY());
        Set<Integer> passed = new TreeSet<>();
        for (int step = 0; step <= steps; step++) {
            int x = a.deepestX() + (b.deepestX() - a.deepestX()) * step / steps;
            int y = a.deepestY() + (b.deepestY() - a.deepestY()) * step / steps;
            int region = regions.of(plane.numberAt(x, y));
            if (wanted.containsKey(region)) {
                passed.add(region);
            }
        }
        return passed;
    }
}
