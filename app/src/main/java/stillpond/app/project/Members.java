package stillpond.app.project;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.refusal.Refusal;

/** Who works on a project, and as what. A project always has a lead. */
@Service
@Transactional
public class Members {

    private static final String LAST =
            "The project needs a lead. Make somebody else the lead first. Nothing was changed.";

    private final MemberRepository members;
    private final Projects projects;
    private final JdbcClient database;

    Members(MemberRepository members, Projects projects, JdbcClient database) {
        this.members = members;
        this.projects = projects;
        this.database = database;
    }

    /** That somebody works on a project, and as what. */
    public record Place(UUID account, Role role) {}

    /** Leads first, then colourists, then guests. */
    @Transactional(readOnly = true)
    public List<Place> of(UUID project) {
        return members.findByKeyProjectId(project).stream()
                .map(member -> new Place(member.accountId(), member.role()))
                .sorted((a, b) -> b.role().compareTo(a.role()))
                .toList();
    }

    @Transactional(readOnly = true)
    public Optional<Role> role(UUID project, UUID account) {
        return members.findById(new Member.Key(project, account)).map(Member::role);
    }

    /** Likewise; empty, too, if the project is removed. One plain statement: every request within a project asks this. */
    @Transactional(propagation = Propagation.SUPPORTS)
    public Optional<Role> roleUnlessRemoved(UUID project, UUID account) {
        return database.sql("""
                        select m.role from member m join project p on p.id = m.project_id
                        where m.project_id = ? and m.account_id = ? and p.removed_at is null""").params(project, account).query(Role.class).optional();
    }

    /** Whether somebody was a member, and is none. */
    @Transactional(readOnly = true)
    public boolean wasMember(UUID project, UUID account) {
        return database.sql("select exists (select 1 from former_member where project_id = ? and account_id = ?)")
                .params(project, account)
                .query(Boolean.class)
                .single();
    }

    public void add(UUID project, UUID account, Role role) {
        projects.addMember(project, account, role);
        database.sql("delete from former_member where project_id = ? and account_id = ?")
                .params(project, account)
                .update();
    }

    /** @throws NotAllowed @throws Refusal if nobody would be the lead any more */
    public void changeRole(UUID project, UUID account, Role role, UUID by) {
        projects.require(project, by, Right.MANAGE_MEMBERS);
        Member member = locked(project, account);
        if (role != Role.LEAD) {
            requireAnotherLead(project, member);
        }
        member.become(role);
    }

    /** What they did stays, with their name. @throws NotAllowed @throws Refusal if nobody would be the lead any more */
    public void remove(UUID project, UUID account, UUID by) {
        projects.require(project, by, Right.MANAGE_MEMBERS);
        leave(project, account);
    }

    /** @throws Refusal if nobody would be the lead any more */
    public void leave(UUID project, UUID account) {
        Member member = locked(project, account);
        requireAnotherLead(project, member);
        members.delete(member);
        database.sql("insert into former_member (project_id, account_id) values (?, ?) on conflict do nothing")
                .params(project, account)
                .update();
    }

    /** Gives the lead to somebody else and goes on as a colourist. @throws NotAllowed */
    public void handOver(UUID project, UUID to, UUID by) {
        projects.require(project, by, Right.MANAGE_MEMBERS);
        if (to.equals(by)) {
            throw new Refusal("You are the lead already. Nothing was changed.");
        }
        locked(project, to).become(Role.LEAD);
        locked(project, by).become(Role.COLOURIST);
    }

    private void requireAnotherLead(UUID project, Member but) {
        boolean isAnother = members.findByKeyProjectId(project).stream()
                .anyMatch(each -> each.role() == Role.LEAD && !each.accountId().equals(but.accountId()));
        if (but.role() == Role.LEAD && !isAnother) {
            throw new Refusal(LAST);
        }
    }

    /** One at a time for a project: two leads who leave at once must not both find the other. */
    private Member locked(UUID project, UUID account) {
        database.sql("select id from project where id = ? for update")
                .param(project)
                .query(UUID.class)
                .optional();
        return members.findById(new Member.Key(project, account)).orElseThrow();
    }
}
