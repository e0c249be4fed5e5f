package stillpond.app.sheet;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;

interface PlaneRepository extends JpaRepository<StoredPlane, String> {

    /** Native: two who keep the same plane at once both go on. One that is there is not cleared before whoever keeps it again has named it. */
    @Modifying
    @NativeQuery("""
            insert into plane (sha256, content) values (:sha256, :content)
            on conflict (sha256) do update set kept_at = now() where plane.kept_at < now() - interval '1 day'""")
    void insertIfAbsent(String sha256, byte[] content);
}
