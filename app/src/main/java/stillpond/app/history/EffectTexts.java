package stillpond.app.history;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import stillpond.core.blockin.Reference;
import stillpond.core.cell.Box;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Swap;
import stillpond.core.ledger.CellGroups;
import stillpond.core.palette.CardsChange;
import stillpond.core.render.Meeting;
import stillpond.core.shadow.Shadow;
import stillpond.core.shadow.Shadows;
import stillpond.core.stack.Stack;
import stillpond.core.stack.Standing;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Effects as rows of the log, and back. docs/formats.md describes the texts. */
@Component
class EffectTexts {

    private static final TypeReference<TreeMap<String, String>> ENTRIES = new TypeReference<>() {};
    private static final TypeReference<TreeMap<UUID, UUID>> REPLACEMENTS = new TypeReference<>() {};
    private static final int[] NO_CELLS = {};
    private static final String[] NOTHING = {};

    private final JsonMapper json;

    EffectTexts(JsonMapper json) {
        this.json = json;
    }

    EffectRow row(Effect effect) {
        if (effect instanceof Effect.Filled filled) {
            List<Swap> swaps = filled.change().swaps();
            return new EffectRow(
                    EffectRow.Kind.FILLED,
                    filled.onSheet(),
                    filled.layer(),
                    null,
                    swaps.stream().mapToInt(Swap::place).toArray(),
                    swaps.stream().map(swap -> swap.before().text()).toArray(String[]::new),
                    swaps.stream().map(swap -> swap.after().text()).toArray(String[]::new));
        }
        if (effect instanceof Effect.Dammed dammed) {
            DamArrays dams = DamArrays.of(dammed.change());
            return new EffectRow(
                    EffectRow.Kind.DAMMED,
                    dammed.onSheet(),
                    dammed.layer(),
                    null,
                    dams.openings(),
                    dams.before(),
                    dams.after());
        }
        if (effect instanceof Effect.Recut recut) {
            return new EffectRow(
                    EffectRow.Kind.RECUT, recut.onSheet(), recut.after(), recut.before(), NO_CELLS, NOTHING, NOTHING);
        }
        if (effect instanceof Effect.Grouped grouped) {
            return new EffectRow(
                    EffectRow.Kind.GROUPED,
                    grouped.onSheet(),
                    grouped.layer(),
                    null,
                    NO_CELLS,
                    jsons(grouped.before()),
                    jsons(grouped.after()));
        }
        if (effect instanceof Effect.Shaded shaded) {
            return new EffectRow(
                    EffectRow.Kind.SHADED,
                    shaded.onSheet(),
                    shaded.layer(),
                    null,
                    NO_CELLS,
                    shadows(shaded.swaps().stream().map(Shadows.Swap::before)),
                    shadows(shaded.swaps().stream().map(Shadows.Swap::after)));
        }
        if (effect instanceof Effect.Stacked stacked) {
            return onSheet(EffectRow.Kind.STACKED, stacked.onSheet(), stack(stacked.before()), stack(stacked.after()));
        }
        if (effect instanceof Effect.Framed framed) {
            return onSheet(EffectRow.Kind.FRAMED, framed.onSheet(), sides(framed.before()), sides(framed.after()));
        }
        if (effect instanceof Effect.Referenced referenced) {
            return onSheet(
                    EffectRow.Kind.REFERENCED,
                    referenced.onSheet(),
                    jsons(referenced.before().stream().toArray()),
                    jsons(referenced.after().stream().toArray()));
        }
        if (effect instanceof Effect.Met met) {
            return onSheet(
                    EffectRow.Kind.MET,
                    met.onSheet(),
                    new String[] {met.before().name()},
                    new String[] {met.after().name()});
        }
        if (effect instanceof Effect.Cast cast) {
            return onSheet(EffectRow.Kind.CAST, cast.onSheet(), ids(cast.before()), ids(cast.after()));
        }
        if (effect instanceof Effect.Cards cards) {
            CardsChange change = cards.change();
            return onSheet(
                    EffectRow.Kind.CARDS,
                    null,
                    jsons(CardText.of(change.before())),
                    jsons(CardText.of(change.after()), change.instead()));
        }
        Effect.Staged staged = (Effect.Staged) effect;
        return onSheet(EffectRow.Kind.STAGED, null, jsons(staged.before()), jsons(staged.after()));
    }

    private static EffectRow onSheet(EffectRow.Kind kind, UUID sheet, String[] before, String[] after) {
        return new EffectRow(kind, sheet, null, null, NO_CELLS, before, after);
    }

