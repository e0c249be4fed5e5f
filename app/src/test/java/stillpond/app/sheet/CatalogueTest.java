package stillpond.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.support.TestPond;

/** What the database says of its own tables. */
class CatalogueTest {

    private static final String NOBODY_LEAVES =
            "accounts are never taken away, and nobody is asked what they did everywhere";

    /** References that no index serves, each with its reason. */
    private static final Map<String, String> UNINDEXED = Map.ofEntries(
            Map.entry("accepted_finding(accepted_by)", NOBODY_LEAVES),
            Map.entry("change(author_id)", NOBODY_LEAVES),
            Map.entry("former_member(account_id)", NOBODY_LEAVES),
            Map.entry("invitation(invited_by)", NOBODY_LEAVES),
            Map.entry("invitation(used_by)", NOBODY_LEAVES),
            Map.entry("password_reset(account_id)", NOBODY_LEAVES),
            Map.entry("proposal(answered_by)", NOBODY_LEAVES),
            Map.entry("proposal(author_id)", NOBODY_LEAVES),
            Map.entry("remark(author_id)", NOBODY_LEAVES),
            Map.entry("remark(done_by)", NOBODY_LEAVES),
            Map.entry("remark_answer(author_id)", NOBODY_LEAVES),
            Map.entry("sheet(in_hand_of)", NOBODY_LEAVES),
            Map.entry("visit_link(made_by)", NOBODY_LEAVES));

    /** Columns of a reference, and whether an index begins with them, in any order. One that leaves out rows without a value serves too. */
    private static final String REFERENCES = """
            select c.conrelid::regclass || '(' || (
                     select string_agg(a.attname, ',' order by key.place) from unnest(c.conkey) with ordinality key (number, place)
                     join pg_attribute a on a.attrelid = c.conrelid and a.attnum = key.number) || ')' as reference,
                   exists (
                     select from pg_index i
                     where i.indrelid = c.conrelid
                       and (i.indpred is null or pg_get_expr(i.indpred, i.indrelid) ~ '^\\(\\w+ IS NOT NULL\\)$')
                       and (i.indkey::int2[])[0 : cardinality(c.conkey) - 1] @> c.conkey) as is_indexed
            from pg_constraint c where c.contype = 'f'""";

    private record Reference(String reference, boolean isIndexed) {}

    private final JdbcClient database = TestPond.shared().bean(JdbcClient.class);

    @Test
    void everyReferenceHasAnIndexOrAReasonToHaveNone() {
        Map<Boolean, List<String>> references = database.sql(REFERENCES).query(Reference.class).list().stream()
                .collect(Collectors.partitioningBy(
                        Reference::isIndexed, Collectors.mapping(Reference::reference, Collectors.toList())));
        assertThat(references.get(true)).contains("layer(sheet_id)", "effect(layer_id)");
        assertThat(references.get(false)).containsExactlyInAnyOrderElementsOf(new TreeMap<>(UNINDEXED).keySet());
    }
}
