/** Pictures of a sheet to look at and to hand on. */
@ApplicationModule(displayName = "Export")
package stillpond.app.export;

import org.springframework.modulith.ApplicationModule;
