package stillpond.bench.flats;

import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import stillpond.core.cell.CellPlane;
import stillpond.core.gap.Regions;
import stillpond.core.ink.InkPlane;

/** What every place of a demo sheet is of, as the code that draws it says: a number for each swatch, 0 where nothing was said. */
public final class DemoTruth {

    private final Raster labels;

    private DemoTruth(Raster labels) {
        this.labels = labels;
    }

    public static DemoTruth read(Path picture) throws IOException {
        return new DemoTruth(ImageIO.read(picture.toFile()).getRaster());
    }

    /** The names of the swatches by number, from 1: card, slash, swatch. @param art the folder of the demo's drawings */
    public static List<String> swatches(Path art) throws IOException {
        return Pattern.compile("\"([^\"]+)\"")
                .matcher(Files.readString(art.resolve("truth/swatches.json")))
                .results()
                .map(found -> found.group(1))
                .toList();
    }

    /**
     * What one region is of.
     *
     * @param swatch that most of its paper is of
     * @param paperPx its pixels without ink
     * @param otherPx those of them that are of something else
     */
    public record Label(int swatch, int paperPx, int otherPx) {}

    public Map<Integer, Label> byRegion(CellPlane plane, InkPlane ink, Regions regions) {
        int width = plane.widthPx();
        int height = plane.heightPx();
        Map<Integer, Map<Integer, Integer>> areas = new TreeMap<>();
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                if (!ink.isInk(y * width + x)) {
                    int label = labels.getSample(x * labels.getWidth() / width, y * labels.getHeight() / height, 0);
                    areas.computeIfAbsent(regions.of(plane.numberAt(x, y)), any -> new HashMap<>())
                            .merge(label, 1, Integer::sum);
                }
            }
        }
        Map<Integer, Label> found = new TreeMap<>();
        areas.forEach((region, bySwatch) -> {
            Map.Entry<Integer, Integer> most = bySwatch.entrySet().stream()
                    .max(Map.Entry.comparingByValue())
                    .orElseThrow();
            int all = bySwatch.values().stream().mapToInt(each -> each).sum();
            found.put(region, new Label(most.getKey(), all, all - most.getValue()));
        });
        return found;
    }
}
