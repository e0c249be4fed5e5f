package stillpond.app.card;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PrintConditionRepository extends JpaRepository<ChosenCondition, UUID> {}
