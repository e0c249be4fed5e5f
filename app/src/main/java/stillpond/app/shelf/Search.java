package stillpond.app.shelf;

import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.refusal.Refusal;

/** Finds projects, scenes, sheets, cards and swatches by a part of their names, in all projects of a person. */
@Service
@Transactional(readOnly = true)
class Search {

    static final int MOST = 100;
    private static final int LONGEST = 100;

    private final JdbcClient database;

    Search(JdbcClient database) {
        this.database = database;
    }

    /** What can be found, in the order in which it is shown. */
    enum Kind {
        PROJECT("project"),
        SCENE("scene"),
        SHEET("sheet"),
        CARD("card"),
        SWATCH("swatch");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** @param in what it belongs to, for people; empty for a project @param at its address */
    record Found(Kind kind, String name, String in, String at) {}

    /** What begins with it first, up to {@link #MOST}. */
    List<Found> find(UUID person, String typed) {
        String text = typed.strip();
        if (text.length() > LONGEST) {
            throw new Refusal("Up to " + LONGEST + " characters are looked for.");
        }
        if (text.isEmpty()) {
            return List.of();
        }
        String part = text.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_");
        return database.sql("""
                        with own as (
                            select p.id, p.title from project p join member m on m.project_id = p.id
                            where m.account_id = :person and p.removed_at is null
                        ), found as (
                            select 0 as kind, title as name, '' as place, '/projects/' || id as address from own
                            union all
                            select 1, s.title, own.title, '/projects/' || own.id || '/scenes/' || s.id
                            from scene s join own on own.id = s.project_id where s.removed_at is null
                            union all
                            select 2, h.title, s.title || ', ' || own.title, '/projects/' || own.id || '/sheets/' || h.id
                            from sheet h join scene s on s.id = h.scene_id join own on own.id = h.project_id
                            where h.removed_at is null and s.removed_at is null
                            union all
                            select 3, c.name, own.title, '/projects/' || own.id || '/cards/' || c.id
                            from card c join own on own.id = c.project_id where c.removed_at is null and c.kind = 'CAST'
                            union all
                            select 4, w.name, c.name || ', ' || own.title, '/projects/' || own.id || '/find?swatch=' || w.id
                            from swatch w join card c on c.id = w.card_id join own on own.id = w.project_id
                            where w.removed_at is null and c.removed_at is null
                        )
                        select kind, name, place, address from found where name ilike '%' || :part || '%'
                        order by name not ilike :part || '%', kind, name, place limit :most""")
                .param("person", person)
                .param("part", part)
                .param("most", MOST)
                .query((row, number) -> new Found(
                        Kind.values()[row.getInt("kind")],
                        row.getString("name"),
                        row.getString("place"),
                        row.getString("address")))
                .list();
    }
}
