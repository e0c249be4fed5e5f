package stillpond.bench;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.gap.HandDam;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;
import stillpond.core.ink.InkPlane;

/** Where a dam by hand would part the largest cell of a page into two parts that both count. */
final class PartingLine {

    private static final double LEAST_SHARE = 0.02;
    private static final int TRIED = 40;
    private static final double LEAST_OF_PAGE = 0.001;

    private PartingLine() {}

    /** @throws IllegalStateException if none of the lines tried parts it */
    static List<Point> ofLargestCell(Openings openings, InkPlane ink) {
        return ofCell(bySize(openings).get(0), openings, ink)
                .orElseThrow(() -> new IllegalStateException("No line parts the largest cell."));
    }

    /** Of one that somebody would part: the first that a line parts from the middle on of those that are no crumbs, by size. */
    static List<Point> ofOrdinaryCell(Openings openings, InkPlane ink) {
        double least = LEAST_OF_PAGE * ink.widthPx() * ink.heightPx();
        List<Cell> cells =
                bySize(openings).stream().filter(cell -> cell.areaPx() >= least).toList();
        return cells.subList(cells.size() / 2, cells.size()).stream()
                .map(cell -> ofCell(cell, openings, ink))
                .flatMap(Optional::stream)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("No line parts an ordinary cell."));
    }

    private static List<Cell> bySize(Openings openings) {
        return openings.cells().cells().stream()
                .sorted(Comparator.comparingInt((Cell cell) -> -cell.areaPx()))
                .toList();
    }

    private static Optional<List<Point>> ofCell(Cell parted, Openings openings, InkPlane ink) {
        Box box = parted.box();
        int[] numbers = openings.cells().plane().numbers();
        for (int i = 1; i < TRIED; i++) {
            int y = box.yStart() + i * box.heightPx() / TRIED;
            int x = box.xStart();
            while (x < box.xEndExclusive()) {
                int start = x;
                while (x < box.xEndExclusive() && isPaperOf(parted, y * ink.widthPx() + x, numbers, ink)) {
                    x++;
                }
                List<Point> line =
                        List.of(new Point(start + 0.5, y + 0.5), new Point(Math.max(start, x - 1) + 0.5, y + 0.5));
                if (x - start > 2 && parts(parted, line, openings, ink)) {
                    return Optional.of(line);
                }
                x++;
            }
        }
        return Optional.empty();
    }

    private static boolean isPaperOf(Cell cell, int pixel, int[] numbers, InkPlane ink) {
        return numbers[pixel] == cell.number() && !ink.isInk(pixel);
    }

    private static boolean parts(Cell cell, List<Point> line, Openings openings, InkPlane ink) {
        if (!(HandDam.draw(openings, ink, line) instanceof HandDam.Parted done)) {
            return false;
        }
        boolean counts = done.split().stream()
                        .filter(each -> each.cell() == cell.number())
                        .flatMap(each -> each.parts().stream())
                        .map(part -> done.openings().cells().cells().get(part).areaPx())
                        .filter(area -> area >= LEAST_SHARE * cell.areaPx())
                        .count()
                > 1;
        done.former().forEach(patch -> patch.putInto(openings.cells().plane()));
        return counts;
    }
}
