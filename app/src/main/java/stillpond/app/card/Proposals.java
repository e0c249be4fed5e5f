package stillpond.app.card;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.account.Accounts;
import stillpond.core.refusal.Refusal;
import tools.jackson.databind.json.JsonMapper;

/** Changes of cards that colourists ask the lead for. */
@Service
@Transactional
class Proposals {

    private static final int LONGEST_REASON = 600;

    private final CardEdits edits;
    private final Accounts accounts;
    private final ProposalRepository proposals;
    private final JsonMapper json;
    private final Clock clock;

    Proposals(CardEdits edits, Accounts accounts, ProposalRepository proposals, JsonMapper json, Clock clock) {
        this.edits = edits;
        this.accounts = accounts;
        this.proposals = proposals;
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
        proposals.save(new StoredProposal(
                project,
                author,
                clock.instant(),
                reason.strip(),
                json.writeValueAsString(edits.toArray(EditMessage[]::new))));
    }

    /** Open ones first, then the latest. */
    @Transactional(readOnly = true)
    List<Proposal> of(UUID project) {
        return proposals.findInProject(project).stream().map(this::asProposal).toList();
    }

    @Transactional(readOnly = true)
    long open(UUID project) {
        return proposals.countByProjectIdAndState(project, State.OPEN);
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
        StoredProposal stored = proposals.findAndLock(project, proposal).orElseThrow();
        if (stored.state() != State.OPEN) {
            throw new Refusal("This proposal was answered before.");
        }
        Proposal open = asProposal(stored);
        stored.answer(state, person, clock.instant(), answer.strip());
        return open;
    }

    private Proposal asProposal(StoredProposal stored) {
        return new Proposal(
                stored.id(),
                stored.authorId(),
                stored.madeAt(),
                stored.reason(),
                List.of(json.readValue(stored.edits(), EditMessage[].class)),
                stored.state(),
                stored.answeredBy(),
                stored.answer());
    }
}
