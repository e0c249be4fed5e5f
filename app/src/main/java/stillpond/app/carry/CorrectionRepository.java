package stillpond.app.carry;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CorrectionRepository extends JpaRepository<Correction, Correction.Key> {

    List<Correction> findByKeyLayerId(UUID layerId);
}
