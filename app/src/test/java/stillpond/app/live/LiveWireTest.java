package stillpond.app.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;

import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.health.contributor.Status;
import org.springframework.boot.jdbc.autoconfigure.JdbcConnectionDetails;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.support.TestPond;
import tools.jackson.databind.json.JsonMapper;

/** The line between nodes holds, whatever is said on it. */
class LiveWireTest {

    private static final int PATIENCE_MS = 20_000;

    private final TestPond pond = TestPond.shared();
    private final JdbcClient database = pond.bean(JdbcClient.class);
    private final LiveLines lines = mock(LiveLines.class);
    private final LiveWire wire =
            new LiveWire(database, pond.bean(JdbcConnectionDetails.class), lines, pond.bean(JsonMapper.class));
    private final UUID project = UUID.randomUUID();

    @AfterEach
    void end() {
        if (wire.isRunning()) {
            wire.stop();
        }
    }

    private void say(String text) {
        database.sql("select pg_notify('pond_live', ?)")
                .param(text)
                .query((row, number) -> "")
                .list();
    }

    @Test
    void whatMakesNoSenseOrCannotBePassedOnDoesNotEndTheLine() {
        LiveEvent first = new LiveEvent(project, "first", "{}");
        LiveEvent second = new LiveEvent(project, "second", "{}");
        doThrow(new IllegalStateException("a page is gone")).when(lines).tell(first);
        wire.start();
        // What is said before somebody listens nobody hears.
        await().until(wire::hears);
        say("no event");
        say(first.text());
        say(second.text());
        verify(lines, timeout(PATIENCE_MS)).tell(second);
        assertThat(new LiveWireHealthIndicator(wire).health().getStatus()).isEqualTo(Status.UP);
    }

    @Test
    void aNodeThatDoesNotHearIsNotReady() {
        assertThat(new LiveWireHealthIndicator(wire).health().getStatus()).isEqualTo(Status.DOWN);
    }
}
