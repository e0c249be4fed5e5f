package stillpond.bench.flats;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.imageio.ImageIO;

/** Cases as files: NAME.line.png, NAME.truth.png (16-bit labels) and NAME.json. */
public final class CaseFiles {

    private static final String LINE = ".line.png";
    private static final Pattern REGION = Pattern.compile("\\{[^}]*}");

    private CaseFiles() {}

    static void write(Path folder, Case drawn) throws IOException {
        Files.createDirectories(folder);
        ImageIO.write(drawn.line(), "png", folder.resolve(drawn.name() + LINE).toFile());
        BufferedImage truth = new BufferedImage(drawn.width(), drawn.height(), BufferedImage.TYPE_USHORT_GRAY);
        truth.getRaster().setSamples(0, 0, drawn.width(), drawn.height(), 0, drawn.truth());
        ImageIO.write(truth, "png", folder.resolve(drawn.name() + ".truth.png").toFile());
        Files.writeString(
                folder.resolve(drawn.name() + ".json"),
                drawn.regions().stream()
                        .map(region -> String.format(
                                Locale.ROOT,
                                "{\"id\": %d, \"area\": %d, \"support\": %.4f, \"x\": %d, \"y\": %d, \"r\": %.1f}",
                                region.id(),
                                region.area(),
                                region.support(),
                                region.x(),
                                region.y(),
                                region.r()))
                        .collect(Collectors.joining(",\n ", "[", "]\n")));
    }

    public static List<String> names(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(file -> file.getFileName().toString())
                    .filter(name -> name.endsWith(LINE))
                    .map(name -> name.substring(0, name.length() - LINE.length()))
                    .sorted()
                    .toList();
        }
    }

    public static Case read(Path folder, String name) throws IOException {
        BufferedImage line = ImageIO.read(folder.resolve(name + LINE).toFile());
        BufferedImage truth = ImageIO.read(folder.resolve(name + ".truth.png").toFile());
        int[] labels = truth.getRaster().getSamples(0, 0, truth.getWidth(), truth.getHeight(), 0, (int[]) null);
        List<Case.TruthRegion> regions = new ArrayList<>();
        String json = Files.readString(folder.resolve(name + ".json"));
        for (MatchResult region : REGION.matcher(json).results().toList()) {
            regions.add(new Case.TruthRegion(
                    (int) number(region.group(), "id"),
                    (int) number(region.group(), "area"),
                    number(region.group(), "support"),
                    (int) number(region.group(), "x"),
                    (int) number(region.group(), "y"),
                    number(region.group(), "r")));
        }
        return new Case(name, line, labels, regions);
    }

    private static double number(String json, String field) {
        var matcher = Pattern.compile("\"" + field + "\"\\s*:\\s*([-0-9.eE+]+)").matcher(json);
        if (!matcher.find()) {
            throw new IllegalArgumentException("A region has no " + field + ": " + json);
        }
        return Double.parseDouble(matcher.group(1));
    }
}
