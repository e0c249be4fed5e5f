package stillpond.app.device;

import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface PressInkRepository extends Repository<PressInk, PressInk.Key> {

    List<PressInk> findByKeyProjectId(UUID project);

    void deleteByKeyProjectId(UUID project);

    void flush();

    PressInk save(PressInk ink);
}
