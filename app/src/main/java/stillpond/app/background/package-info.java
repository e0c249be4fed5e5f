/** Work that goes on while nobody waits for it. */
@ApplicationModule(displayName = "Background")
package stillpond.app.background;

import org.springframework.modulith.ApplicationModule;
