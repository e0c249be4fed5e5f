package stillpond.core.gap;

import java.util.Collections;
import java.util.Comparator;
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

    /** Has a say in which clusters come together, and is told of it. */
    interface Judge {
        /** Whether two clusters may come together now, for what they are. */
        default boolean mayJoin(Cluster a, Cluster b) {
            return true;
        }

        /** Whether they may for how strong a dam would be between them. */
        default boolean mayJoin(Cluster a, Cluster b, double[] features, double strength) {
            return true;
        }

        /** A cluster has taken another one in. */
        default void joined(Cluster kept, Cluster gone, MergeTree tree) {}
    }

    private final PieceGraph graph;
    private final StrengthModel model;
    private final Judge judge;
    private final ClosureTraits traits;
    private final int[] paper;
    private final double[] paperArea;
    private final Cluster[] clusters;
    private final double[] strengthOfPart;
    private final PriorityQueue<Step> queue = new PriorityQueue<>(Step.WEAKEST_FIRST);

    MergeTree(PieceGraph graph, StrengthModel model, Judge judge) {
        this.graph = graph;
        this.model = model;
        this.judge = judge;
        this.traits = ClosureTraits.of(graph);
        this.paper = graph.paper();
        this.paperArea = new double[graph.count()];
        this.clusters = new Cluster[graph.count()];
        this.strengthOfPart = new double[graph.parts().size()];
        start();
    }

    /** Two clusters that could come together, as they were when it was judged. */
    private record Step(double strength, double judged, int first, int second, int firstVersion, int secondVersion) {
        static final Comparator<Step> WEAKEST_FIRST = Comparator.comparingDouble(Step::strength)
                .thenComparingInt(Step::first)
                .thenComparingInt(Step::second);
    }

    /**
     * The strength of each part of {@link PieceGraph#parts}, of the tree that joins first what shall be one region, at levels under a half, and then the regions, at levels
     * above.
     *
     * @param region of each piece
     */
    static double[] strengths(PieceGraph graph, StrengthModel model, int[] region) {
        boolean[] within = {true};
        MergeTree tree = new MergeTree(graph, model, new Judge() {
            @Override
            public boolean mayJoin(Cluster a, Cluster b) {
                return !within[0] || region[a.number] == region[b.number];
            }
        });
        tree.grow();
        within[0] = false;
        for (Cluster cluster : tree.clusters) {
            if (cluster != null) {
                cluster.level = 0;
            }
        }
        tree.grow();
        double[] strengths = tree.strengthOfPart;
        for (int i = 0; i < strengths.length; i++) {
            Part part = graph.parts().get(i);
            boolean isWithin = region[part.first()] == region[part.second()];
            strengths[i] = isWithin ? strengths[i] / 2 : (1 + strengths[i]) / 2;
        }
        return strengths;
    }

    PieceGraph graph() {
        return graph;
    }

    ClosureTraits traits() {
        return traits;
    }

    /** By the number of one of its pieces; null if it has become part of another one. */
    Cluster cluster(int number) {
        return clusters[number];
    }

    double[] regionFeatures(Cluster cluster) {
        return RegionFeatures.of(cluster, this, paperArea[paper[cluster.number]]);
    }

    private void start() {
        for (int i = 0; i < clusters.length; i++) {
            clusters[i] = new Cluster(i, graph.area()[i], graph.depth()[i], graph.frame()[i]);
            paperArea[paper[i]] += graph.area()[i];
        }
        graph.inkBorders().forEach((first, second, length) -> between(first, second).ink += graph.inkStrokes(length));
        for (Part part : graph.parts()) {
            Cluster.Between between = between(part.first(), part.second());
            if (part.meeting() == Part.Meeting.ACROSS_A_PINHOLE) {
                between.acrossPinholes.add(part);
            } else {
                between.closed += graph.strokes(part.pixels());
                between.parts.add(part);
            }
        }
    }

    /** Joins all that may be joined. What nothing but pinholes has parted is judged last, so that these meetings change nothing about the others. */
    void grow() {
        offerAll();
        joinOffered();
        for (Cluster cluster : clusters) {
            if (cluster != null) {
                cluster.neighbours.tailMap(cluster.number).forEach((other, between) -> {
                    if (judge.mayJoin(cluster, clusters[other])) {
                        between.acrossPinholes.forEach(part -> between.closed += graph.strokes(part.pixels()));
                        between.parts.addAll(between.acrossPinholes);
                        between.acrossPinholes.clear();
                    }
                });
            }
        }
        offerAll();
        joinOffered();
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

    private void joinOffered() {
        while (!queue.isEmpty()) {
            Step step = queue.poll();
            Cluster a = clusters[step.first()];
            Cluster b = clusters[step.second()];
            if (isCurrent(a, step.first(), step.firstVersion()) && isCurrent(b, step.second(), step.secondVersion())) {
                join(a, b, step);
            }
        }
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
        if (between.parts.isEmpty() || !judge.mayJoin(a, b)) {
            return;
        }
        double[] features = BetweenFeatures.of(a, b, between, graph, traits, paperArea[paper[a.number]]);
        double judged = model.strength(features);
        double strength = isHairline(a, b, between) ? Math.max(judged, HAIRLINE_STRENGTH) : judged;
        Cluster first = a.number < b.number ? a : b;
        Cluster second = first == a ? b : a;
        if (judge.mayJoin(first, second, features, strength)) {
            queue.add(new Step(strength, judged, first.number, second.number, first.version, second.version));
        }
    }

    private boolean isHairline(Cluster a, Cluster b, Cluster.Between between) {
        double shallow = Math.min(a.depth, b.depth);
        return between.closed <= HAIRLINE && between.closed < HAIRLINE_PINCH * 2 * shallow;
    }

    private void join(Cluster a, Cluster b, Step step) {
        Cluster.Between between = a.neighbours.get(b.number);
        double level = Math.max(step.strength(), Math.max(a.level, b.level));
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
        kept.take(gone);
        kept.level = level;
        kept.givenUp = Math.max(step.judged(), Math.max(a.givenUp, b.givenUp));
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
        judge.joined(kept, gone, this);
        kept.neighbours.forEach((number, side) -> offer(kept, clusters[number], side));
    }

    private int indexOf(Part part) {
        return Collections.binarySearch(graph.parts(), part, Part.ORDER);
    }
}
