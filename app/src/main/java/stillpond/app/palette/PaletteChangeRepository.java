package stillpond.app.palette;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface PaletteChangeRepository extends Repository<StoredPaletteChange, UUID> {

    StoredPaletteChange save(StoredPaletteChange change);

    /** The author's latest change that stands. */
    Optional<StoredPaletteChange> findFirstByProjectIdAndAuthorIdAndUndoneAtIsNullOrderByMadeAtDesc(
            UUID projectId, UUID authorId);

    Optional<StoredPaletteChange> findByIdAndProjectId(UUID id, UUID projectId);

    /** Latest first. */
    List<StoredPaletteChange> findByProjectIdOrderByMadeAtDesc(UUID projectId);

    /** Those made or taken back after a moment. */
    @Query(
            "select c from StoredPaletteChange c where c.projectId = :project and (c.madeAt > :moment or c.undoneAt > :moment)")
    List<StoredPaletteChange> findSince(UUID project, Instant moment);
}
