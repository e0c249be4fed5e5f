package stillpond.app.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

/** What stands around requests and answers. */
class HeadersTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());

    @Test
    void aHostThatIsNotOursIsRefusedAndNoRedirectLeadsThere() throws IOException {
        assertThat(raw("Host: still-pond.invalid")).startsWith("HTTP/1.1 400").doesNotContain("still-pond.invalid");
        assertThat(raw("Host: 127.0.0.1")).startsWith("HTTP/1.1 302");
    }

    @Test
    void whatAStrangerSaysOfAProxyIsNotBelieved() throws IOException {
        assertThat(raw("""
                Host: 127.0.0.1\r
                X-Forwarded-Proto: https\r
                X-Forwarded-Host: still-pond.invalid"""))
                .startsWith("HTTP/1.1 302")
                .contains("Location: http://127.0.0.1")
                .doesNotContain("Strict-Transport-Security", "Secure");
    }

    /** Past every client that would mend the headers. */
    private String raw(String headers) throws IOException {
        URI address = URI.create(pond.url());
        try (Socket socket = new Socket(address.getHost(), address.getPort())) {
            String request = "GET / HTTP/1.1\r\n" + headers + "\r\nConnection: close\r\n\r\n";
            socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.ISO_8859_1);
        }
    }

    @Test
    void whatCallsAreAnsweredIsKeptNowhere() {
        assertThat(header("/projects/" + work.project() + "/palette", "Cache-Control"))
                .isEqualTo("no-store");
        assertThat(header("/", "Cache-Control")).isEqualTo("no-store");
    }

    @Test
    void thatAProjectIsNotThereIsNotKeptByABrowserWhoseUserIsInvitedLater() {
        var refusal = visitor.get("/projects/" + Work.begin(pond).project());

        assertThat(refusal.statusCode()).isEqualTo(404);
        assertThat(refusal.headers().firstValue("Cache-Control")).contains("no-store");
    }

    @Test
    void noPageMayAskForCameraOrPlace() {
        assertThat(header("/", "Permissions-Policy")).contains("camera=()", "geolocation=()", "usb=()");
    }

    private String header(String path, String name) {
        return visitor.get(path).headers().firstValue(name).orElse("");
    }
}
