package stillpond.app.card;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface ReferencePictureRepository extends Repository<ReferencePicture, UUID> {

    ReferencePicture save(ReferencePicture picture);

    Optional<ReferencePicture> findByIdAndProjectId(UUID id, UUID projectId);

    List<ReferencePicture> findByProjectIdOrderByMadeAt(UUID projectId);
}
