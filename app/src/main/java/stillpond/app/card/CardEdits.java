package stillpond.app.card;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.History;
import stillpond.app.history.Made;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.WornSwatches;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Swatch;
import stillpond.core.refusal.Refusal;

/** Changes the palette of a project together with what its sheets wear. */
@Service
@Transactional
class CardEdits {

    private final Palettes palettes;
    private final History history;
    private final SheetChanges changes;
    private final WornSwatches worn;
    private final UsedColours used;

    CardEdits(Palettes palettes, History history, SheetChanges changes, WornSwatches worn, UsedColours used) {
        this.palettes = palettes;
        this.history = history;
        this.changes = changes;
        this.worn = worn;
        this.used = used;
    }

    /**
     * What some edits would do.
     *
     * @param colours the colours that would become others, by swatch
     */
    record Outlook(Map<UUID, String> colours, List<WornSwatches.Worn> sheets, List<String> words) {}

    /**
     * Makes edits as one change, with what sheets wear in the place of swatches that they remove.
     *
     * @param reason for the history; may be empty
     * @throws Refusal; nothing is changed then
     */
    Made make(UUID project, UUID author, List<EditMessage> messages, String reason) {
        if (messages.isEmpty()) {
            throw new Refusal("No change was named.");
        }
        List<Effect> effects = new ArrayList<>();
        String words = edit(project, author, messages, effects);
        return history.keep(UUID.randomUUID(), project, author, words, reason, effects);
    }

    /**
     * Makes edits, and lays what is made of the swatches that they add, as one change.
     *
     * @throws Refusal; nothing is changed then
     */
    Made makeAndLay(
            UUID project,
            UUID author,
            List<EditMessage> messages,
            UUID sheet,
            UUID layer,
            Map<Integer, Fill> fillByCell) {
        List<Effect> effects = new ArrayList<>();
        String words = edit(project, author, messages, effects);
        changes.lay(sheet, layer, fillByCell).ifPresent(effects::add);
        return history.keep(project, author, words + ", and laid them", effects);
    }

    /** @return what was done, in words */
    private String edit(UUID project, UUID author, List<EditMessage> messages, List<Effect> effects) {
        history.lockProject(project);
        Palette before = palettes.of(project);
        List<PaletteEdit> edits = edits(messages, before);
        Map<UUID, Optional<UUID>> removed = removed(messages, before, edits);
        removed.forEach((swatch, instead) -> effects.addAll(worn.replace(swatch, instead)));
        Map<UUID, UUID> instead = new HashMap<>();
        removed.forEach((swatch, other) -> other.ifPresent(each -> instead.put(swatch, each)));
        effects.add(palettes.edit(project, author, edits, instead));
        messages.stream()
                .filter(message -> message.colour() != null)
                .forEach(message -> used.note(author, Srgb.ofHex(message.colour())));
        String first = edits.get(0).words();
        return edits.size() == 1 ? first : first + " and " + (edits.size() - 1) + " more";
    }

    private static Map<UUID, Optional<UUID>> removed(
            List<EditMessage> messages, Palette before, List<PaletteEdit> edits) {
        Palette after = before;
        for (PaletteEdit edit : edits) {
            after = after.after(edit);
        }
        Map<UUID, Optional<UUID>> removed = new LinkedHashMap<>();
        for (EditMessage message : messages) {
            if (message instanceof EditMessage.Remove removal) {
                removed.put(removal.swatch(), instead(removal, after));
            }
        }
        return removed;
    }

    private static List<PaletteEdit> edits(List<EditMessage> messages, Palette before) {
        List<PaletteEdit> edits = new ArrayList<>();
        Palette now = before;
        for (EditMessage message : messages) {
            if (message instanceof EditMessage.Add add && add.card() == null) {
                now = withLooseCard(now, edits);
            }
            PaletteEdit edit = message.asEdit(now);
            edits.add(edit);
            now = now.after(edit);
        }
        return edits;
    }

    /** Loose colours lie on a card of their own, which comes with the first of them. */
    private static Palette withLooseCard(Palette palette, List<PaletteEdit> edits) {
        if (palette.cards().stream().anyMatch(Card::isLoose)) {
            return palette;
        }
        PaletteEdit adding = new PaletteEdit.AddCard(Card.loose());
        edits.add(adding);
        return palette.after(adding);
    }

    private static Optional<UUID> instead(EditMessage.Remove removal, Palette after) {
        if (removal.instead() == null || removal.instead().equals("none")) {
            return Optional.empty();
        }
        UUID other = Refusal.unlessRead(
                "'" + removal.instead() + "' is the number of no swatch.", () -> UUID.fromString(removal.instead()));
        if (!after.has(other)) {
            throw new Refusal("What is to be worn instead is on no card. Nothing was changed.");
        }
        return Optional.of(other);
    }

    /** @throws Refusal if the edits cannot be made */
    @Transactional(readOnly = true)
    public Outlook outlook(UUID project, List<EditMessage> messages) {
        Palette before = palettes.of(project);
        Palette after = before;
        List<String> words = new ArrayList<>();
        for (PaletteEdit edit : edits(messages, before)) {
            words.add(edit.words());
            after = after.after(edit);
        }
        Map<UUID, String> colours = new HashMap<>();
        for (Swatch swatch :
                after.cards().stream().flatMap(card -> card.swatches().stream()).toList()) {
            Srgb colour = after.colourOf(swatch.id()).orElseThrow();
            if (before.colourOf(swatch.id()).filter(colour::equals).isEmpty()) {
                colours.put(swatch.id(), colour.hex());
            }
        }
        messages.stream()
                .filter(EditMessage.Remove.class::isInstance)
                .forEach(removal -> colours.put(((EditMessage.Remove) removal).swatch(), "none"));
        return new Outlook(colours, colours.isEmpty() ? List.of() : worn.where(Set.copyOf(colours.keySet())), words);
    }
}
