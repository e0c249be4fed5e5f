package stillpond.app.page;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.DispatcherType;
import org.junit.jupiter.api.Test;
import org.slf4j.MDC;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

class RequestIdsTest {

    private final RequestIds filter = new RequestIds();

    @Test
    void thePassThatTellsOfAFaultHasTheNumberOfItsRequest() throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest();
        String[] logged = new String[2];
        filter.doFilter(request, new MockHttpServletResponse(), (in, out) -> logged[0] = MDC.get("request"));
        request.setDispatcherType(DispatcherType.ERROR);
        request.setAttribute("jakarta.servlet.error.request_uri", "/");
        filter.doFilter(request, new MockHttpServletResponse(), (in, out) -> logged[1] = MDC.get("request"));

        assertThat(logged[0]).matches("[0-9a-f]{8}").isEqualTo(RequestIds.of(request));
        assertThat(logged[1]).isEqualTo(logged[0]);
        assertThat(MDC.get("request")).isNull();
    }
}
