/** The cards of a project and their swatches. */
@ApplicationModule(displayName = "Palette")
package stillpond.app.palette;

import org.springframework.modulith.ApplicationModule;
