package stillpond.app.card;

import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface UsedColourRepository extends Repository<UsedColour, UsedColour.Key> {

    UsedColour save(UsedColour colour);

    List<UsedColour> findTop48ByKeyAccountIdOrderByUsedAtDesc(UUID accountId);
}
