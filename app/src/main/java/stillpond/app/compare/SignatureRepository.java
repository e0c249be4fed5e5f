package stillpond.app.compare;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.repository.Repository;

interface SignatureRepository extends Repository<Signature, UUID> {

    Signature save(Signature signature);

    /** @param card null for one about all cards */
    Optional<Signature> findFirstByProjectIdAndCardIdOrderBySignedAtDesc(UUID project, @Nullable UUID card);
}
