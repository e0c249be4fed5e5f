package stillpond.app.card;

import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.page.Downloads;
import stillpond.app.palette.Palettes;
import stillpond.core.colour.Cmyk;
import stillpond.core.colour.Srgb;
import stillpond.core.handon.OutputCsv;
import stillpond.core.handon.Printed;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;

/** A card for one way of putting it out: for a screen, for print, or as its spot inks. */
@Controller
@RequestMapping("/projects/{project}/cards/{card}")
class OutputController {

    private final Palettes palettes;
    private final PrintConditions conditions;

    OutputController(Palettes palettes, PrintConditions conditions) {
        this.palettes = palettes;
        this.conditions = conditions;
    }

    /**
     * A swatch as it is put out.
     *
     * @param comes the colour that comes of it
     * @param values what the device is told
     * @param isHatched whether it cannot be put out so
     */
    record Put(String name, String screen, String comes, String values, boolean isHatched) {}

    @GetMapping("/outputs")
    String outputs(
            @PathVariable UUID project,
            @PathVariable UUID card,
            @RequestParam(defaultValue = "SCREEN") OutputCsv as,
            Model model) {
        Palette palette = palettes.of(project);
        List<Printed> swatches = Printed.of(palette.card(card).orElseThrow(), palette, conditions.of(project));
        model.addAttribute("at", "/projects/" + project + "/cards/" + card);
        model.addAttribute("as", as);
        model.addAttribute("condition", conditions.titleOf(project));
        model.addAttribute(
                "spots",
                swatches.stream().filter(each -> each.spot().isPresent()).count());
        model.addAttribute(
                "put",
                swatches.stream()
                        .filter(each -> as != OutputCsv.SPOTS || each.spot().isPresent())
                        .map(each -> put(each, as))
                        .toList());
        return "card/outputs :: outputs";
    }

    private static Put put(Printed swatch, OutputCsv as) {
        Srgb screen = swatch.screen();
        return switch (as) {
            case SCREEN ->
                new Put(
                        swatch.name(),
                        screen.hex(),
                        screen.hex(),
                        screen.red() + ", " + screen.green() + ", " + screen.blue(),
                        false);
            case PRINT ->
                new Put(
                        swatch.name(),
                        screen.hex(),
                        swatch.paper().orElse(screen).hex(),
                        swatch.inks().map(OutputController::percents).orElse("not known"),
                        !swatch.isPrintable());
            case SPOTS ->
                new Put(swatch.name(), screen.hex(), screen.hex(), swatch.spot().orElse(""), false);
        };
    }

    private static String percents(Cmyk inks) {
        return String.format(
                Locale.ROOT,
                "%.0f, %.0f, %.0f, %.0f %%",
                100 * inks.cyan(),
                100 * inks.magenta(),
                100 * inks.yellow(),
                100 * inks.black());
    }

    @GetMapping("/output/{output}")
    ResponseEntity<byte[]> output(@PathVariable UUID project, @PathVariable UUID card, @PathVariable OutputCsv output) {
        Palette palette = palettes.of(project);
        Card present = palette.card(card).orElseThrow();
        return Downloads.file(
                        present.name() + " - " + output.name().toLowerCase(Locale.ROOT),
                        CardForm.CSV.ending(),
                        CardForm.CSV.type())
                .body(output.write(Printed.of(present, palette, conditions.of(project))));
    }
}
