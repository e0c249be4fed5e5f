package stillpond.app.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.EffectKind;
import stillpond.app.history.History;

/** Who is on a sheet, told by cards: those that somebody said beforehand, in that order, then those whose swatches it wears, most worn first. */
@Service
@Transactional
public class SheetCast implements EffectKind<Effect.Cast> {

    private static final String SAID_AND_WORN = """
            select sheet, card from (
                select o.sheet_id as sheet, o.card_id as card, 0 as later, o.position as place
                from open_card o join sheet s on s.id = o.sheet_id
                where s.project_id = :project
                union all
                select s.id, w.card_id, 1, -count(*)
                from sheet s
                join layer l on l.sheet_id = s.id and l.is_current
                join cell_wears f on f.layer_id = l.id
                join swatch w on w.id = f.swatch_id
                join card c on c.id = w.card_id and c.kind = 'CAST' and c.removed_at is null
                where s.project_id = :project and s.removed_at is null
                group by s.id, w.card_id) as on_sheet
            where cast(:only as uuid) is null or sheet in (
                select s.id from sheet s join sheet own on own.id = cast(:only as uuid) and own.scene_id = s.scene_id)
            order by later, place""";

    private final JdbcClient jdbc;
    private final SheetRepository sheets;
    private final History history;

    SheetCast(JdbcClient jdbc, SheetRepository sheets, History history) {
        this.jdbc = jdbc;
        this.sheets = sheets;
        this.history = history;
    }

    private record OnSheet(UUID sheet, UUID card) {}

    /** The cards of everybody on each sheet of a project. */
    @Transactional(readOnly = true)
    public Map<UUID, List<UUID>> inProject(UUID project) {
        return query(project, null);
    }

    /** The cards of everybody on a sheet, then, unless it was said who is, of everybody on the other sheets of its scene. */
    @Transactional(readOnly = true)
    public List<UUID> around(UUID project, UUID sheet) {
        Map<UUID, List<UUID>> inScene = query(project, sheet);
        Set<UUID> cards = new LinkedHashSet<>(inScene.getOrDefault(sheet, List.of()));
        if (said(sheet).isEmpty()) {
            inScene.values().forEach(cards::addAll);
        }
        return List.copyOf(cards);
    }

    private Map<UUID, List<UUID>> query(UUID project, UUID sheetOfScene) {
        Map<UUID, Set<UUID>> cast = new LinkedHashMap<>();
        jdbc.sql(SAID_AND_WORN)
                .param("project", project)
                .param("only", sheetOfScene)
                .query(OnSheet.class)
                .list()
                .forEach(each -> cast.computeIfAbsent(each.sheet(), sheet -> new LinkedHashSet<>())
                        .add(each.card()));
        Map<UUID, List<UUID>> lists = new LinkedHashMap<>();
        cast.forEach((sheet, cards) -> lists.put(sheet, new ArrayList<>(cards)));
        return lists;
    }

    /** Those that somebody said beforehand. */
    @Transactional(readOnly = true)
    public List<UUID> said(UUID sheet) {
        return jdbc.sql("select card_id from open_card where sheet_id = ? order by position")
                .param(sheet)
                .query(UUID.class)
                .list();
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

    private void write(UUID sheet, List<UUID> cards) {
        jdbc.sql("delete from open_card where sheet_id = ?").param(sheet).update();
        for (int i = 0; i < cards.size(); i++) {
            jdbc.sql("insert into open_card (sheet_id, card_id, position) values (?, ?, ?)")
                    .params(sheet, cards.get(i), i)
                    .update();
        }
    }
}
