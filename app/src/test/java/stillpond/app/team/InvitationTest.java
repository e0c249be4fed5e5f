package stillpond.app.team;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.account.Accounts;
import stillpond.app.account.SignedIn;
import stillpond.app.project.Members;
import stillpond.app.project.Role;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

class InvitationTest {

    private static final Pattern LINK = Pattern.compile("(/join/[A-Za-z0-9_-]{43})\"");

    private final TestPond pond = TestPond.shared();
    private Work work;
    private Visitor lead;
    private String at;

    @BeforeEach
    void begin() {
        work = Work.begin(pond);
        lead = Visitor.signedIn(pond, work.person());
        at = "/projects/" + work.project() + "/members";
    }

    private String invite(Role role) {
        lead.submit(at + "/invite", "role", role.name());
        Matcher link = LINK.matcher(lead.get(at).body());
        assertThat(link.find()).isTrue();
        return link.group(1);
    }

    private HttpResponse<String> open(Visitor visitor, String link, String name, String password) {
        visitor.readToken(link);
        return visitor.submit(link + "/account", "name", name, "shown", "Ida", "password", password);
    }

    private Optional<Role> role(String name) {
        return pond.bean(Accounts.class)
                .find(name)
                .map(SignedIn::id)
                .flatMap(id -> pond.bean(Members.class).role(work.project(), id));
    }

    private static String newName() {
        return "i" + UUID.randomUUID();
    }

    @Test
    void somebodyNewOpensAnAccountAndIsInTheProjectSignedIn() {
        String link = invite(Role.COLOURIST);
        Visitor ida = Visitor.anonymous(pond);
        assertThat(ida.get(link).body()).contains("invites you as a colourist");
        String name = newName();
        HttpResponse<String> joined = open(ida, link, name, "four quiet words here");

        assertThat(joined.headers().firstValue("Location").orElse("")).endsWith("/projects/" + work.project());
        assertThat(ida.get("/projects/" + work.project()).statusCode()).isEqualTo(200);
        assertThat(role(name)).contains(Role.COLOURIST);
    }

    @Test
    void aLinkLetsOnePersonInOnce() {
        String link = invite(Role.GUEST);
        open(Visitor.anonymous(pond), link, newName(), "four quiet words here");
        Visitor second = Visitor.anonymous(pond);
        assertThat(second.get(link).body()).contains("was used already");
        String name = newName();
        assertThat(open(second, link, name, "four quiet words here").body()).contains("was used already");
        assertThat(pond.bean(Accounts.class).find(name)).isEmpty();
    }

    @Test
    void whoeverHasAnAccountJoinsWithItAndAMemberLeavesTheLinkForOthers() {
        String link = invite(Role.GUEST);
        assertThat(lead.submit(link).body()).contains("already. The invitation stays good");
        String name = "o" + UUID.randomUUID();
        pond.openAccount(name);
        Visitor other = Visitor.signedIn(pond, name);
        assertThat(other.get("/projects/" + work.project()).statusCode()).isEqualTo(404);
        other.submit(link);
        assertThat(role(name)).contains(Role.GUEST);
        assertThat(other.get("/projects/" + work.project()).statusCode()).isEqualTo(200);
    }

    @Test
    void endedWithdrawnAndBrokenLinksSayWhichTheyAre() {
        String ended = invite(Role.COLOURIST);
        pond.bean(JdbcClient.class)
                .sql("update invitation set ends_at = now() - interval '1 minute' where project_id = ?")
                .param(work.project())
                .update();
        String withdrawn = invite(Role.COLOURIST);
        UUID id = pond.bean(JdbcClient.class)
                .sql("select id from invitation where project_id = ? and ends_at > now()")
                .param(work.project())
                .query(UUID.class)
                .single();
        lead.submit(at + "/invitations/" + id + "/withdraw");
        Visitor stranger = Visitor.anonymous(pond);
        assertThat(stranger.get(ended).body()).contains("has ended");
        assertThat(stranger.get(withdrawn).body()).contains("was withdrawn");
        HttpResponse<String> broken = stranger.get("/join/nothing");
        assertThat(broken.statusCode()).isEqualTo(410);
        assertThat(broken.body()).contains("Is the whole link there?");
    }

    @Test
    void whatCannotBeAnAccountIsSaidAndTheLinkStaysGood() {
        String link = invite(Role.COLOURIST);
        Visitor ida = Visitor.anonymous(pond);
        String name = newName();
        assertThat(open(ida, link, name, "short").body()).contains("at least 12 characters");
        assertThat(open(ida, link, name, "aaaaaaaaaaaaaaaa").body()).contains("repeats a few characters");
        assertThat(open(ida, link, name, name + "1").body()).contains("little more than your name");
        assertThat(open(ida, link, work.person(), "four quiet words here").body())
                .contains("with this name already", "value=\"Ida\"");
        assertThat(open(ida, link, "a b", "four quiet words here").body()).contains("2 to 60 letters");
        open(ida, link, name, "four quiet words here");
        assertThat(role(name)).contains(Role.COLOURIST);
    }

    @Test
    void nothingOfALinkIsKeptThatCouldBeUsed() {
        String code = invite(Role.COLOURIST).substring("/join/".length());
        List<String> kept = pond.bean(JdbcClient.class)
                .sql("select cast(invitation as text) from invitation where project_id = ?")
                .param(work.project())
                .query(String.class)
                .list();
        assertThat(kept).hasSize(1).noneMatch(row -> row.contains(code));
    }
}
