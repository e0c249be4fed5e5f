package stillpond.app.ledger;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.palette.CardView;
import stillpond.app.palette.CardView.SwatchView;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.sheet.Counted;
import stillpond.app.sheet.WornSwatches;
import stillpond.core.ledger.ColourOrder;
import stillpond.core.ledger.NearTwins;
import stillpond.core.refusal.Refusal;

/** The ledger of a project: every colour in use, and those that are hard to tell apart. */
@Controller
class LedgerController {

    private final Projects projects;
    private final Palettes palettes;
    private final WornSwatches worn;

    LedgerController(Projects projects, Palettes palettes, WornSwatches worn) {
        this.projects = projects;
        this.palettes = palettes;
        this.worn = worn;
    }

    /** A sheet that wears a colour. */
    public record Place(UUID sheet, String title, long regions, long strokes, long shadows) {}

    /**
     * A colour on a card, and how much wears it.
     *
     * @param share of all the sheets looked at, 0 to 1
     */
    public record Row(SwatchView swatch, String card, UUID cardId, boolean loose, double share, List<Place> places) {
        public long regions() {
            return places.stream().mapToLong(Place::regions).sum();
        }

        /** How much wears it, in words. */
        public String counted() {
            return Counted.of(
                    regions(),
                    places.stream().mapToLong(Place::strokes).sum(),
                    places.stream().mapToLong(Place::shadows).sum());
        }

        ColourOrder.Row forOrder(int placeOfCard) {
            return new ColourOrder.Row(swatch.name(), placeOfCard, swatch.colour(), share, regions());
        }
    }

    /** Two colours that are hard to tell apart. @param difference CIEDE2000 */
    public record Twins(Row first, Row second, double difference) {}

    /** @param scene only what this scene wears; left out: the whole project */
    @GetMapping("/projects/{project}/ledger")
    String ledger(
            @PathVariable UUID project,
            @RequestParam Optional<UUID> scene,
            @RequestParam(defaultValue = "COUNT") ColourOrder order,
            @RequestParam(defaultValue = "2.3") double threshold,
            Model model) {
        if (!(threshold > 0 && threshold <= 20)) {
            throw new Refusal("Twins are found up to a difference of 20.");
        }
        List<WornSwatches.Use> uses = worn.inUse(project, scene);
        long sheets = Math.max(
                1, uses.stream().map(WornSwatches.Use::sheet).distinct().count());
        List<Row> rows = rows(project, scene, uses, sheets);
        model.addAttribute("project", projects.get(project));
        model.addAttribute("scenes", projects.scenes(project));
        model.addAttribute("scene", scene.orElse(null));
        model.addAttribute("twins", twins(rows, threshold));
        model.addAttribute("rows", sorted(rows, order));
        model.addAttribute("made", made(worn.madeInUse(project, scene), rows, sheets));
        model.addAttribute("order", order);
        model.addAttribute("threshold", threshold);
        return "ledger/ledger";
    }

    private List<Row> rows(UUID project, Optional<UUID> scene, List<WornSwatches.Use> all, long sheets) {
        Map<UUID, List<WornSwatches.Use>> uses = all.stream().collect(Collectors.groupingBy(WornSwatches.Use::swatch));
        List<Row> rows = new ArrayList<>();
        for (CardView card : CardView.of(palettes.of(project))) {
            for (SwatchView swatch : card.swatches()) {
                List<WornSwatches.Use> use = uses.getOrDefault(swatch.id(), List.of());
                boolean isAskedFor = !use.isEmpty() || scene.isEmpty() && !card.isNeutral();
                if (isAskedFor) {
                    rows.add(new Row(swatch, card.name(), card.id(), card.isLoose(), share(use) / sheets, places(use)));
                }
            }
        }
        return rows;
    }

    /** Gradients and patterns of some swatches. */
    public record MadeRow(List<Row> of, double share, long regions, List<Place> places) {

        public String name() {
            return of.stream().map(row -> row.swatch().name()).collect(Collectors.joining(" and "));
        }
    }

    private static List<MadeRow> made(List<WornSwatches.MadeUse> all, List<Row> rows, long sheets) {
        Map<UUID, Row> bySwatch =
                rows.stream().collect(Collectors.toMap(row -> row.swatch().id(), row -> row));
        return all.stream()
                .collect(Collectors.groupingBy(WornSwatches.MadeUse::swatches, LinkedHashMap::new, Collectors.toList()))
                .entrySet()
                .stream()
                .filter(each -> bySwatch.keySet().containsAll(each.getKey()))
                .map(each -> new MadeRow(
                        each.getKey().stream().map(bySwatch::get).toList(),
                        each.getValue().stream()
                                        .mapToDouble(WornSwatches.MadeUse::share)
                                        .sum()
                                / sheets,
                        each.getValue().stream()
                                .mapToLong(WornSwatches.MadeUse::regions)
                                .sum(),
                        each.getValue().stream()
                                .map(use -> new Place(use.sheet(), use.title(), use.regions(), 0, 0))
                                .toList()))
                .sorted(Comparator.comparingDouble((MadeRow row) -> -row.share()))
                .toList();
    }

    private static double share(List<WornSwatches.Use> uses) {
        return uses.stream().mapToDouble(WornSwatches.Use::share).sum();
    }

    private static List<Place> places(List<WornSwatches.Use> uses) {
        return uses.stream()
                .map(use -> new Place(use.sheet(), use.title(), use.regions(), use.strokes(), use.shadows()))
                .toList();
    }

    private static List<Row> sorted(List<Row> rows, ColourOrder order) {
        List<UUID> cards = rows.stream().map(Row::cardId).distinct().toList();
        return rows.stream()
                .sorted(Comparator.comparing(row -> row.forOrder(cards.indexOf(row.cardId())), order.comparator()))
                .toList();
    }

    private static List<Twins> twins(List<Row> rows, double threshold) {
        return NearTwins.amongNamed(
                        rows.stream()
                                .map(row -> new NearTwins.Named(
                                        row.swatch().name(), row.swatch().colour()))
                                .toList(),
                        threshold)
                .stream()
                .map(pair -> new Twins(rows.get(pair.first()), rows.get(pair.second()), pair.difference()))
                .toList();
    }
}
