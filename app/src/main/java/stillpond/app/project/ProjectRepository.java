package stillpond.app.project;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ProjectRepository extends JpaRepository<StoredProject, UUID> {

    @Query("""
            select p from StoredProject p
            where p.id in (select m.key.projectId from Member m where m.key.accountId = :account)
            order by p.madeAt, p.id""")
    List<StoredProject> findAllOfMember(UUID account);
}