    Effect effect(EffectRow row) {
        return switch (row.kind()) {
            case FILLED -> new Effect.Filled(row.sheetId(), row.layerId(), fills(row));
            case DAMMED ->
                new Effect.Dammed(
                        row.sheetId(), row.layerId(), new DamArrays(row.cells(), row.before(), row.after()).asChange());
            case RECUT -> new Effect.Recut(row.sheetId(), row.replaced(), row.layerId());
            case GROUPED -> new Effect.Grouped(row.sheetId(), row.layerId(), groups(row.before()), groups(row.after()));
            case SHADED -> new Effect.Shaded(row.sheetId(), row.layerId(), shadows(row.before(), row.after()));
            case STACKED -> new Effect.Stacked(row.sheetId(), stack(row.before()), stack(row.after()));
            case FRAMED -> new Effect.Framed(row.sheetId(), box(row.before()), box(row.after()));
            case REFERENCED -> new Effect.Referenced(row.sheetId(), reference(row.before()), reference(row.after()));
            case MET ->
                new Effect.Met(row.sheetId(), Meeting.valueOf(row.before()[0]), Meeting.valueOf(row.after()[0]));
            case CAST -> new Effect.Cast(row.sheetId(), uuids(row.before()), uuids(row.after()));
            case CARDS -> new Effect.Cards(cards(row));
            case STAGED -> new Effect.Staged(entries(row.before()), entries(row.after()));
        };
    }

    private static Change fills(EffectRow row) {
        List<Swap> swaps = new ArrayList<>();
        for (int i = 0; i < row.cells().length; i++) {
            swaps.add(new Swap(row.cells()[i], Fill.ofText(row.before()[i]), Fill.ofText(row.after()[i])));
        }
        return new Change(swaps);
    }

    private CardsChange cards(EffectRow row) {
        String[] after = row.after();
        return new CardsChange(
                CardText.placed(json.readValue(row.before()[0], CardText[].class)),
                CardText.placed(json.readValue(after[0], CardText[].class)),
                after.length > 1 ? json.readValue(after[1], REPLACEMENTS) : Map.of());
    }

    /** One by one, an empty text for what is not there. */
    private String[] shadows(Stream<Optional<Shadow>> shadows) {
        return shadows.map(each ->
                        each.map(ShadowText::of).map(json::writeValueAsString).orElse(""))
                .toArray(String[]::new);
    }

    private List<Shadows.Swap> shadows(String[] before, String[] after) {
        List<Shadows.Swap> swaps = new ArrayList<>();
        for (int i = 0; i < before.length; i++) {
            swaps.add(new Shadows.Swap(shadow(before[i]), shadow(after[i])));
        }
        return swaps;
    }

    private Optional<Shadow> shadow(String text) {
        return text.isEmpty()
                ? Optional.empty()
                : Optional.of(json.readValue(text, ShadowText.class).asShadow());
    }

    private String[] stack(Stack stack) {
        return jsons(stack.layers().toArray());
    }

    private Stack stack(String[] texts) {
        return new Stack(Arrays.stream(texts)
                .map(text -> json.readValue(text, Standing.class))
                .toList());
    }

    private Optional<Reference> reference(String[] texts) {
        return texts.length == 0 ? Optional.empty() : Optional.of(json.readValue(texts[0], Reference.class));
    }

    private CellGroups groups(String[] texts) {
        return json.readValue(texts[0], CellGroups.class);
    }

    private Map<String, String> entries(String[] texts) {
        return json.readValue(texts[0], ENTRIES);
    }

    private String[] jsons(Object... values) {
        return Stream.of(values).map(json::writeValueAsString).toArray(String[]::new);
    }

    private static String[] sides(Optional<Box> box) {
        return box.map(sides -> Stream.of(sides.xStart(), sides.yStart(), sides.xEndExclusive(), sides.yEndExclusive())
                        .map(String::valueOf)
                        .toArray(String[]::new))
                .orElse(NOTHING);
    }

    private static Optional<Box> box(String[] texts) {
        if (texts.length == 0) {
            return Optional.empty();
        }
        int[] sides = Arrays.stream(texts).mapToInt(Integer::parseInt).toArray();
        return Optional.of(new Box(sides[0], sides[1], sides[2], sides[3]));
    }

    private static String[] ids(List<UUID> ids) {
        return ids.stream().map(UUID::toString).toArray(String[]::new);
    }

    private static List<UUID> uuids(String[] texts) {
        return Arrays.stream(texts).map(UUID::fromString).toList();
    }
}
