package stillpond.app.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import stillpond.app.account.OwnKeys;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

class OwnKeysTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());

    @Test
    void keysAreKeptForTheOneWhoChangedThem() {
        assertThat(visitor.post("/keys", "{\"letters\":false,\"pressed\":{\"ledger\":\"Shift Z\",\"mix\":\"\"}}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(pond.bean(OwnKeys.class).of(work.account()))
                .isEqualTo(new OwnKeys.Keys(false, Map.of("ledger", "Shift Z", "mix", "")));
        Work other = Work.begin(pond);
        assertThat(pond.bean(OwnKeys.class).of(other.account()).pressed()).isEmpty();

        visitor.post("/keys", "{\"letters\":true,\"pressed\":{}}");
        assertThat(pond.bean(OwnKeys.class).of(work.account())).isEqualTo(new OwnKeys.Keys(true, Map.of()));
    }

    @Test
    void whatIsNoKeyOrNoCommandIsRefusedAndNothingChanges() {
        visitor.post("/keys", "{\"letters\":true,\"pressed\":{\"ledger\":\"Z\"}}");
        for (String bad : new String[] {
            "{\"ledger\":\"Z and more of it\"}", "{\"<b>\":\"Z\"}", "{\"ledger\":null}", "{\"ledger\":\"\\u0000\"}"
        }) {
            assertThat(visitor.post("/keys", "{\"letters\":false,\"pressed\":" + bad + "}")
                            .statusCode())
                    .as(bad)
                    .isBetween(400, 499);
        }
        assertThat(pond.bean(OwnKeys.class).of(work.account()).pressed()).containsExactly(Map.entry("ledger", "Z"));
    }
}
