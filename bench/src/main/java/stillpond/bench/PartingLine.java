package stillpond.bench;

import java.util.Comparator;
import java.util.List;
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

    private PartingLine() {}

    /** @throws IllegalStateException if none of the lines tried parts it */
    static List<Point> ofLargestCell(Openings openings, InkPlane ink) {
        Cell largest = openings.cells().cells().stream()
                .max(Comparator.comparingInt(Cell::areaPx))
                .orElseThrow();
        Box box = largest.box();
        int[] numbers = openings.cells().plane().numbers();
        for (int i = 1; i < TRIED; i++) {
            int y = box.yStart() + i * box.heightPx() / TRIED;
            int x = box.xStart();
            while (x < box.xEndExclusive()) {
                int start = x;
                while (x < box.xEndExclusive() && isPaperOf(largest, y * ink.widthPx() + x, numbers, ink)) {
                    x++;
                }
                List<Point> line =
                        List.of(new Point(start + 0.5, y + 0.5), new Point(Math.max(start, x - 1) + 0.5, y + 0.5));
                if (x - start > 2 && parts(largest, line, openings, ink)) {
                    return line;
                }
                x++;
            }
        }
        throw new IllegalStateException("No line parts the largest cell.");
    }

    private static boolean isPaperOf(Cell cell, int pixel, int[] numbers, InkPlane ink) {
        return numbers[pixel] == cell.number() && !ink.isInk(pixel);
    }

    private static boolean parts(Cell cell, List<Point> line, Openings openings, InkPlane ink) {
        if (!(HandDam.draw(openings, ink, line) instanceof HandDam.Parted parted)) {
            return false;
        }
        boolean counts = parted.split().stream()
                        .filter(each -> each.cell() == cell.number())
                        .flatMap(each -> each.parts().stream())
                        .map(part -> parted.openings().cells().cells().get(part).areaPx())
                        .filter(area -> area >= LEAST_SHARE * cell.areaPx())
                        .count()
                > 1;
        parted.former().forEach(patch -> patch.restore(openings.cells().plane()));
        return counts;
    }
}
