package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import stillpond.core.cell.Cutting;
import stillpond.core.cell.PairCounts;
import stillpond.core.cell.PixelMap;
import stillpond.core.gap.Part.Meeting;
import stillpond.core.ink.InkPlane;

/**
 * Which pieces meet at which wall.
 *
 * <p>Most meet across one wall pixel. Where several closures start at one stroke end, their walls lie side by side with pinholes between, and no wall pixel has
 * a piece on both sides; there the pieces are spread over walls and pinholes, each paper pixel going to the nearest, and those whose spreads touch meet.
 */
final class WallContacts {

    /** Where walls lie side by side, so many pixels from one to the paper behind the others. */
    private static final int FURTHEST_BESIDE = 8;

    private final InkPlane page;
    private final Walls walls;
    private final int[] numbers;
    private final List<Part> parts;

    /** The spread of the pieces over walls and pinholes: the piece of each such pixel. */
    private final PixelMap spread = new PixelMap();

    /** The closure that runs over each of those pixels, or through which a pinhole was reached. */
    private final PixelMap owner = new PixelMap();

    private WallContacts(InkPlane page, Walls walls, int[] numbers) {
        this.page = page;
        this.walls = walls;
        this.numbers = numbers;
        this.parts = acrossOnePixel();
        parts.addAll(acrossPinholes());
        parts.sort(Part.ORDER);
    }

    static WallContacts of(InkPlane page, Walls walls, int[] numbers) {
        return new WallContacts(page, walls, numbers);
    }

    /** In {@link Part#ORDER}. */
    List<Part> parts() {
        return parts;
    }

    /** The pixels of a closure that part two cells, in the order of its line; those nearest to where they meet, if they meet beside it only. */
    List<Integer> stretch(int closure, int first, int second, int[] cellOfPiece) {
        int[] all = walls.of(closure);
        for (int reach = 1; reach <= FURTHEST_BESIDE; reach++) {
            List<Integer> pixels = new ArrayList<>();
            for (int pixel : all) {
                if (isAround(pixel, reach, first, cellOfPiece) && isAround(pixel, reach, second, cellOfPiece)) {
                    pixels.add(pixel);
                }
            }
            if (!pixels.isEmpty()) {
                return pixels;
            }
        }
        return Arrays.stream(all).boxed().toList();
    }

    private boolean isAround(int pixel, int reach, int cell, int[] cellOfPiece) {
        int width = page.widthPx();
        int x = pixel % width;
        int y = pixel / width;
        for (int ny = Math.max(0, y - reach); ny <= Math.min(page.heightPx() - 1, y + reach); ny++) {
            for (int nx = Math.max(0, x - reach); nx <= Math.min(width - 1, x + reach); nx++) {
                int piece = numbers[ny * width + nx];
                if (piece >= 0 && cellOfPiece[piece] == cell) {
                    return true;
                }
            }
        }
        return false;
    }

    private List<Part> acrossOnePixel() {
        List<Part> found = new ArrayList<>();
        int[] pixels = walls.pixels();
        int[] closure = walls.closure();
        int[] around = new int[9];
        for (int start = 0; start < pixels.length; ) {
            int end = start;
            PairCounts pairs = new PairCounts();
            while (end < pixels.length && closure[end] == closure[start]) {
                int pieces = piecesAround(pixels[end++], around);
                for (int a = 0; a < pieces; a++) {
                    for (int b = a + 1; b < pieces; b++) {
                        pairs.add(Math.min(around[a], around[b]), Math.max(around[a], around[b]), 1);
                    }
                }
            }
            int owner = closure[start];
            pairs.forEach((first, second, count) ->
                    found.add(new Part(first, second, owner, (int) count, Meeting.AT_A_WALL)));
            start = end;
        }
        return found;
    }

