package stillpond.bench.carry;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.IntStream;
import stillpond.bench.carry.PlantedFault.Kind;
import stillpond.bench.flats.DemoTruth;
import stillpond.core.carry.MutualLikes;
import stillpond.core.cell.CellPlane;
import stillpond.core.check.Finding;
import stillpond.core.check.SheetCheck;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Regions;
import stillpond.core.ledger.PartsOnSheet;
import stillpond.core.ledger.PartsTable;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Plants faults in the demo's book, one at a time, and counts which of them the check, the table of parts and the other sheets bring to light; and what they complain of where nothing is wrong. */
final class FaultBench {

    private static final List<String> MODELS = List.of("modelJuniper", "modelBram", "modelKettle", "modelSorrel");
    private static final List<List<String>> SCENES = List.of(
            List.of("morningPost", "panniers"),
            List.of("crossing", "farewell", "willNotBudge"),
            List.of("lanternIsLit", "upTheHill", "atTheDoor"));
    private static final int FAULTS = 60;
    private static final int SMALL_PX = 960;
    /** Small enough to be looked over, large enough to be clicked. */
    private static final double LEAST_AREA = 1.5e-4;

    private static final UUID LOOSE = new UUID(9, 1);
    private static final UUID TWIN = new UUID(9, 2);

    private final List<String> names;
    private final Map<String, LaidPage> pages = new TreeMap<>();
    private final List<UUID> swatches;
    private final Palette palette;
    /** By sheet and region: what sure likes on other sheets wear. */
    private final Map<String, Map<Integer, Set<Integer>>> said = new HashMap<>();

    private FaultBench(Path art) throws IOException {
        names = DemoTruth.swatches(art);
        swatches = IntStream.range(0, names.size())
                .mapToObj(i -> new UUID(1, i + 1))
                .toList();
        palette = palette(art);
        for (String name : allSheets()) {
            pages.put(name, LaidPage.read(art, name));
        }
        for (List<String> scene : SCENES) {
            for (String sheet : scene) {
                said.put(sheet, said(scene, sheet));
            }
        }
    }

    private static List<String> allSheets() {
        List<String> all = new ArrayList<>(MODELS);
        SCENES.forEach(all::addAll);
        return all;
    }

    private Palette palette(Path art) throws IOException {
        Map<String, List<Swatch>> cards = new TreeMap<>();
        Map<String, Srgb> colours = new HashMap<>();
        for (JsonNode card : JsonMapper.shared()
                .readTree(Files.readString(art.resolve("demo/book.json")))
                .path("cards")) {
            for (JsonNode swatch : card.path("swatches")) {
                colours.put(
                        card.path("name").asString() + "/" + swatch.path("name").asString(),
                        Srgb.ofHex(swatch.path("colour").asString()));
            }
        }
        for (int i = 0; i < names.size(); i++) {
            String[] parts = names.get(i).split("/");
            cards.computeIfAbsent(parts[0], any -> new ArrayList<>())
                    .add(new Swatch(swatches.get(i), parts[1], colours.get(names.get(i))));
        }
        List<Card> all = new ArrayList<>();
        cards.forEach((name, own) -> all.add(new Card(new UUID(2, all.size()), name, "", own)));
        return new Palette(all);
    }

    private Map<Integer, Set<Integer>> said(List<String> scene, String sheet) {
        Map<Integer, Set<Integer>> found = new TreeMap<>();
        List<String> sources = new ArrayList<>(MODELS);
        scene.stream().filter(each -> !each.equals(sheet)).forEach(sources::add);
        for (String source : sources) {
            MutualLikes.between(pages.get(source).asSource(), pages.get(sheet).drawing())
                    .forEach(proposal -> found.computeIfAbsent(proposal.region(), any -> new TreeSet<>())
                            .add(proposal.choices().get(0).label()));
        }
        return found;
    }

    public static void main(String[] args) throws IOException {
        FaultBench bench = new FaultBench(Path.of(args[0]));
        bench.report();
    }

    private void report() {
        Map<Kind, int[]> counts = new EnumMap<>(Kind.class);
        Random random = new Random(20);
        List<String> sheets = said.keySet().stream().sorted().toList();
        Map<String, Set<String>> clean = new HashMap<>();
        sheets.forEach(sheet -> clean.put(sheet, complaints(sheet, Optional.empty())));
        for (int i = 0; i < FAULTS; ) {
            String sheet = sheets.get(random.nextInt(sheets.size()));
            Kind kind = Kind.values()[i % Kind.values().length];
            Optional<PlantedFault> fault = plant(pages.get(sheet), kind, random);
            if (fault.isPresent()) {
                Set<String> found = complaints(sheet, fault);
                found.removeAll(clean.get(sheet));
                int[] count = counts.computeIfAbsent(kind, any -> new int[2]);
                count[0]++;
                count[1] += found.isEmpty() ? 0 : 1;
                i++;
            }
        }
        counts.forEach(
                (kind, count) -> System.out.printf("%-32s %2d planted, %2d found%n", kind.words(), count[0], count[1]));
        int found = counts.values().stream().mapToInt(count -> count[1]).sum();
        System.out.printf("%-32s %2d planted, %2d found: %.2f%n", "all", FAULTS, found, found / (double) FAULTS);
        clean.forEach((sheet, complaints) -> System.out.printf(
                "%-16s %2d complaints where nothing is wrong %s%n", sheet, complaints.size(), complaints));
    }

