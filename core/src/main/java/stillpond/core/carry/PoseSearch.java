package stillpond.core.carry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Finds poses under which much of one drawing lies on its like in another: every two touching regions of the one, laid on two touching regions of the other that are
 * shaped and sized like them, say one pose, and the rest of the drawing votes on it (M. A. Fischler, R. C. Bolles, "Random Sample Consensus", CACM 24, 1981, but
 * with all promising samples instead of random ones).
 */
final class PoseSearch {

    /** Only the largest regions propose and vote: small ones are alike everywhere. */
    private static final int MOST_FROM = 70;

    private static final int MOST_TO = 260;
    /** Shapes less like each other than this are not laid on each other. */
    private static final double MOST_UNLIKE = 2.2;
    /** Natural logarithm of how much two areas may differ from what the pose makes of them. */
    private static final double MOST_RESIZED = 0.7;

    /** So many of the largest regions propose poses by themselves, on shapes that are no less like them than this. */
    private static final int MOST_ALONE = 24;

    private static final double MOST_UNLIKE_ALONE = 1.2;
    /** A region that is about as wide as it is long has no axis to go by. */
    private static final double LEAST_ELONGATION = 1.15;

    /** So many regions are near to another. */
    private static final int MOST_NEAR = 6;

    private static final double MOST_TURN = Math.toRadians(65);
    private static final double LEAST_SCALE = 0.2;
    private static final double MOST_SCALE = 4;
    /** Poses that take the drawing within this share of its size of each other are one. */
    private static final double SAME = 0.12;

    private final Drawing from;
    private final Drawing to;
    private final List<Shape> voters;
    private final List<Shape> places;
    private final Map<Integer, List<Integer>> partnersOfVoter = new HashMap<>();
    private final Map<Integer, List<Integer>> partnersOfPlace = new HashMap<>();
    private final double[] middle;
    private final double radius;

    /** Which regions of a drawing are laid on two others together with one. */
    interface Partners {
        List<Integer> of(Drawing drawing, List<Shape> among, int region);

        /** Those that touch it. */
        static List<Integer> touching(Drawing drawing, List<Shape> among, int region) {
            return drawing.neighbours(region).keySet().stream().sorted().toList();
        }

        /** Those nearest to it, for parts that lie apart. */
        static List<Integer> near(Drawing drawing, List<Shape> among, int region) {
            Shape shape = drawing.shape(region);
            return among.stream()
                    .filter(other -> other.region() != region)
                    .sorted(Comparator.comparingDouble(
                                    (Shape other) -> squared(other.x() - shape.x(), other.y() - shape.y()))
                            .thenComparing(Shape::region))
                    .limit(MOST_NEAR)
                    .map(Shape::region)
                    .toList();
        }
    }

    /** @param left regions of {@code to} that are not spoken for yet */
    PoseSearch(Drawing from, Set<Integer> meant, Drawing to, Set<Integer> left, Partners partners) {
        this.from = from;
        this.to = to;
        this.voters = largest(from, meant, MOST_FROM);
        this.places = largest(to, left, MOST_TO);
        voters.forEach(each -> partnersOfVoter.put(each.region(), partners.of(from, voters, each.region())));
        places.forEach(each -> partnersOfPlace.put(each.region(), partners.of(to, places, each.region())));
        double weight = voters.stream().mapToDouble(Shape::size).sum();
        this.middle = new double[] {
            voters.stream().mapToDouble(each -> each.size() * each.x()).sum() / weight,
            voters.stream().mapToDouble(each -> each.size() * each.y()).sum() / weight
        };
        this.radius = Math.sqrt(voters.stream()
                        .mapToDouble(each -> each.size() * squared(each.x() - middle[0], each.y() - middle[1]))
                        .sum()
                / weight);
    }

    /** A pose and how much of the drawing agrees with it, 0 to 1. */
    record Found(Pose pose, double agreement) {}

    /** The best poses that differ, best first. */
    List<Found> best(int most) {
        List<Found> all = new ArrayList<>();
        boolean[] isVoter = new boolean[from.count()];
        voters.forEach(each -> isVoter[each.region()] = true);
        boolean[] isPlace = new boolean[to.count()];
        places.forEach(each -> isPlace[each.region()] = true);
        double[][] unlike = unlikeness();
        for (Shape first : voters) {
            for (int second : partnersOfVoter.get(first.region())) {
                if (isVoter[second]) {
                    propose(first, from.shape(second), unlike, isPlace, all);
                }
            }
        }
        return differing(all, most);
    }

    /** Likewise, of poses that single regions say by their axes. */
    List<Found> bestAlone(int most) {
        List<Found> all = new ArrayList<>();
        double[][] unlike = unlikeness();
        voters.stream().limit(MOST_ALONE).filter(PoseSearch::hasAxis).forEach(each -> proposeAlone(each, unlike, all));
        return differing(all, most);
    }

