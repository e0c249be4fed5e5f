package stillpond.app.sheet;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;

interface PlaneRepository extends JpaRepository<StoredPlane, String> {

    /** Native: two who keep the same plane at once both go on. */
    @Modifying
    @NativeQuery("insert into plane (sha256, content) values (:sha256, :content) on conflict do nothing")
    void insertIfAbsent(String sha256, byte[] content);
}
