package stillpond.app.card;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface ProposalRepository extends JpaRepository<StoredProposal, UUID> {

    /** Open ones first, then the latest. */
    @Query("select p from StoredProposal p where p.projectId = :project"
            + " order by case when p.state = 'OPEN' then 0 else 1 end, p.madeAt desc")
    List<StoredProposal> findInProject(UUID project);

    long countByProjectIdAndState(UUID projectId, Proposals.State state);

    /** A proposal is answered once: whoever holds this row answers it. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select p from StoredProposal p where p.id = :id and p.projectId = :project")
    Optional<StoredProposal> findAndLock(UUID project, UUID id);
}
