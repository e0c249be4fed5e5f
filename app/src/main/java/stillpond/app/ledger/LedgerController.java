package stillpond.app.ledger;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
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
import stillpond.app.sheet.WornSwatches;
import stillpond.core.colour.Oklch;
import stillpond.core.ledger.NearTwins;

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

    /** A colour on a card, and how much wears it. */
    public record Row(SwatchView swatch, String card, UUID cardId, boolean loose, long regions, long sheets) {}

    /** Two colours that are hard to tell apart. @param difference CIEDE2000 */
    public record Twins(Row first, Row second, double difference) {}

    /** What the rows are sorted by. */
    enum Order {
        CARD,
        HUE,
        LIGHTNESS,
        COUNT
    }

    @GetMapping("/projects/{project}/ledger")
    String ledger(
            @PathVariable UUID project,
            @RequestParam(defaultValue = "COUNT") Order order,
            @RequestParam(defaultValue = "2.3") double threshold,
            Model model) {
        if (!(threshold > 0 && threshold <= 20)) {
            throw new IllegalArgumentException("Twins are found up to a difference of 20.");
        }
        List<Row> rows = rows(project);
        model.addAttribute("project", projects.get(project));
        model.addAttribute("twins", twins(rows, threshold));
        model.addAttribute("rows", sorted(rows, order));
        model.addAttribute("order", order);
        model.addAttribute("threshold", threshold);
        return "ledger/ledger";
    }

    private List<Row> rows(UUID project) {
        Map<UUID, WornSwatches.Use> uses =
                worn.inUse(project).stream().collect(Collectors.toMap(WornSwatches.Use::swatch, Function.identity()));
        List<Row> rows = new ArrayList<>();
        for (CardView card : CardView.of(palettes.of(project))) {
            for (SwatchView swatch : card.swatches()) {
                WornSwatches.Use use = uses.getOrDefault(swatch.id(), new WornSwatches.Use(swatch.id(), 0, 0));
                if (!card.isNeutral() || use.regions() > 0) {
                    rows.add(new Row(swatch, card.name(), card.id(), card.isLoose(), use.regions(), use.sheets()));
                }
            }
        }
        return rows;
    }

    private static List<Row> sorted(List<Row> rows, Order order) {
        Comparator<Row> by = switch (order) {
            case CARD -> Comparator.comparing(row -> 0);
            case HUE ->
                Comparator.comparingDouble(
                        row -> Oklch.of(row.swatch().colour()).hue());
            case LIGHTNESS ->
                Comparator.comparingDouble(
                        row -> -Oklch.of(row.swatch().colour()).lightness());
            case COUNT -> Comparator.comparingLong(row -> -row.regions());
        };
        return rows.stream().sorted(by).toList();
    }

    private static List<Twins> twins(List<Row> rows, double threshold) {
        return NearTwins.among(rows.stream().map(row -> row.swatch().colour()).toList(), threshold).stream()
                .map(pair -> new Twins(rows.get(pair.first()), rows.get(pair.second()), pair.difference()))
                .toList();
    }
}
