package stillpond.core.format;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellOutlines;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.refusal.Refusal;

/**
 * Cells of a drawing as one repeat of a pattern: an SVG that {@link MotifReader} reads, in which the box around them is stretched to a square.
 *
 * @param svg with a colour of its own for each swatch, and one for what lies between
 * @param swatchByColour the swatch that each colour stands for, 0xRRGGBB; none for what lies between
 * @param box around the cells
 */
public record MotifOfCells(byte[] svg, Map<Integer, UUID> swatchByColour, Box box) {

    private static final int SIDE = 1000;
    private static final int[] COLOURS = {0x000000, 0xff0000, 0x0000ff};

    /** @throws Refusal if nothing of it wears a swatch, or too many do */
    public static MotifOfCells of(CellMap map, Collection<Integer> cells, Fills fills) {
        Map<UUID, List<Integer>> bySwatch = new LinkedHashMap<>();
        cells.stream()
                .distinct()
                .map(map.cells()::get)
                .sorted(Comparator.comparingInt(Cell::number))
                .filter(cell -> !fills.of(cell.number()).equals(Fill.NONE))
                .forEach(cell -> bySwatch.computeIfAbsent(
                                fills.of(cell.number()).swatches().get(0), any -> new ArrayList<>())
                        .add(cell.number()));
        if (bySwatch.isEmpty()) {
            throw new Refusal("A pattern is made of what is filled; nothing of this wears a swatch.");
        }
        if (bySwatch.size() > COLOURS.length) {
            throw new Refusal("A pattern is made of up to " + COLOURS.length
                    + " swatches and what lies between; this wears " + bySwatch.size() + ".");
        }
        Box box = around(map, cells);
        Map<Integer, UUID> swatchByColour = new LinkedHashMap<>();
        StringBuilder svg = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 ")
                .append(SIDE)
                .append(' ')
                .append(SIDE)
                .append("\">");
        bySwatch.forEach((swatch, wearing) -> {
            int colour = COLOURS[swatchByColour.size()];
            swatchByColour.put(colour, swatch);
            svg.append(String.format(Locale.ROOT, "<path fill=\"#%06x\" fill-rule=\"evenodd\" d=\"", colour))
                    .append(path(map, wearing, box))
                    .append("\"/>");
        });
        byte[] file = svg.append("</svg>").toString().getBytes(StandardCharsets.UTF_8);
        return new MotifOfCells(file, swatchByColour, box);
    }

    /** How high the box is, in percent of its width. */
    public int heightPercent() {
        return (int) Math.round(100.0 * box.heightPx() / box.widthPx());
    }

    private static Box around(CellMap map, Collection<Integer> cells) {
        int left = Integer.MAX_VALUE;
        int top = Integer.MAX_VALUE;
        int right = 0;
        int bottom = 0;
        for (int cell : cells) {
            Box each = map.cells().get(cell).box();
            left = Math.min(left, each.xStart());
            top = Math.min(top, each.yStart());
            right = Math.max(right, each.xEndExclusive());
            bottom = Math.max(bottom, each.yEndExclusive());
        }
        return new Box(left, top, right, bottom);
    }

    private static StringBuilder path(CellMap map, List<Integer> cells, Box box) {
        boolean[] isMeant = new boolean[map.cells().size()];
        cells.forEach(cell -> isMeant[cell] = true);
        StringBuilder path = new StringBuilder();
        for (int[] line : CellOutlines.of(map.plane(), cell -> isMeant[cell])) {
            for (int i = 0; i < line.length; i += 2) {
                double x = SIDE * (line[i] - box.xStart()) / (double) box.widthPx();
                double y = SIDE * (line[i + 1] - box.yStart()) / (double) box.heightPx();
                path.append(i == 0 ? 'M' : 'L').append(String.format(Locale.ROOT, "%.1f %.1f", x, y));
            }
            path.append('Z');
        }
        return path;
    }
}
