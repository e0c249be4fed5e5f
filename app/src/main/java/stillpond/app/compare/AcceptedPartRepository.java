package stillpond.app.compare;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface AcceptedPartRepository extends Repository<AcceptedPart, AcceptedPart.Key> {

    AcceptedPart save(AcceptedPart part);

    List<AcceptedPart> findByKeySheetIdIn(Collection<UUID> sheets);

    void deleteById(AcceptedPart.Key key);
}
