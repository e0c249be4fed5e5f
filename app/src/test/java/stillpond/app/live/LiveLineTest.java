package stillpond.app.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

class LiveLineTest {

    private final List<Runnable> sending = new ArrayList<>();
    private final List<LiveLine> gone = new ArrayList<>();
    private final LiveLine line =
            new LiveLine(UUID.randomUUID(), UUID.randomUUID(), "a session", sending::add, gone::add);

    @Test
    void whoeverTellsDoesNotSendAndOneSenderAtATimeSendsAllThatWaits() {
        tell(3);
        assertThat(sending).hasSize(1);
        sending.get(0).run();
        tell(1);
        assertThat(sending).as("when all was sent, the next one begins anew").hasSize(2);
        assertThat(gone).isEmpty();
    }

    @Test
    void aPageThatTakesNothingInIsLetGo() {
        tell(500);
        assertThat(gone).contains(line);
        assertThatThrownBy(() -> line.emitter().send("more")).isInstanceOf(IllegalStateException.class);
    }

    private void tell(int times) {
        for (int i = 0; i < times; i++) {
            line.tell(SseEmitter.event().name("sheet").data("changed"));
        }
    }
}
