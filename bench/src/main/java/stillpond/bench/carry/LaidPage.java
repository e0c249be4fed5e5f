package stillpond.bench.carry;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import stillpond.bench.flats.DemoTruth;
import stillpond.core.carry.Carry;
import stillpond.core.carry.Drawing;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;

/**
 * A sheet of the demo, laid as it is meant.
 *
 * @param cellsOf of each region
 * @param wanted the number of the swatch that each region is meant to wear; 0 where nothing was said
 */
record LaidPage(
        String name,
        Openings openings,
        Dams dams,
        Regions regions,
        Drawing drawing,
        Map<Integer, List<Integer>> cellsOf,
        int[] wanted) {

    static LaidPage read(Path art, String name) throws IOException {
        byte[] file = Files.readAllBytes(art.resolve("demo/" + name + ".svg"));
        InkPlane ink = InkFinder.find(new LineArtReader(ImageLimits.DEFAULT).read(file));
        Openings openings = Openings.of(ink);
        Dams dams = Dams.at(openings.defaultReach());
        Regions regions = Regions.of(openings, dams);
        Map<Integer, List<Integer>> cellsOf = new TreeMap<>();
        openings.cells()
                .cells()
                .forEach(cell -> cellsOf.computeIfAbsent(regions.of(cell.number()), any -> new ArrayList<>())
                        .add(cell.number()));
        int[] wanted = new int[regions.count()];
        DemoTruth.read(art.resolve("truth/" + name + ".png"))
                .byRegion(openings.cells().plane(), ink, regions)
                .forEach((region, label) -> wanted[region] = label.swatch());
        return new LaidPage(name, openings, dams, regions, Drawing.of(openings.cells(), regions), cellsOf, wanted);
    }

    /** @param swatches by number, from 1 */
    Fills fills(List<UUID> swatches) {
        Map<Integer, Fill> fills = new HashMap<>();
        cellsOf.forEach((region, cells) -> {
            if (wanted[region] > 0) {
                cells.forEach(cell -> fills.put(cell, Fill.flat(swatches.get(wanted[region] - 1))));
            }
        });
        return Fills.of(fills);
    }

    Carry.Source asSource() {
        int[] labels = new int[wanted.length];
        Arrays.setAll(labels, region -> wanted[region] == 0 ? -1 : wanted[region]);
        return new Carry.Source(drawing, labels);
    }

    boolean reachesEdge(int region) {
        CellPlane plane = openings.cells().plane();
        return cellsOf.get(region).stream()
                .map(cell -> openings.cells().cells().get(cell).box())
                .anyMatch(box -> box.xStart() == 0
                        || box.yStart() == 0
                        || box.xEndExclusive() == plane.widthPx()
                        || box.yEndExclusive() == plane.heightPx());
    }

    long area(int region) {
        return cellsOf.get(region).stream()
                .mapToLong(cell -> openings.cells().cells().get(cell).areaPx())
                .sum();
    }
}
