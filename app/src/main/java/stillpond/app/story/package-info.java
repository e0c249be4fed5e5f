/** Who did what in a project. */
@ApplicationModule(displayName = "Story")
package stillpond.app.story;

import org.springframework.modulith.ApplicationModule;
