package stillpond.app.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;

class OwnAccountTest {

    private static final String WANTED = "another quiet word";
    private static final Pattern LINK = Pattern.compile("(/reset/[A-Za-z0-9_-]{43})");
    private static final Pattern KEY = Pattern.compile("name=\"key\" value=\"([0-9a-f]{64})\"");

    private final TestPond pond = TestPond.shared();
    private String name;
    private Visitor person;

    @BeforeEach
    void begin() {
        name = "p" + UUID.randomUUID();
        pond.openAccount(name);
        person = Visitor.signedIn(pond, name);
    }

    private boolean knows(String password) {
        return pond.bean(Accounts.class).recognise(name, password).isPresent();
    }

    private static boolean isIn(Visitor visitor) {
        return visitor.get("/account").statusCode() == 200;
    }

    @Test
    void aPasswordIsChangedByWhoeverKnowsItAndEndsWhatElseIsOpen() {
        Visitor elsewhere = Visitor.signedIn(pond, name);
        person.submit("/account/password", "password", "wrong words here", "wanted", WANTED);
        assertThat(person.get("/account").body()).contains("not your present password");
        person.submit("/account/password", "password", TestPond.PASSWORD, "wanted", "short");
        assertThat(person.get("/account").body()).contains("at least 12 characters");
        assertThat(knows(TestPond.PASSWORD)).isTrue();
        assertThat(isIn(elsewhere)).isTrue();

        person.submit("/account/password", "password", TestPond.PASSWORD, "wanted", WANTED);
        assertThat(knows(WANTED)).isTrue();
        assertThat(knows(TestPond.PASSWORD)).isFalse();
        assertThat(isIn(person)).isTrue();
        assertThat(isIn(elsewhere)).isFalse();
    }

    @Test
    void oneSessionOrAllOthersAreEnded() {
        Visitor second = Visitor.signedIn(pond, name);
        Visitor third = Visitor.signedIn(pond, name);
        Matcher key = KEY.matcher(person.get("/account").body());
        assertThat(key.find()).isTrue();
        person.submit("/account/sessions/end", "key", key.group(1));
        assertThat(isIn(second) ^ isIn(third)).as("one of the two is out").isTrue();
        person.submit("/account/sessions/end-others");
        assertThat(isIn(second) || isIn(third)).isFalse();
        assertThat(isIn(person)).isTrue();
    }

    @Test
    void anotherSessionsKeyEndsNothingOfSomebodyElse() {
        Visitor second = Visitor.signedIn(pond, name);
        Matcher key = KEY.matcher(person.get("/account").body());
        assertThat(key.find()).isTrue();
        String stranger = "q" + UUID.randomUUID();
        pond.openAccount(stranger);
        Visitor.signedIn(pond, stranger).submit("/account/sessions/end", "key", key.group(1));
        assertThat(isIn(second)).isTrue();
    }

    @Test
    void aForgottenPasswordIsMadeAnewThroughOneLink() {
        String address = name + "@example.org";
        person.submit("/account/address", "address", address, "password", TestPond.PASSWORD);
        Visitor outside = Visitor.anonymous(pond);
        outside.readToken("/forgotten");
        String told = outside.submit("/forgotten", "who", address).body();
        assertThat(told).contains("If there is such an account");
        assertThat(outside.submit("/forgotten", "who", "nobody@example.org").body())
                .as("nobody is told who has an account")
                .contains("If there is such an account");

        String link = link(address);
        outside.readToken(link);
        assertThat(outside.submit(link, "wanted", "short").body()).contains("at least 12 characters");
        assertThat(outside.submit(link, "wanted", WANTED).statusCode()).isEqualTo(302);
        assertThat(knows(WANTED)).isTrue();
        assertThat(isIn(outside)).isTrue();
        assertThat(isIn(person)).as("what was open before").isFalse();
        assertThat(Visitor.anonymous(pond).get(link).body()).contains("was used already, or has ended");
    }

    private String link(String address) {
        String letter = pond.bean(JdbcClient.class)
                .sql("select body from kept_letter where sent_to = ?")
                .param(address)
                .query(String.class)
                .single();
        Matcher link = LINK.matcher(letter);
        assertThat(link.find()).isTrue();
        return link.group(1);
    }

    @Test
    void aLinkThatHasEndedLeadsNowhere() {
        String address = name + "@example.org";
        person.submit("/account/address", "address", address, "password", TestPond.PASSWORD);
        Visitor outside = Visitor.anonymous(pond);
        outside.readToken("/forgotten");
        outside.submit("/forgotten", "who", name);
        String link = link(address);
        pond.bean(JdbcClient.class)
                .sql("update password_reset set ends_at = now() - interval '1 minute'")
                .update();
        outside.readToken(link);
        assertThat(outside.submit(link, "wanted", WANTED).body()).contains("was used already, or has ended");
        assertThat(knows(TestPond.PASSWORD)).isTrue();
    }

    @Test
    void whoeverHasAnAddressIsToldThatTheirPasswordIsAnotherOne() {
        String address = name + "@example.org";
        person.submit("/account/address", "address", address, "password", TestPond.PASSWORD);
        person.submit("/account/password", "password", "wrong words here", "wanted", WANTED);
        assertThat(letters(address)).isEmpty();
        person.submit("/account/password", "password", TestPond.PASSWORD, "wanted", WANTED);
        assertThat(letters(address)).singleElement().asString().contains("is another one now");
    }

    private List<String> letters(String address) {
        return pond.bean(JdbcClient.class)
                .sql("select body from kept_letter where sent_to = ?")
                .param(address)
                .query(String.class)
                .list();
    }

    @Test
    void whatWasNotedCannotBeChanged() {
        assertThat(person.get("/account").body()).contains("Signed in");
        JdbcClient database = pond.bean(JdbcClient.class);
        assertThatThrownBy(() -> database.sql("update audit set words = ''").update())
                .isInstanceOf(DataAccessException.class);
        assertThatThrownBy(() -> database.sql("delete from audit").update()).isInstanceOf(DataAccessException.class);
    }
}
