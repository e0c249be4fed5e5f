package stillpond.app.remark;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface AnswerRepository extends JpaRepository<StoredAnswer, UUID> {

    List<StoredAnswer> findByRemarkIdInOrderByMadeAt(Collection<UUID> remarks);

    long countByRemarkId(UUID remark);
}