    private List<Found> differing(List<Found> all, int most) {
        all.sort(Comparator.comparingDouble((Found found) -> -found.agreement()));
        List<Found> kept = new ArrayList<>();
        for (Found found : all) {
            if (kept.size() == most) {
                break;
            }
            if (kept.stream().noneMatch(each -> isSame(each.pose(), found.pose()))) {
                kept.add(found);
            }
        }
        return kept;
    }

    private void propose(Shape first, Shape second, double[][] unlike, boolean[] isPlace, List<Found> all) {
        double distance = Math.hypot(second.x() - first.x(), second.y() - first.y());
        if (distance < 2) {
            return;
        }
        for (Shape there : places) {
            if (unlike[first.region()][there.region()] > MOST_UNLIKE) {
                continue;
            }
            for (int neighbour : partnersOfPlace.get(there.region())) {
                if (!isPlace[neighbour] || unlike[second.region()][neighbour] > MOST_UNLIKE) {
                    continue;
                }
                Shape beside = to.shape(neighbour);
                double scale = Math.hypot(beside.x() - there.x(), beside.y() - there.y()) / distance;
                if (scale < LEAST_SCALE
                        || scale > MOST_SCALE
                        || resized(first, there, scale) > MOST_RESIZED
                        || resized(second, beside, scale) > MOST_RESIZED) {
                    continue;
                }
                for (boolean isMirrored : new boolean[] {false, true}) {
                    Pose pose = Pose.of(at(first), at(second), at(there), at(beside), isMirrored);
                    if (Math.abs(pose.turn()) <= MOST_TURN) {
                        all.add(new Found(pose, agreement(pose, unlike)));
                    }
                }
            }
        }
    }

    /** A region laid on one like it by its longer axis, both ways round and from both sides: all there is to go by where a drawing has few regions. */
    private void proposeAlone(Shape voter, double[][] unlike, List<Found> all) {
        double[] ahead = ahead(voter, 1);
        for (Shape there : places) {
            if (unlike[voter.region()][there.region()] > MOST_UNLIKE_ALONE || !hasAxis(there)) {
                continue;
            }
            for (int way : new int[] {-1, 1}) {
                for (boolean isMirrored : new boolean[] {false, true}) {
                    Pose pose = Pose.of(at(voter), ahead, at(there), ahead(there, way), isMirrored);
                    double scale = pose.scale();
                    if (scale >= LEAST_SCALE && scale <= MOST_SCALE && Math.abs(pose.turn()) <= MOST_TURN) {
                        all.add(new Found(pose, agreement(pose, unlike)));
                    }
                }
            }
        }
    }

    private static boolean hasAxis(Shape shape) {
        return shape.elongation() >= LEAST_ELONGATION;
    }

    /** A point on its longer axis, as far from its middle as it is large. */
    private static double[] ahead(Shape shape, int way) {
        return new double[] {
            shape.x() + way * shape.size() * Math.cos(shape.angle()),
            shape.y() + way * shape.size() * Math.sin(shape.angle())
        };
    }

    private double agreement(Pose pose, double[][] unlike) {
        double scale = pose.scale();
        double agreed = 0;
        double all = 0;
        for (Shape voter : voters) {
            int region = to.at(pose.x(voter.x(), voter.y()), pose.y(voter.x(), voter.y()));
            all += voter.size();
            if (region >= 0) {
                double resized = resized(voter, to.shape(region), scale) / 0.45;
                double unlikeness = unlike[voter.region()][region] / 1.3;
                agreed += voter.size() * Math.exp(-0.5 * (resized * resized + unlikeness * unlikeness));
            }
        }
        return agreed / all;
    }

    private double[][] unlikeness() {
        double[][] all = new double[from.count()][];
        for (Shape voter : voters) {
            all[voter.region()] =
                    to.shapes().stream().mapToDouble(voter::unlike).toArray();
        }
        return all;
    }

    private boolean isSame(Pose one, Pose other) {
        double furthest = 0;
        for (int corner = 0; corner < 4; corner++) {
            double x = middle[0] + (corner % 2 == 0 ? -radius : radius);
            double y = middle[1] + (corner < 2 ? -radius : radius);
            furthest = Math.max(furthest, Math.hypot(one.x(x, y) - other.x(x, y), one.y(x, y) - other.y(x, y)));
        }
        return furthest < SAME * 2 * radius * one.scale();
    }

    private static double resized(Shape from, Shape to, double scale) {
        return Math.abs(Math.log(to.area() / (scale * scale * from.area())));
    }

    private static List<Shape> largest(Drawing drawing, Set<Integer> meant, int most) {
        return meant.stream()
                .map(drawing::shape)
                .filter(shape -> shape.area() >= 4)
                .sorted(Comparator.comparingDouble((Shape shape) -> -shape.area())
                        .thenComparing(Shape::region))
                .limit(most)
                .toList();
    }

    private static double[] at(Shape shape) {
        return new double[] {shape.x(), shape.y()};
    }

    private static double squared(double x, double y) {
        return x * x + y * y;
    }
}
