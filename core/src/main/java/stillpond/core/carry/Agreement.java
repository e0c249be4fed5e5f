package stillpond.core.carry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * Weighs the pairings of all regions of a drawing against each other: a region is likelier to be the like of one whose neighbours are the likes of its own neighbours. This is mean-field
 * inference in a conditional random field over both adjacency graphs (D. Koller, N. Friedman, "Probabilistic Graphical Models", 2009, section 11.5), a relaxation of the quadratic
 * assignment that K. Sato, Y. Matsui, T. Yamasaki, K. Aizawa solve in "Reference-based Manga Colorization by Graph Correspondence Using Quadratic Programming", SIGGRAPH Asia 2014
 * Technical Briefs. It departs from theirs in that one region may be the like of several (parts that something lies over), or of none.
 */
final class Agreement {

    private static final int MOST_CANDIDATES = 8;
    private static final int ROUNDS = 8;
    private final Drawing from;
    private final Drawing to;
    private final List<List<Pairing>> candidates = new ArrayList<>();
    private final double[][] shares;
    private final CarryWeights weights;

    private Agreement(Drawing from, Drawing to, List<Pairing> pairings, CarryWeights weights) {
        this.weights = weights;
        this.from = from;
        this.to = to;
        for (int region = 0; region < to.count(); region++) {
            candidates.add(new ArrayList<>());
        }
        pairings.forEach(pairing -> candidates.get(pairing.to()).add(pairing));
        for (List<Pairing> each : candidates) {
            each.sort(Comparator.comparingDouble((Pairing pairing) -> -pairing.merit())
                    .thenComparingInt(Pairing::from));
            if (each.size() > MOST_CANDIDATES) {
                each.subList(MOST_CANDIDATES, each.size()).clear();
            }
        }
        this.shares = new double[to.count()][];
    }

    static Agreement of(Drawing from, Drawing to, List<Pairing> pairings, CarryWeights weights) {
        Agreement agreement = new Agreement(from, to, pairings, weights);
        for (int region = 0; region < to.count(); region++) {
            agreement.shares[region] = agreement.weighed(region, each -> 0);
        }
        for (int round = 0; round < ROUNDS; round++) {
            double[][] next = new double[to.count()][];
            for (int region = 0; region < to.count(); region++) {
                int here = region;
                next[region] = agreement.weighed(region, candidate -> agreement.support(here, candidate));
            }
            System.arraycopy(next, 0, agreement.shares, 0, next.length);
        }
        return agreement;
    }

    List<Pairing> candidates(int region) {
        return candidates.get(region);
    }

    /** How likely the nth candidate is the like of a region; what is missing to 1 is that it has none. */
    double share(int region, int candidate) {
        return shares[region][candidate];
    }

    private interface Support {
        double of(int candidate);
    }

    private double[] weighed(int region, Support support) {
        List<Pairing> all = candidates.get(region);
        double[] odds = new double[all.size()];
        double sum = Math.exp(weights.nothing());
        for (int i = 0; i < odds.length; i++) {
            odds[i] = Math.exp(all.get(i).merit() + weights.neighbours() * support.of(i));
            sum += odds[i];
        }
        double whole = sum;
        return Arrays.stream(odds).map(each -> each / whole).toArray();
    }

    private double support(int region, int candidate) {
        int like = candidates.get(region).get(candidate).from();
        double sum = 0;
        double border = 0;
        for (Map.Entry<Integer, Integer> neighbour : to.neighbours(region).entrySet()) {
            double length = Math.sqrt(neighbour.getValue());
            List<Pairing> theirs = candidates.get(neighbour.getKey());
            double[] share = shares[neighbour.getKey()];
            double left = 1;
            for (int i = 0; i < share.length; i++) {
                sum += length * share[i] * fit(like, theirs.get(i).from());
                left -= share[i];
            }
            sum += length * left * weights.unknown();
            border += length;
        }
        return border == 0 ? 0 : sum / border;
    }

    private double fit(int one, int other) {
        if (one == other) {
            return weights.same();
        }
        return from.neighbours(one).containsKey(other) ? weights.touch() : weights.apart();
    }
}
