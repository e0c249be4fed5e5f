package stillpond.app.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.palette.CardView;

/** Which cards lie on the shore of a sheet, and in which order. */
@Component
@Transactional
class ShoreCards {

    private final JdbcClient jdbc;

    ShoreCards(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Those chosen for the sheet, in their order, or else for the latest sheet of its scene; all while nothing was chosen. Neutrals always come first, and loose colours last, so that none is lost from sight. */
    @Transactional(readOnly = true)
    public List<CardView> of(UUID sheet, List<CardView> all) {
        List<UUID> chosen =
                jdbc.sql("""
                        select card_id from open_card
                        where sheet_id = (
                            select s.id from sheet s
                            join sheet own on own.id = :sheet and own.scene_id = s.scene_id
                            where exists (select 1 from open_card where sheet_id = s.id)
                            order by s.id = own.id desc, s.made_at desc limit 1)
                        order by position""").param("sheet", sheet).query(UUID.class).list();
        if (chosen.isEmpty()) {
            return all;
        }
        Map<UUID, CardView> byId = all.stream().collect(Collectors.toMap(CardView::id, Function.identity()));
        List<CardView> cards = new ArrayList<>();
        all.stream().filter(CardView::isNeutral).forEach(cards::add);
        chosen.stream().filter(byId::containsKey).map(byId::get).forEach(cards::add);
        all.stream().filter(CardView::isLoose).forEach(cards::add);
        return cards;
    }

    /** @param cards of the sheet's project; none: all of them */
    void choose(UUID sheet, List<UUID> cards) {
        jdbc.sql("delete from open_card where sheet_id = ?").param(sheet).update();
        for (int i = 0; i < cards.size(); i++) {
            jdbc.sql("insert into open_card (sheet_id, card_id, position) values (?, ?, ?)")
                    .params(sheet, cards.get(i), i)
                    .update();
        }
    }
}
