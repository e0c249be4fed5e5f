package stillpond.app.project;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MemberRepository extends JpaRepository<Member, Member.Key> {

    List<Member> findByKeyProjectId(UUID project);
}
