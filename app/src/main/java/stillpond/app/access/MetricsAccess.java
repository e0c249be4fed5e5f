package stillpond.app.access;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Objects;
import java.util.function.Supplier;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.authorization.AuthorizationResult;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.stereotype.Component;
import stillpond.app.settings.PondSettings;

/** Metrics are for whoever has the token that is set, and for nobody where none is set. */
@Component
class MetricsAccess implements AuthorizationManager<RequestAuthorizationContext> {

    private final String token;

    MetricsAccess(PondSettings settings) {
        this.token = settings.metricsToken();
    }

    @Override
    public AuthorizationResult authorize(
            Supplier<? extends Authentication> authentication, RequestAuthorizationContext context) {
        String given = Objects.toString(context.getRequest().getHeader(HttpHeaders.AUTHORIZATION), "");
        byte[] wanted = ("Bearer " + token).getBytes(StandardCharsets.UTF_8);
        boolean isIt = MessageDigest.isEqual(wanted, given.getBytes(StandardCharsets.UTF_8));
        return new AuthorizationDecision(!token.isBlank() && isIt);
    }
}
