package stillpond.app.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.doReturn;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpSession;
import org.springframework.session.MapSession;
import org.springframework.session.SessionRepository;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import stillpond.app.project.Projects;

class LiveLinesTest {

    private static final UUID PROJECT = UUID.randomUUID();
    private static final UUID PERSON = UUID.randomUUID();

    private final Projects projects = mock(Projects.class);
    private final SessionRepository<?> sessions = mock(SessionRepository.class);
    private final LiveLines lines = new LiveLines(projects, sessions);
    private final MockHttpSession session = new MockHttpSession();

    @BeforeEach
    void aMemberIsSignedIn() {
        doReturn(new MapSession()).when(sessions).findById(anyString());
        when(projects.hasMember(any(), any())).thenReturn(true);
    }

    private SseEmitter open() throws IOException {
        return lines.open(PROJECT, PERSON, session);
    }

    @Test
    void whoeverSignsOutHearsNoMore() throws IOException {
        SseEmitter line = open();
        lines.endOf("another session");
        assertThat(isOpen(line)).isTrue();
        lines.endOf(session.getId());
        assertThat(isOpen(line)).isFalse();
    }

    @Test
    void aLineEndsWithItsMembershipAndWithItsSession() throws IOException {
        SseEmitter line = open();
        lines.check();
        assertThat(isOpen(line)).isTrue();
        when(projects.hasMember(PROJECT, PERSON)).thenReturn(false);
        lines.check();
        assertThat(isOpen(line)).isFalse();

        when(projects.hasMember(PROJECT, PERSON)).thenReturn(true);
        SseEmitter another = open();
        doReturn(null).when(sessions).findById(session.getId());
        lines.check();
        assertThat(isOpen(another)).isFalse();
    }

    @Test
    void oneSessionHasSoManyAndLosesTheOldest() throws IOException {
        List<SseEmitter> opened = new ArrayList<>();
        for (int i = 0; i <= LiveLines.MOST_OF_A_SESSION; i++) {
            opened.add(open());
        }
        assertThat(isOpen(opened.get(0))).isFalse();
        assertThat(opened.subList(1, opened.size())).allMatch(LiveLinesTest::isOpen);
    }

    private static boolean isOpen(SseEmitter line) {
        try {
            line.send("still here");
            return true;
        } catch (IOException | IllegalStateException ended) {
            return false;
        }
    }
}
