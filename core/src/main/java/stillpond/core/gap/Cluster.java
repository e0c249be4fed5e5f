package stillpond.core.gap;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;

/** Some pieces put together, and what lies between them and their neighbours. Lengths in stroke widths. */
final class Cluster {

    final int number;

    /** Its node in the tree that is being grown. */
    int node;

    int pieces = 1;
    double area;
    double depth;
    double frame;
    double level;

    /** The strongest dam, as the model judged it, that was given up to make it. */
    double givenUp;

    int version;

    /** By number of the neighbour; in order, so that sums come out alike on every machine. */
    final TreeMap<Integer, Between> neighbours = new TreeMap<>();

    Cluster(int number, double area, double depth, double frame) {
        this.number = number;
        this.node = number;
        this.area = area;
        this.depth = depth;
        this.frame = frame;
    }

    /** All that lies between two clusters. */
    static final class Between {
        double ink;
        double closed;
        final List<Part> parts = new ArrayList<>();

        /** Those across pinholes: too uncertain to be judged by, unless there is nothing else. */
        final List<Part> acrossPinholes = new ArrayList<>();

        void add(Between other) {
            ink += other.ink;
            closed += other.closed;
            parts.addAll(other.parts);
            acrossPinholes.addAll(other.acrossPinholes);
        }
    }

    double inkBorder() {
        double sum = 0;
        for (Between between : neighbours.values()) {
            sum += between.ink;
        }
        return sum;
    }

    double closedBorder() {
        double sum = 0;
        for (Between between : neighbours.values()) {
            sum += between.closed;
        }
        return sum;
    }

    /** Takes another one in, all but its neighbours. */
    void take(Cluster gone) {
        pieces += gone.pieces;
        area += gone.area;
        depth = Math.max(depth, gone.depth);
        frame += gone.frame;
    }
}
