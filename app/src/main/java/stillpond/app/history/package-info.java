/** Everything that was done in a project, as one log to which rows are only added, and taking it back. */
@ApplicationModule(displayName = "History")
package stillpond.app.history;

import org.springframework.modulith.ApplicationModule;
