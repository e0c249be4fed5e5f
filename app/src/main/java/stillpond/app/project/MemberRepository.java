package stillpond.app.project;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface MemberRepository extends JpaRepository<Member, Member.Key> {

    List<Member> findByKeyProjectId(UUID project);

    @Query("""
            select m.role from Member m join StoredProject p on p.id = m.key.projectId
            where m.key.projectId = :project and m.key.accountId = :account and p.removedAt is null""")
    Optional<Role> findRoleUnlessRemoved(UUID project, UUID account);
}
