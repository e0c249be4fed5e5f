package stillpond.app.access;

import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.authorization.AuthorizationResult;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.stereotype.Component;
import stillpond.app.account.SignedIn;
import stillpond.app.project.Projects;

/**
 * The one place where membership is checked: every address of anything in a project begins with {@code /projects/{project}}, and whoever is not
 * a member of that project is turned away before any controller runs.
 */
@Component
class ProjectMembership implements AuthorizationManager<RequestAuthorizationContext> {

    private final Projects projects;

    ProjectMembership(Projects projects) {
        this.projects = projects;
    }

    @Override
    public AuthorizationResult authorize(
            Supplier<? extends Authentication> authentication, RequestAuthorizationContext context) {
        boolean allowed = authentication.get() != null
                && authentication.get().getPrincipal() instanceof SignedIn person
                && isMember(person, context.getVariables().get("project"));
        return new AuthorizationDecision(allowed);
    }

    private boolean isMember(SignedIn person, String project) {
        try {
            return projects.hasMember(UUID.fromString(project), person.id());
        } catch (IllegalArgumentException notAnId) {
            return false;
        }
    }
}
