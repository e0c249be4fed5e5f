package stillpond.app.carry;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface QuestionRepository extends Repository<StoredQuestion, UUID> {

    /** How many questions about a sheet of a run are in a state. */
    interface Counted {
        int getPosition();

        String getState();

        long getQuestions();
    }

    StoredQuestion save(StoredQuestion question);

    /** The fills that regions in doubt most likely wear: first those by which one answer settles most regions, of those the largest. */
    @NativeQuery("""
            select part from carry_question
            where run_id = :run and state = 'OPEN'
            group by part order by count(*) desc, sum(area) desc, part limit :most""")
    List<String> findParts(UUID run, int most);

    List<StoredQuestion> findByRunIdAndPartAndStateOrderByLikelyDesc(
            UUID run, String part, StoredQuestion.State state, Limit most);

    List<StoredQuestion> findByRunIdAndIdIn(UUID run, List<UUID> ids);

    List<StoredQuestion> findByRunIdAndState(UUID run, StoredQuestion.State state);

    Optional<StoredQuestion> findFirstByRunIdAndAnsweredByOrderByAnsweredAtDesc(UUID run, UUID person);

    List<StoredQuestion> findByRunIdAndAnswerId(UUID run, UUID answer);

    @NativeQuery("""
            select position as position, state as state, count(*) as questions from carry_question
            where run_id = :run group by position, state""")
    List<Counted> count(UUID run);
}
