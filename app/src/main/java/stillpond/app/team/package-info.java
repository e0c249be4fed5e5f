/** Who works together: members of a project, invitations to it, and the first account of an installation. */
@ApplicationModule(displayName = "Team")
package stillpond.app.team;

import org.springframework.modulith.ApplicationModule;
