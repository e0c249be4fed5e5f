package stillpond.app.device;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface DeviceFileRepository extends Repository<DeviceFile, DeviceFile.Key> {

    Optional<DeviceFile> findByKey(DeviceFile.Key key);

    @Query("select f.key.name from DeviceFile f where f.key.jobId = :job order by f.key.name")
    List<String> findNames(UUID job);

    DeviceFile save(DeviceFile file);
}
