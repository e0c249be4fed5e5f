/** Bringing line art in. */
@ApplicationModule(displayName = "Bring in line art")
package stillpond.app.bring;

import org.springframework.modulith.ApplicationModule;
