package stillpond.app.palette;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface PaletteChangeRepository extends Repository<StoredPaletteChange, UUID> {

    StoredPaletteChange save(StoredPaletteChange change);

    /** The author's latest change that stands. */
    Optional<StoredPaletteChange> findFirstByProjectIdAndAuthorIdAndUndoneFalseOrderByMadeAtDesc(
            UUID projectId, UUID authorId);
}
