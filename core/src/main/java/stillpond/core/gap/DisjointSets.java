package stillpond.core.gap;

import java.util.Arrays;

/** Union-find whose roots are the lowest members, so that numbers come out the same whatever the order of joining. */
final class DisjointSets {

    private final int[] parent;

    DisjointSets(int size) {
        parent = new int[size];
        Arrays.setAll(parent, i -> i);
    }

    void join(int a, int b) {
        int rootA = find(a);
        int rootB = find(b);
        parent[Math.max(rootA, rootB)] = Math.min(rootA, rootB);
    }

    int find(int member) {
        int at = member;
        while (parent[at] != at) {
            parent[at] = parent[parent[at]];
            at = parent[at];
        }
        return at;
    }

    /** The set of each member; sets are numbered from 0 by their lowest members. */
    int[] numbered() {
        int[] numbers = new int[parent.length];
        int next = 0;
        for (int i = 0; i < parent.length; i++) {
            int root = find(i);
            numbers[i] = root == i ? next++ : numbers[root];
        }
        return numbers;
    }
}
