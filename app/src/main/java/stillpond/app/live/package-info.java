/** Tells open pages what others have changed. */
@ApplicationModule(displayName = "Live")
package stillpond.app.live;

import org.springframework.modulith.ApplicationModule;
