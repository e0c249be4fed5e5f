package stillpond.app.travel;

import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface UnknownPartRepository extends Repository<UnknownPart, UnknownPart.Key> {

    List<UnknownPart> findByKeyProjectIdOrderByKeyPlace(UUID project);

    UnknownPart save(UnknownPart part);
}
