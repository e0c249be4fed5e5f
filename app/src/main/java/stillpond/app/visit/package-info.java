/** Links that only look at a project or at one of its scenes, for people without an account, until they end. */
@ApplicationModule(displayName = "Visit")
package stillpond.app.visit;

import org.springframework.modulith.ApplicationModule;
