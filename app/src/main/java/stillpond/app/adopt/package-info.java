/** Takes over flats that were laid elsewhere. */
@ApplicationModule(displayName = "Adopt")
package stillpond.app.adopt;

import org.springframework.modulith.ApplicationModule;