    private Optional<PlantedFault> plant(LaidPage page, Kind kind, Random random) {
        List<Integer> regions = IntStream.range(0, page.wanted().length)
                .filter(region -> page.wanted()[region] > 0)
                .filter(region -> page.area(region)
                        > LEAST_AREA
                                * page.openings().cells().plane().widthPx()
                                * page.openings().cells().plane().heightPx())
                .filter(region -> !page.reachesEdge(region))
                .boxed()
                .toList();
        int region = regions.get(random.nextInt(regions.size()));
        Card card = palette.cardOf(swatch(page, region)).orElseThrow();
        List<Integer> cells = page.cellsOf().get(region);
        return switch (kind) {
            case SAME_CARD -> other(card, swatch(page, region), random).map(each -> wearing(kind, cells, each, null));
            case OTHER_CARD -> {
                List<Card> others = palette.cards().stream()
                        .filter(each -> !each.id().equals(card.id()))
                        .toList();
                yield other(others.get(random.nextInt(others.size())), null, random)
                        .map(each -> wearing(kind, cells, each, each));
            }
            case NEAR_TWIN -> Optional.of(wearing(kind, cells, TWIN, TWIN));
            case LOOSE -> Optional.of(wearing(kind, cells, LOOSE, LOOSE));
            case MISSED -> {
                Map<Integer, Fill> nothing = new HashMap<>();
                cells.forEach(cell -> nothing.put(cell, Fill.NONE));
                yield Optional.of(new PlantedFault(kind, nothing, Set.of(), cells, null));
            }
            case SWAPPED -> swapped(page, regions, region, card, random);
            case RAN_OUT -> ranOut(page, region);
        };
    }

    private UUID swatch(LaidPage page, int region) {
        return swatches.get(page.wanted()[region] - 1);
    }

    private static Optional<UUID> other(Card card, UUID than, Random random) {
        List<UUID> others = card.swatches().stream()
                .map(Swatch::id)
                .filter(each -> !each.equals(than))
                .toList();
        return others.isEmpty() ? Optional.empty() : Optional.of(others.get(random.nextInt(others.size())));
    }

    private static PlantedFault wearing(Kind kind, List<Integer> cells, UUID swatch, UUID put) {
        Map<Integer, Fill> fills = new HashMap<>();
        cells.forEach(cell -> fills.put(cell, Fill.flat(swatch)));
        return new PlantedFault(kind, fills, Set.of(), cells, put);
    }

    private Optional<PlantedFault> swapped(LaidPage page, List<Integer> regions, int region, Card card, Random random) {
        List<Integer> partners = regions.stream()
                .filter(each -> page.wanted()[each] != page.wanted()[region])
                .filter(each -> palette.cardOf(swatch(page, each))
                        .filter(own -> own.id().equals(card.id()))
                        .isPresent())
                .toList();
        if (partners.isEmpty()) {
            return Optional.empty();
        }
        int partner = partners.get(random.nextInt(partners.size()));
        List<Integer> cells = new ArrayList<>(page.cellsOf().get(region));
        Map<Integer, Fill> fills = new HashMap<>();
        cells.forEach(cell -> fills.put(cell, Fill.flat(swatch(page, partner))));
        page.cellsOf().get(partner).forEach(cell -> fills.put(cell, Fill.flat(swatch(page, region))));
        cells.addAll(page.cellsOf().get(partner));
        return Optional.of(new PlantedFault(Kind.SWAPPED, fills, Set.of(), cells, null));
    }

    /** Through an opening that is dammed, into a region that reaches the edge of the page. */
    private Optional<PlantedFault> ranOut(LaidPage page, int region) {
        List<Opening> openings = page.openings().openings();
        for (int index : page.regions().openingsAt(region)) {
            Opening opening = openings.get(index);
            int one = page.regions().of(opening.first());
            int other = page.regions().of(opening.second());
            int outside = one == region ? other : one;
            if (one != other && page.reachesEdge(outside)) {
                List<Integer> cells = page.cellsOf().get(outside);
                return Optional.of(new PlantedFault(
                        Kind.RAN_OUT,
                        wearing(Kind.RAN_OUT, cells, swatch(page, region), null).fills(),
                        Set.of(index),
                        page.cellsOf().get(region),
                        null));
            }
        }
        return Optional.empty();
    }