    /** The pieces on and around a pixel: the first so many of an array of nine. */
    private int piecesAround(int pixel, int[] around) {
        int x = pixel % page.widthPx();
        int y = pixel / page.widthPx();
        int count = 0;
        for (int ny = Math.max(0, y - 1); ny <= Math.min(page.heightPx() - 1, y + 1); ny++) {
            for (int nx = Math.max(0, x - 1); nx <= Math.min(page.widthPx() - 1, x + 1); nx++) {
                int piece = numbers[ny * page.widthPx() + nx];
                boolean known = piece < 0;
                for (int i = 0; i < count && !known; i++) {
                    known = around[i] == piece;
                }
                if (!known) {
                    around[count++] = piece;
                }
            }
        }
        return count;
    }

    private Collection<Part> acrossPinholes() {
        int[] reached = spread();
        Set<Long> known = new HashSet<>();
        parts.forEach(part -> known.add(key(part.first(), part.second())));
        Map<Long, Part> found = new TreeMap<>();
        int[] beside = new int[4];
        for (int pixel : reached) {
            int piece = spread.get(pixel);
            int count = beside(pixel, beside);
            for (int side = 0; side < count; side++) {
                boolean isPiece = numbers[beside[side]] >= 0;
                int other = isPiece ? numbers[beside[side]] : spread.get(beside[side]);
                if (other == PixelMap.NONE || other == piece || !isPiece && other < piece) {
                    continue;
                }
                long pair = key(Math.min(piece, other), Math.max(piece, other));
                if (!known.contains(pair)) {
                    // Closures come the most promising first.
                    int besides = owner.get(beside[side]);
                    int closure = besides == PixelMap.NONE ? owner.get(pixel) : Math.min(owner.get(pixel), besides);
                    found.merge(
                            pair,
                            new Part((int) (pair >> 32), (int) pair, closure, 1, Meeting.ACROSS_A_PINHOLE),
                            WallContacts::together);
                }
            }
        }
        return found.values();
    }

    private static Part together(Part a, Part b) {
        int closure = Math.min(a.closure(), b.closure());
        return new Part(a.first(), a.second(), closure, a.pixels() + b.pixels(), a.meeting());
    }

    /** Returns the pixels that are reached, each next to one from before. */
    private int[] spread() {
        int[] front = new int[1024];
        int size = 0;
        int[] beside = new int[4];
        for (int i = 0; i < walls.pixels().length; i++) {
            int wall = walls.pixels()[i];
            owner.putIfAbsent(wall, walls.closure()[i]);
            int piece = pieceBeside(wall, beside);
            if (piece >= 0 && spread.putIfAbsent(wall, piece)) {
                front = with(front, size++, wall);
            }
        }
        for (int i = 0; i < size; i++) {
            int from = front[i];
            int count = beside(from, beside);
            for (int side = 0; side < count; side++) {
                int to = beside[side];
                if (numbers[to] == Cutting.NONE && !page.isInk(to) && spread.putIfAbsent(to, spread.get(from))) {
                    owner.putIfAbsent(to, owner.get(from));
                    front = with(front, size++, to);
                }
            }
        }
        return Arrays.copyOf(front, size);
    }

    /** The first piece that shares an edge with a pixel; negative if none does. */
    private int pieceBeside(int pixel, int[] beside) {
        int count = beside(pixel, beside);
        for (int side = 0; side < count; side++) {
            if (numbers[beside[side]] >= 0) {
                return numbers[beside[side]];
            }
        }
        return PixelMap.NONE;
    }

    private static int[] with(int[] front, int size, int pixel) {
        int[] room = size == front.length ? Arrays.copyOf(front, 2 * size) : front;
        room[size] = pixel;
        return room;
    }

    /** The pixels that share an edge with one: the first so many of an array of four. */
    private int beside(int pixel, int[] beside) {
        int x = pixel % page.widthPx();
        int count = 0;
        if (x > 0) {
            beside[count++] = pixel - 1;
        }
        if (x < page.widthPx() - 1) {
            beside[count++] = pixel + 1;
        }
        if (pixel >= page.widthPx()) {
            beside[count++] = pixel - page.widthPx();
        }
        if (pixel + page.widthPx() < numbers.length) {
            beside[count++] = pixel + page.widthPx();
        }
        return count;
    }

    private static long key(int first, int second) {
        return (long) first << 32 | second;
    }
}
