package stillpond.app.sheet;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.EffectKind;
import stillpond.app.history.History;

/** Who is on a sheet, told by cards: those that somebody said beforehand, in that order, then those whose swatches it wears, most worn first. */
@Service
@Transactional
public class SheetCast implements EffectKind<Effect.Cast> {

    private final OpenCardRepository cards;
    private final SheetRepository sheets;
    private final KeptCounts counts;
    private final History history;

    SheetCast(OpenCardRepository cards, SheetRepository sheets, KeptCounts counts, History history) {
        this.cards = cards;
        this.sheets = sheets;
        this.counts = counts;
        this.history = history;
    }

    /** The cards of everybody on each sheet of a project. */
    public Map<UUID, List<UUID>> inProject(UUID project) {
        return query(project, Optional.empty());
    }

    /** The cards of everybody on a sheet, then, unless it was said who is, of everybody on the other sheets of its scene. */
    public List<UUID> around(UUID project, UUID sheet) {
        Map<UUID, List<UUID>> inScene = query(project, Optional.of(sheet));
        Set<UUID> cards = new LinkedHashSet<>(inScene.getOrDefault(sheet, List.of()));
        if (said(sheet).isEmpty()) {
            inScene.values().forEach(cards::addAll);
        }
        return List.copyOf(cards);
    }

    private Map<UUID, List<UUID>> query(UUID project, Optional<UUID> sheetOfScene) {
        Map<UUID, Set<UUID>> cast = new LinkedHashMap<>();
        counts.cast(project, sheetOfScene)
                .forEach(each -> cast.computeIfAbsent(each.sheet(), sheet -> new LinkedHashSet<>())
                        .add(each.card()));
        Map<UUID, List<UUID>> lists = new LinkedHashMap<>();
        cast.forEach((sheet, cards) -> lists.put(sheet, new ArrayList<>(cards)));
        return lists;
    }

    /** Those that somebody said beforehand. */
    @Transactional(readOnly = true)
    public List<UUID> said(UUID sheet) {
        return cards.findByKeySheetIdOrderByPosition(sheet).stream()
                .map(OpenCard::card)
                .toList();
    }

    /** Likewise, of several sheets at once. */
    @Transactional(readOnly = true)
    public Map<UUID, List<UUID>> said(Collection<UUID> sheets) {
        return cards.findByKeySheetIdInOrderByPosition(sheets).stream()
                .collect(Collectors.groupingBy(
                        OpenCard::sheet, Collectors.mapping(OpenCard::card, Collectors.toList())));
    }

    /** @param cards of the sheet's project, in the order in which they are to lie at hand; none: what it wears tells */
    public void say(UUID project, UUID author, UUID sheet, List<UUID> cards) {
        said(sheet, cards)
                .ifPresent(effect -> history.keep(project, author, "Said who is on the sheet", List.of(effect)));
    }

    /**
     * Says it as a part of a change that the caller keeps.
     *
     * @return empty if it was said already
     */
    public Optional<Effect.Cast> said(UUID sheet, List<UUID> cards) {
        sheets.findAndLock(sheet).orElseThrow();
        Effect.Cast effect = new Effect.Cast(sheet, said(sheet), cards);
        if (effect.before().equals(effect.after())) {
            return Optional.empty();
        }
        write(sheet, cards);
        return Optional.of(effect);
    }

    @Override
    public Class<Effect.Cast> effects() {
        return Effect.Cast.class;
    }

    @Override
    public Done done(UUID project, UUID author, Effect.Cast effect) {
        if (!said(effect.onSheet()).equals(effect.before())) {
            return Done.nothing();
        }
        write(effect.onSheet(), effect.after());
        return Done.all(effect);
    }

    private void write(UUID sheet, List<UUID> wanted) {
        cards.clear(sheet);
        List<OpenCard> said = new ArrayList<>();
        for (UUID card : wanted) {
            said.add(new OpenCard(sheet, card, said.size()));
        }
        cards.saveAllAndFlush(said);
    }
}
