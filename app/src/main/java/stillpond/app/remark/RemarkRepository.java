package stillpond.app.remark;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RemarkRepository extends JpaRepository<StoredRemark, UUID> {

    List<StoredRemark> findByProjectIdOrderByMadeAt(UUID project);

    List<StoredRemark> findBySheetIdOrderByMadeAt(UUID sheet);

    List<StoredRemark> findByStandingId(UUID standing);

    Optional<StoredRemark> findByIdAndProjectId(UUID id, UUID project);

    long countByProjectId(UUID project);

    long countBySheetIdAndDoneAtIsNull(UUID sheet);
}
