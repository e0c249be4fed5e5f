package stillpond.app.desk;

import jakarta.validation.Valid;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.account.SignedIn;
import stillpond.app.history.ShadowText;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.LayerShadows;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.fill.Fill;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Shadow;
import stillpond.core.shadow.Shadows;

/** The shadows and rims of the sheet on the desk. What they wear is changed as fills of cells are, by {@link DeskCalls}. */
@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}/shadows")
class ShadowController {

    private final Sheets sheets;
    private final LayerShadows shadows;
    private final Palettes palettes;

    ShadowController(Sheets sheets, LayerShadows shadows, Palettes palettes) {
        this.sheets = sheets;
        this.shadows = shadows;
        this.palettes = palettes;
    }

    /** From back to front. */
    @GetMapping
    List<ShadowText> shadows(@PathVariable UUID project, @PathVariable UUID sheet, @RequestParam Optional<UUID> layer) {
        return texts(shadows.of(sheets.get(project, sheet, layer).layer().id()));
    }

    @PostMapping
    List<ShadowText> change(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid ShadowMessage message) {
        return texts(change(sheets.get(project, sheet, layer), person.id(), message));
    }

    private Shadows change(Sheet sheet, UUID author, ShadowMessage message) {
        if (message instanceof ShadowMessage.Add add) {
            Map<Integer, Fill> worn = new HashMap<>();
            List<Shadow> added = new ArrayList<>();
            add.shadows().forEach(each -> {
                added.add(on(sheet.layer(), add.layer(), each.shadow()));
                worn.put(each.shadow().number(), worn(sheet, each.fill()));
            });
            String words = "Laid " + (added.size() == 1 ? said(added.get(0)) : added.size() + " shadows");
            return shadows.change(sheet, author, words, all -> all.addingAll(added), worn);
        }
        if (message instanceof ShadowMessage.Change change) {
            Shadow shadow = on(sheet.layer(), change.layer(), change.shadow());
            return shadows.change(sheet, author, "Changed " + said(shadow), all -> all.changing(shadow), Map.of());
        }
        if (message instanceof ShadowMessage.Remove remove) {
            return shadows.change(sheet, author, "Took a shadow away", all -> all.without(remove.number()), Map.of());
        }
        if (message instanceof ShadowMessage.Move move) {
            String where = move.by() > 0 ? "forward" : "back";
            return shadows.change(
                    sheet, author, "Moved a shadow " + where, all -> all.moving(move.number(), move.by()), Map.of());
        }
        ShadowMessage.Strengthen all = (ShadowMessage.Strengthen) message;
        String words = "Made " + all.numbers().size() + (all.numbers().size() == 1 ? " shadow " : " shadows ")
                + (all.by() > 0 ? "stronger" : "weaker");
        return shadows.change(
                sheet, author, words, present -> present.strengthening(all.numbers(), all.by()), Map.of());
    }

    private static String said(Shadow shadow) {
        return (shadow.isRim() ? "the rim '" : "the shadow '") + shadow.name() + "'";
    }

    private static Shadow on(Layer present, UUID named, ShadowText text) {
        Shadow shadow = text.asShadow();
        if (!present.id().equals(named) || !present.hasCells(shadow.base().named())) {
            throw new Refusal(
                    "This sheet was analysed anew meanwhile; nothing was changed. Look at it as it is now, and do it again.");
        }
        return shadow;
    }

    private Fill worn(Sheet sheet, String text) {
        Fill fill = Fill.ofText(text);
        if (!fill.isOneSwatchOrNone()) {
            throw new Refusal("Shadows wear one swatch, wholly: no gradient, no pattern, no opacity.");
        }
        if (!palettes.of(sheet.project()).hasAll(fill.swatches())) {
            throw new Refusal("This swatch is on none of the project's cards any more.");
        }
        return fill;
    }

    private static List<ShadowText> texts(Shadows shadows) {
        return shadows.all().stream().map(ShadowText::of).toList();
    }
}
