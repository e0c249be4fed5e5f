package stillpond.app.access;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.authorization.AuthorizationResult;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.stereotype.Component;
import stillpond.app.account.SignedIn;
import stillpond.app.project.Members;
import stillpond.app.project.Right;
import stillpond.app.project.Role;

/**
 * The one place where membership is checked: every address of anything in a project begins with {@code /projects/{project}}, and whoever is not
 * a member of that project is turned away before any controller runs, as is a guest who sends anything.
 */
@Component
class ProjectMembership implements AuthorizationManager<RequestAuthorizationContext> {

    /** What is sent and changes nothing: where somebody is on a sheet, and that they leave. */
    private static final Pattern FOR_GUESTS = Pattern.compile("/projects/[^/]+/(sheets/[^/]+/here|members/leave)");

    private final Members members;

    ProjectMembership(Members members) {
        this.members = members;
    }

    /** Refused in words. */
    static final class Told extends AuthorizationDecision {

        private static final long serialVersionUID = 1L;

        private final String words;

        private Told(String words) {
            super(false);
            this.words = words;
        }

        /** For the user; plain letters, without quotation marks. */
        String words() {
            return words;
        }
    }

    private static final Told ONLY_LOOKS = new Told("A guest only looks. Nothing was changed.");
    private static final Told NO_LONGER =
            new Told("You are no member of this project any more. What still waited here was not taken.");

    @Override
    public AuthorizationResult authorize(
            Supplier<? extends Authentication> authentication, RequestAuthorizationContext context) {
        if (authentication.get() == null || !(authentication.get().getPrincipal() instanceof SignedIn person)) {
            return new AuthorizationDecision(false);
        }
        try {
            UUID project = UUID.fromString(context.getVariables().get("project"));
            return decide(project, person.id(), context.getRequest());
        } catch (IllegalArgumentException notAnId) {
            return new AuthorizationDecision(false);
        }
    }

    private AuthorizationResult decide(UUID project, UUID person, HttpServletRequest request) {
        Optional<Role> role = members.roleUnlessRemoved(project, person);
        if (role.isEmpty()) {
            return isSending(request) && members.wasMember(project, person)
                    ? NO_LONGER
                    : new AuthorizationDecision(false);
        }
        request.setAttribute(Role.OF_REQUEST, role.get());
        boolean isAllowed = !isSending(request)
                || Right.WORK_ON_SHEETS.isFor(role.get())
                || FOR_GUESTS.matcher(request.getServletPath()).matches();
        return isAllowed ? new AuthorizationDecision(true) : ONLY_LOOKS;
    }

    private static boolean isSending(HttpServletRequest request) {
        return !request.getMethod().equals("GET") && !request.getMethod().equals("HEAD");
    }
}
