/** Projects, their members and their scenes. */
@ApplicationModule(displayName = "Project")
package stillpond.app.project;

import org.springframework.modulith.ApplicationModule;
