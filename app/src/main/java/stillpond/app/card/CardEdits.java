package stillpond.app.card;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.WornSwatches;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Swatch;

/** Changes the palette of a project together with what its sheets wear. */
@Service
@Transactional
class CardEdits {

    private final Palettes palettes;
    private final WornSwatches worn;
    private final UsedColours used;

    CardEdits(Palettes palettes, WornSwatches worn, UsedColours used) {
        this.palettes = palettes;
        this.worn = worn;
        this.used = used;
    }

    /**
     * What some edits would do.
     *
     * @param colours the colours that would become others, by swatch
     */
    record Outlook(Map<UUID, String> colours, List<WornSwatches.Worn> sheets, List<String> words) {}

    /** @throws IllegalArgumentException with a message for the user; nothing is changed then */
    Palettes.Made make(UUID project, UUID author, List<EditMessage> messages) {
        return make(project, author, messages, "");
    }

    /** As above, with the reason for the history. */
    Palettes.Made make(UUID project, UUID author, List<EditMessage> messages, String reason) {
        if (messages.isEmpty()) {
            throw new IllegalArgumentException("No change was named.");
        }
        Palette before = palettes.of(project);
        Palettes.Made made = palettes.change(project, author, edits(messages, before), reason);
        Palette after = palettes.of(project);
        for (EditMessage message : messages) {
            if (message.kind() == EditMessage.Kind.REMOVE) {
                worn.replace(made.id(), message.swatch(), instead(message, after));
            }
            if (message.colour() != null) {
                used.note(author, Srgb.ofHex(message.colour()));
            }
        }
        return made;
    }

    private static List<PaletteEdit> edits(List<EditMessage> messages, Palette before) {
        List<PaletteEdit> edits = new ArrayList<>();
        Palette now = before;
        for (EditMessage message : messages) {
            if (message.isForNoCard()) {
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

    private static Optional<UUID> instead(EditMessage removal, Palette after) {
        if (removal.instead() == null || removal.instead().equals("none")) {
            return Optional.empty();
        }
        UUID other = UUID.fromString(removal.instead());
        if (!after.has(other)) {
            throw new IllegalArgumentException("What is to be worn instead is on no card. Nothing was changed.");
        }
        return Optional.of(other);
    }

    /** @throws IllegalArgumentException with a message for the user if the edits cannot be made */
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
                .filter(message -> message.kind() == EditMessage.Kind.REMOVE)
                .forEach(message -> colours.put(message.swatch(), "none"));
        return new Outlook(colours, colours.isEmpty() ? List.of() : worn.where(Set.copyOf(colours.keySet())), words);
    }

    Palettes.Made undo(UUID project, UUID author) {
        palettes.undoable(project, author).ifPresent(change -> worn.restore(change.id()));
        return palettes.undo(project, author);
    }
}
