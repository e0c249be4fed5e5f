package stillpond.app.demo;

import java.awt.image.Raster;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.Map;
import java.util.TreeMap;
import javax.imageio.ImageIO;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.gap.Regions;
import tools.jackson.databind.json.JsonMapper;

/** What every place of a demo sheet is of, as the code that draws it says. */
record DemoTruth(Raster labels, String[] swatches) {

    private static final Path FOLDER = Path.of("../art/truth");

    static DemoTruth of(String drawing) {
        try {
            String[] swatches = JsonMapper.builder()
                    .build()
                    .readValue(Files.readAllBytes(FOLDER.resolve("swatches.json")), String[].class);
            return new DemoTruth(
                    ImageIO.read(FOLDER.resolve(drawing + ".png").toFile()).getRaster(), swatches);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The card and swatch at a place, given as shares of the size of the sheet. */
    String at(double x, double y) {
        return swatches[labels.getSample((int) (x * labels.getWidth()), (int) (y * labels.getHeight()), 0) - 1];
    }

    /** The cell of a region in which its deepest point lies: where to click. */
    static Cell deepest(CellMap map, Regions regions, int region) {
        return map.cells().stream()
                .filter(cell -> regions.of(cell.number()) == region)
                .max(Comparator.comparingDouble(Cell::depthPx))
                .orElseThrow();
    }

    /** The card and swatch that most of each region is of. */
    Map<Integer, String> byRegion(CellPlane plane, Regions regions) {
        Map<Integer, Map<String, Integer>> areas = new TreeMap<>();
        for (int y = 0; y < plane.heightPx(); y += 2) {
            for (int x = 0; x < plane.widthPx(); x += 2) {
                String swatch = at((x + 0.5) / plane.widthPx(), (y + 0.5) / plane.heightPx());
                areas.computeIfAbsent(regions.of(plane.numberAt(x, y)), any -> new TreeMap<>())
                        .merge(swatch, 1, Integer::sum);
            }
        }
        Map<Integer, String> most = new TreeMap<>();
        areas.forEach((region, bySwatch) -> most.put(
                region,
                bySwatch.entrySet().stream()
                        .max(Map.Entry.comparingByValue())
                        .orElseThrow()
                        .getKey()));
        return most;
    }
}
