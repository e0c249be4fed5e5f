/** Sheets: their line art, their cells, their fills and every change made to those. */
@ApplicationModule(displayName = "Sheet")
package stillpond.app.sheet;

import org.springframework.modulith.ApplicationModule;
