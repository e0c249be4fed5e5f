package stillpond.app.check;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface AcceptedFindingRepository extends JpaRepository<AcceptedFinding, AcceptedFinding.Key> {

    List<AcceptedFinding> findByKeyLayerId(UUID layerId);
}
