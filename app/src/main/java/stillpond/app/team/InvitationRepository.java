package stillpond.app.team;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface InvitationRepository extends JpaRepository<StoredInvitation, UUID> {

    List<StoredInvitation> findByProjectIdOrderByMadeAtDesc(UUID project);

    Optional<StoredInvitation> findByIdAndProjectId(UUID id, UUID project);

    Optional<StoredInvitation> findByCodeHash(String hash);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select i from StoredInvitation i where i.codeHash = :hash")
    Optional<StoredInvitation> findToUse(String hash);
}
