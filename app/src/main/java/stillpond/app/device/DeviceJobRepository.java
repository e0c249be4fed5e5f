package stillpond.app.device;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface DeviceJobRepository extends Repository<DeviceJob, UUID> {

    DeviceJob save(DeviceJob job);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select j from DeviceJob j where j.id = :id")
    Optional<DeviceJob> findAndLock(UUID id);

    Optional<DeviceJob> findByIdAndProjectId(UUID id, UUID project);

    List<DeviceJob> findByProjectIdOrderByMadeAtDesc(UUID project);

    List<DeviceJob> findByStateIn(Collection<DeviceJob.State> states);

    void delete(DeviceJob job);
}