    /** Everything that is said of a sheet, in the words of this benchmark. */
    private Set<String> complaints(String sheet, Optional<PlantedFault> fault) {
        LaidPage page = pages.get(sheet);
        Map<Integer, Fill> worn = new HashMap<>();
        Fills right = page.fills(swatches);
        page.cellsOf().values().forEach(cells -> cells.forEach(cell -> worn.put(cell, right.of(cell))));
        fault.ifPresent(each -> worn.putAll(each.fills()));
        worn.values().removeIf(Fill.NONE::equals);
        Fills fills = Fills.of(worn);
        Dams dams = fault.map(each -> page.dams().opening(each.opened())).orElse(page.dams());
        Regions regions = Regions.of(page.openings(), dams);
        Palette known = known(fault, page);
        Set<String> complaints = new TreeSet<>();
        for (Finding finding : SheetCheck.of(page.openings(), regions, fills, known, List.of())) {
            complaints.add(finding.key());
        }
        complaints.addAll(table(sheet, fills, regions, known));
        said.get(sheet).forEach((region, labels) -> {
            List<Integer> filled = page.cellsOf().get(region).stream()
                    .filter(cell -> !fills.of(cell).equals(Fill.NONE))
                    .toList();
            boolean isWornElsewhere = filled.stream()
                    .anyMatch(cell -> labels.stream()
                            .anyMatch(label -> fills.of(cell).equals(Fill.flat(swatches.get(label - 1)))));
            if (!filled.isEmpty() && !isWornElsewhere) {
                complaints.add("unlike others " + region);
            }
        });
        return complaints;
    }

    /** With the swatch that a fault brought: a loose one, or one that is hardly unlike the one that is meant, on the same card. */
    private Palette known(Optional<PlantedFault> fault, LaidPage page) {
        if (fault.isEmpty() || fault.get().swatch() == null) {
            return palette;
        }
        List<Card> cards = new ArrayList<>(palette.cards());
        if (LOOSE.equals(fault.get().swatch())) {
            Swatch loose = new Swatch(LOOSE, "Tried", Srgb.ofHex("#7fb069"));
            cards.add(new Card(LOOSE, "Loose", "", Card.Kind.LOOSE, false, List.of(loose)));
        } else if (TWIN.equals(fault.get().swatch())) {
            UUID meant = swatch(page, page.regions().of(fault.get().cells().get(0)));
            Card card = palette.cardOf(meant).orElseThrow();
            Srgb colour = palette.colourOf(meant).orElseThrow();
            Srgb near = new Srgb(nearly(colour.red()), nearly(colour.green()), nearly(colour.blue()));
            List<Swatch> own = new ArrayList<>(card.swatches());
            own.add(new Swatch(TWIN, "Twin", near));
            cards.replaceAll(each -> each.id().equals(card.id()) ? new Card(card.id(), card.name(), "", own) : each);
        }
        return new Palette(cards);
    }

    private static int nearly(int channel) {
        return channel < 128 ? channel + 4 : channel - 4;
    }

    private Set<String> table(String sheet, Fills fills, Regions regions, Palette known) {
        List<String> all = allSheets();
        List<PartsTable.Column> columns = new ArrayList<>();
        for (String each : all) {
            LaidPage page = pages.get(each);
            boolean isMeant = each.equals(sheet);
            columns.add(new PartsTable.Column(
                    new UUID(3, all.indexOf(each)),
                    new UUID(4, scene(each)),
                    PartsOnSheet.of(
                            small(page.openings().cells().plane()),
                            (isMeant ? regions : page.regions()).ofCells(),
                            isMeant ? fills : page.fills(swatches),
                            Optional.empty(),
                            known),
                    known));
        }
        int at = all.indexOf(sheet);
        Set<String> marks = new HashSet<>();
        for (PartsTable.Row row : PartsTable.of(columns, known, known.cards()).rows()) {
            PartsTable.Entry entry = row.entries().get(at);
            if (entry.mark() != PartsTable.Mark.NOTHING) {
                marks.add(entry.mark() + " " + row.swatch().name() + " "
                        + row.among().map(Card::name).orElse(""));
            }
        }
        return marks;
    }

    private static int scene(String sheet) {
        return IntStream.range(0, SCENES.size())
                .filter(i -> SCENES.get(i).contains(sheet))
                .findFirst()
                .orElse(-1);
    }

    private static CellPlane small(CellPlane plane) {
        double scale = Math.max(1, Math.max(plane.widthPx(), plane.heightPx()) / (double) SMALL_PX);
        int width = (int) (plane.widthPx() / scale);
        int height = (int) (plane.heightPx() / scale);
        int[] numbers = new int[width * height];
        Arrays.setAll(
                numbers, i -> plane.numberAt((int) ((i % width + 0.5) * scale), (int) ((i / width + 0.5) * scale)));
        return new CellPlane(width, height, numbers);
    }
}
