package stillpond.app.desk;

import jakarta.validation.Valid;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.account.SignedIn;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.LayerGroups;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.fill.Fills;
import stillpond.core.ledger.CellGroup;
import stillpond.core.ledger.CellGroups;
import stillpond.core.palette.Palette;
import stillpond.core.refusal.Refusal;

/** The groups of the sheet on the desk. */
@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}/groups")
class GroupController {

    private final Sheets sheets;
    private final LayerGroups groups;
    private final Palettes palettes;

    GroupController(Sheets sheets, LayerGroups groups, Palettes palettes) {
        this.sheets = sheets;
        this.groups = groups;
        this.palettes = palettes;
    }

    @GetMapping
    List<CellGroup> groups(@PathVariable UUID project, @PathVariable UUID sheet, @RequestParam Optional<UUID> layer) {
        return groups.of(sheets.get(project, sheet, layer).layer().id()).groups();
    }

    @PostMapping
    List<CellGroup> change(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid GroupMessage message) {
        Sheet present = sheets.get(project, sheet, layer);
        return groups.change(present, person.id(), message.words(), act(present, message))
                .groups();
    }

    private UnaryOperator<CellGroups> act(Sheet sheet, GroupMessage message) {
        if (message instanceof GroupMessage.Make make) {
            if (!sheet.layer().hasCells(make.cells())) {
                throw new Refusal("The line art has no such regions any more.");
            }
            return all -> all.making(UUID.randomUUID(), make.name(), make.cells());
        }
        if (message instanceof GroupMessage.ForEachColour) {
            Layer layer = sheet.layer();
            Fills fills = sheets.fills(layer);
            Palette palette = palettes.of(sheet.project());
            return all -> all.forEachColour(fills, layer.cellCount(), palette);
        }
        if (message instanceof GroupMessage.Rename rename) {
            return all -> all.changing(rename.group(), group -> group.named(rename.name()));
        }
        if (message instanceof GroupMessage.Hide hide) {
            return all -> all.changing(hide.group(), group -> group.hidden(hide.hides()));
        }
        if (message instanceof GroupMessage.Lock lock) {
            return all -> all.changing(lock.group(), group -> group.locked(lock.locks()));
        }
        if (message instanceof GroupMessage.Move move) {
            return all -> all.moving(move.group(), move.by());
        }
        UUID removed = ((GroupMessage.Remove) message).group();
        return all -> all.without(removed);
    }
}
