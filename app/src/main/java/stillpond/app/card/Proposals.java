package stillpond.app.card;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.account.Accounts;
import stillpond.core.Refusal;
import tools.jackson.databind.json.JsonMapper;

/** Changes of cards that colourists ask the lead for. */
@Service
@Transactional
class Proposals {

    private static final int LONGEST_REASON = 600;

    private final CardEdits edits;
    private final Accounts accounts;
    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final Clock clock;

    Proposals(CardEdits edits, Accounts accounts, JdbcClient jdbc, JsonMapper json, Clock clock) {
        this.edits = edits;
        this.accounts = accounts;
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /** What became of a proposal. */
    enum State {
        OPEN,
        TAKEN,
        DECLINED,
        WITHDRAWN
    }

    /** @param answeredBy and what else is said of an answer: null or empty while it is open */
    record Proposal(
            UUID id,
            UUID author,
            Instant madeAt,
            String reason,
            List<EditMessage> edits,
            State state,
            UUID answeredBy,
            String answer) {}

    /** @throws Refusal if no reason is given */
    void make(UUID project, UUID author, String reason, List<EditMessage> edits) {
        if (reason == null || reason.isBlank() || reason.length() > LONGEST_REASON) {
            throw new Refusal("A proposal says why, in up to " + LONGEST_REASON + " letters. Nothing was sent.");
        }
        jdbc.sql("""
                        insert into proposal (id, project_id, author_id, made_at, reason, edits, state)
                        values (?, ?, ?, ?, ?, ?, 'OPEN')""")
                .params(
                        UUID.randomUUID(),
                        project,
                        author,
                        Timestamp.from(clock.instant()),
                        reason.strip(),
                        json.writeValueAsString(edits))
                .update();
    }

    /** Open ones first, then the latest. */
    @Transactional(readOnly = true)
    List<Proposal> of(UUID project) {
        return query("project_id = :id order by state = 'OPEN' desc, made_at desc", project);
    }

    @Transactional(readOnly = true)
    long open(UUID project) {
        return of(project).stream().filter(each -> each.state() == State.OPEN).count();
    }

    /**
     * Makes what was proposed, on the lead's account.
     *
     * @throws Refusal if it cannot be made any more; then it stays open
     */
    void take(UUID project, UUID proposal, UUID lead) {
        Proposal taken = answer(project, proposal, lead, State.TAKEN, "");
        String author = accounts.names(List.of(taken.author())).get(taken.author());
        edits.make(project, lead, taken.edits(), taken.reason() + " (proposed by " + author + ")");
    }

    /**
     * Answers an open proposal, or withdraws it.
     *
     * @return it, as it was proposed
     * @throws Refusal if it was answered before
     */
    Proposal answer(UUID project, UUID proposal, UUID person, State state, String answer) {
        if (answer.length() > LONGEST_REASON) {
            throw new Refusal("An answer has up to " + LONGEST_REASON + " letters. Nothing was changed.");
        }
        Proposal open = query("project_id = :project and id = :id for update", proposal, Optional.of(project)).stream()
                .findFirst()
                .orElseThrow();
        if (open.state() != State.OPEN) {
            throw new Refusal("This proposal was answered before.");
        }
        jdbc.sql("update proposal set state = ?, answered_by = ?, answered_at = ?, answer = ? where id = ?")
                .params(state.name(), person, Timestamp.from(clock.instant()), answer.strip(), proposal)
                .update();
        return open;
    }

    private List<Proposal> query(String where, UUID id) {
        return query(where, id, Optional.empty());
    }

    private List<Proposal> query(String where, UUID id, Optional<UUID> project) {
        JdbcClient.StatementSpec asked =
                jdbc.sql("select * from proposal where " + where).param("id", id);
        return project.map(each -> asked.param("project", each))
                .orElse(asked)
                .query((row, number) -> new Proposal(
                        row.getObject("id", UUID.class),
                        row.getObject("author_id", UUID.class),
                        row.getTimestamp("made_at").toInstant(),
                        row.getString("reason"),
                        List.of(json.readValue(row.getString("edits"), EditMessage[].class)),
                        State.valueOf(row.getString("state")),
                        row.getObject("answered_by", UUID.class),
                        row.getString("answer")))
                .list();
    }
}
