package stillpond.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.support.TestPond;

/** What the database says of its own tables. */
class CatalogueTest {

    /** Accounts are never taken away, and nobody is asked what they did everywhere: no index serves what refers to them here. */
    private static final Set<String> UNINDEXED = Set.of(
            "accepted_finding(accepted_by)",
            "change(author_id)",
            "former_member(account_id)",
            "invitation(invited_by)",
            "invitation(used_by)",
            "password_reset(account_id)",
            "proposal(answered_by)",
            "proposal(author_id)",
            "remark(author_id)",
            "remark(done_by)",
            "remark_answer(author_id)",
            "sheet(in_hand_of)",
            "visit_link(made_by)");

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
        assertThat(references.get(false)).containsExactlyInAnyOrderElementsOf(UNINDEXED);
    }
}
