package stillpond.bench.flats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import stillpond.bench.flats.DemoTruth.Label;
import stillpond.core.cell.Cell;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;
import tools.jackson.databind.json.JsonMapper;

/**
 * Finds a point in every region of some of the demo's sheets and what it is of, so that a scene of the demo can be laid to the last region: art/rest.json, which art/draw.mjs puts into the book.
 * What the drawing says nothing of gets what most of its neighbours wear.
 */
final class RestOfDemo {

    private RestOfDemo() {}

    /** @param args the folder of the demo's drawings, and files of sheets beside the book */
    public static void main(String[] args) throws IOException {
        Path art = Path.of(args[0]);
        List<String> swatches = DemoTruth.swatches(art);
        Map<String, Map<String, List<double[]>>> sheets = new TreeMap<>();
        for (int i = 1; i < args.length; i++) {
            String name = args[i].substring(0, args[i].indexOf('.'));
            sheets.put(name, points(art, args[i], name, swatches));
        }
        Files.writeString(art.resolve("rest.json"), JsonMapper.builder().build().writeValueAsString(sheets) + "\n");
    }

    private static Map<String, List<double[]>> points(Path art, String file, String name, List<String> swatches)
            throws IOException {
        InkPlane ink = InkFinder.find(
                new LineArtReader(ImageLimits.DEFAULT).read(Files.readAllBytes(art.resolve("demo/" + file))));
        Openings openings = Openings.of(ink);
        Regions regions = Regions.of(openings, Dams.at(openings.defaultReach()));
        Map<Integer, Label> labels = DemoTruth.read(art.resolve("truth/" + name + ".png"))
                .byRegion(openings.cells().plane(), ink, regions);
        Map<Integer, Cell> deepest = new HashMap<>();
        openings.cells()
                .cells()
                .forEach(cell -> deepest.merge(
                        regions.of(cell.number()),
                        cell,
                        (one, other) -> other.depthPx() > one.depthPx() ? other : one));
        int[] worn = new int[regions.count()];
        labels.forEach((region, label) -> worn[region] = label.swatch());
        fromNeighbours(openings, regions, worn);
        Map<String, List<double[]>> points = new TreeMap<>();
        deepest.forEach((region, cell) -> points.computeIfAbsent(
                        swatches.get(worn[region] - 1), any -> new ArrayList<>())
                .add(new double[] {
                    rounded((cell.deepestX() + 0.5) / ink.widthPx()), rounded((cell.deepestY() + 0.5) / ink.heightPx())
                }));
        System.out.printf(Locale.ROOT, "%s: %d regions%n", name, regions.count());
        return points;
    }

    private static double rounded(double share) {
        return Math.round(share * 100_000) / 100_000.0;
    }

    /** Regions across the shortest way get what they lie in or beside, again and again until none is left. */
    private static void fromNeighbours(Openings openings, Regions regions, int[] worn) {
        int width = openings.cells().plane().widthPx();
        int height = openings.cells().plane().heightPx();
        boolean isLeft = true;
        while (isLeft) {
            isLeft = false;
            Map<Integer, Map<Integer, Integer>> beside = new HashMap<>();
            for (int y = 0; y + 1 < height; y++) {
                for (int x = 0; x + 1 < width; x++) {
                    int here = regions.of(openings.cells().plane().numberAt(x, y));
                    for (int there : new int[] {
                        regions.of(openings.cells().plane().numberAt(x + 1, y)),
                        regions.of(openings.cells().plane().numberAt(x, y + 1))
                    }) {
                        note(beside, here, worn[there], worn);
                        note(beside, there, worn[here], worn);
                    }
                }
            }
            for (Map.Entry<Integer, Map<Integer, Integer>> each : beside.entrySet()) {
                worn[each.getKey()] = each.getValue().entrySet().stream()
                        .max(Map.Entry.comparingByValue())
                        .orElseThrow()
                        .getKey();
                isLeft = true;
            }
        }
    }

    private static void note(Map<Integer, Map<Integer, Integer>> beside, int region, int label, int[] worn) {
        if (worn[region] == 0 && label > 0) {
            beside.computeIfAbsent(region, any -> new HashMap<>()).merge(label, 1, Integer::sum);
        }
    }
}
