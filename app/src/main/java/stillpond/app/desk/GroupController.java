package stillpond.app.desk;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.account.SignedIn;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.LayerGroups;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.Refusal;
import stillpond.core.fill.Fills;
import stillpond.core.ledger.CellGroup;
import stillpond.core.ledger.CellGroups;
import stillpond.core.palette.Palette;

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

    /** What is done to groups. */
    enum Act {
        /** A group of {@code cells} called {@code name}. */
        MAKE,
        /** One for each colour that is in none yet. */
        FOR_EACH_COLOUR,
        RENAME,
        /** Hidden if {@code by} is 1, shown if 0. */
        HIDE,
        /** Locked if {@code by} is 1, open if 0. */
        LOCK,
        /** So many places towards the back. */
        MOVE,
        REMOVE
    }

    /** Which fields it has depends on the act. */
    record GroupMessage(@NotNull Act act, UUID group, String name, List<Integer> cells, int by) {}

    @GetMapping
    List<CellGroup> groups(@PathVariable UUID project, @PathVariable UUID sheet) {
        return groups.of(sheets.get(project, sheet).frontLayer().id()).groups();
    }

    @PostMapping
    List<CellGroup> change(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid GroupMessage message) {
        Sheet present = sheets.get(project, sheet);
        return groups.change(present, person.id(), words(message.act()), act(present, message))
                .groups();
    }

    private static String words(Act act) {
        return switch (act) {
            case MAKE -> "Made a group";
            case FOR_EACH_COLOUR -> "Made a group for each colour";
            case RENAME -> "Renamed a group";
            case HIDE -> "Hid or showed a group";
            case LOCK -> "Locked or unlocked a group";
            case MOVE -> "Moved a group";
            case REMOVE -> "Took a group apart";
        };
    }

    private UnaryOperator<CellGroups> act(Sheet sheet, GroupMessage message) {
        UUID id = message.group();
        boolean isOn = message.by() == 1;
        return switch (message.act()) {
            case MAKE -> {
                if (message.cells() == null || !sheet.frontLayer().hasCells(message.cells())) {
                    throw new Refusal("The line art has no such regions any more.");
                }
                yield all -> all.making(UUID.randomUUID(), message.name(), message.cells());
            }
            case FOR_EACH_COLOUR -> {
                Layer layer = sheet.frontLayer();
                Fills fills = sheets.fills(layer);
                Palette palette = palettes.of(sheet.project());
                yield all -> all.forEachColour(fills, layer.cellCount(), palette);
            }
            case RENAME -> all -> all.changing(id, group -> group.named(message.name()));
            case HIDE -> all -> all.changing(id, group -> group.hidden(isOn));
            case LOCK -> all -> all.changing(id, group -> group.locked(isOn));
            case MOVE -> all -> all.moving(id, message.by());
            case REMOVE -> all -> all.without(id);
        };
    }
}
