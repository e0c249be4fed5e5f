package stillpond.core.gap;

import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;

/**
 * Puts pieces together, those first between which a dam is weakest, and judges anew after each step: several gaps of one outline are judged together once what
 * they part has grown together on both sides. The level at which two pieces come together is the strength of the opening between them, so that any
 * reach is one cut through the tree (hierarchical region merging with an ultrametric, as in P. Arbeláez, "Boundary extraction in natural images
 * using ultrametric contour maps", CVPR Workshops 2006).
 */
final class MergeTree {

    /** A hairline gap in a stroke, as scans have: always worth a dam. In stroke widths, and its share of the width of what it parts. */
    private static final double HAIRLINE = 0.9;

    private static final double HAIRLINE_PINCH = 0.35;
    private static final double HAIRLINE_STRENGTH = 0.9;

    /** Told of every judgement; used to fit the model. */
    interface Judge {
        /** Whether two clusters, by the numbers of a piece of each, may come together now. */
        boolean mayJoin(Cluster a, Cluster b, double[] features);
    }

    private final Pieces pieces;
    private final StrengthModel model;
    private final Judge judge;
    private final Cluster[] clusters;
    private final double[] strengthOfPart;
    private final PriorityQueue<Step> queue = new PriorityQueue<>(Step.WEAKEST_FIRST);

    private MergeTree(Pieces pieces, StrengthModel model, Judge judge) {
        this.pieces = pieces;
        this.model = model;
        this.judge = judge;
        this.clusters = new Cluster[pieces.count()];
        this.strengthOfPart = new double[pieces.parts().size()];
    }

    /** Two clusters that could come together, as they were when it was judged. */
    private record Step(double strength, int first, int second, int firstVersion, int secondVersion) {
        static final Comparator<Step> WEAKEST_FIRST = Comparator.comparingDouble(Step::strength)
                .thenComparingInt(Step::first)
                .thenComparingInt(Step::second);
    }

    /** The strength of each part of {@link Pieces#parts}. */
    static double[] strengths(Pieces pieces, StrengthModel model) {
        MergeTree tree = new MergeTree(pieces, model, (a, b, features) -> true);
        tree.start();
        tree.grow();
        tree.growAcrossPinholes();
        return tree.strengthOfPart;
    }

    static void judged(Pieces pieces, StrengthModel model, Judge judge) {
        MergeTree tree = new MergeTree(pieces, model, judge);
        tree.start();
        tree.grow();
    }

    private void start() {
        for (int i = 0; i < clusters.length; i++) {
            clusters[i] = new Cluster(i, pieces.area(i), pieces.depth(i), pieces.frame(i));
        }
        pieces.inkBorders().forEach((first, second, length) -> between(first, second).ink += pieces.inkStrokes(length));
        List<Part> parts = pieces.parts();
        for (Part part : parts) {
            Cluster.Between between = between(part.first(), part.second());
            if (part.meeting() == Part.Meeting.ACROSS_A_PINHOLE) {
                between.acrossPinholes.add(part);
            } else {
                between.closed += pieces.strokes(part.pixels());
                between.parts.add(part);
            }
        }
        offerAll();
    }

    private void offerAll() {
        for (Cluster cluster : clusters) {
            if (cluster != null) {
                cluster.neighbours
                        .tailMap(cluster.number)
                        .forEach((other, between) -> offer(cluster, clusters[other], between));
            }
        }
    }

    private void grow() {
        while (!queue.isEmpty()) {
            Step step = queue.poll();
            Cluster a = clusters[step.first()];
            Cluster b = clusters[step.second()];
            if (isCurrent(a, step.first(), step.firstVersion()) && isCurrent(b, step.second(), step.secondVersion())) {
                join(a, b, step.strength());
            }
        }
    }

    /** What nothing but pinholes has parted is judged last, so that these meetings change nothing about the others. */
    private void growAcrossPinholes() {
        for (Cluster cluster : clusters) {
            if (cluster != null) {
                cluster.neighbours.tailMap(cluster.number).values().forEach(between -> {
                    between.acrossPinholes.forEach(part -> between.closed += pieces.strokes(part.pixels()));
                    between.parts.addAll(between.acrossPinholes);
                    between.acrossPinholes.clear();
                });
            }
        }
        offerAll();
        grow();
    }

    private static boolean isCurrent(Cluster cluster, int number, int version) {
        return cluster != null && cluster.number == number && cluster.version == version;
    }

    private Cluster.Between between(int first, int second) {
        Cluster.Between between = clusters[first].neighbours.computeIfAbsent(second, number -> new Cluster.Between());
        clusters[second].neighbours.put(first, between);
        return between;
    }

    private void offer(Cluster a, Cluster b, Cluster.Between between) {
        if (between.parts.isEmpty()) {
            return;
        }
        double[] features = BetweenFeatures.of(a, b, between, pieces);
        double strength = model.strength(features);
        if (isHairline(a, b, between)) {
            strength = Math.max(strength, HAIRLINE_STRENGTH);
        }
        Cluster first = a.number < b.number ? a : b;
        Cluster second = first == a ? b : a;
        if (judge.mayJoin(first, second, features)) {
            queue.add(new Step(strength, first.number, second.number, first.version, second.version));
        }
    }

    private boolean isHairline(Cluster a, Cluster b, Cluster.Between between) {
        double shallow = Math.min(a.depth, b.depth);
        return between.closed <= HAIRLINE && between.closed < HAIRLINE_PINCH * 2 * shallow;
    }

    private void join(Cluster a, Cluster b, double strength) {
        Cluster.Between between = a.neighbours.get(b.number);
        double level = Math.max(strength, Math.max(a.level, b.level));
        for (Part part : between.parts) {
            strengthOfPart[indexOf(part)] = level;
        }
        for (Part part : between.acrossPinholes) {
            strengthOfPart[indexOf(part)] = level;
        }
        a.neighbours.remove(b.number);
        b.neighbours.remove(a.number);
        Cluster kept = a.neighbours.size() >= b.neighbours.size() ? a : b;
        Cluster gone = kept == a ? b : a;
        kept.area += gone.area;
        kept.depth = Math.max(kept.depth, gone.depth);
        kept.frame += gone.frame;
        kept.level = level;
        kept.version++;
        gone.neighbours.forEach((number, side) -> {
            clusters[number].neighbours.remove(gone.number);
            Cluster.Between both = kept.neighbours.get(number);
            if (both == null) {
                kept.neighbours.put(number, side);
                clusters[number].neighbours.put(kept.number, side);
            } else {
                both.add(side);
            }
        });
        clusters[gone.number] = null;
        kept.neighbours.forEach((number, side) -> offer(kept, clusters[number], side));
    }

    private int indexOf(Part part) {
        return Collections.binarySearch(pieces.parts(), part, Part.ORDER);
    }
}
