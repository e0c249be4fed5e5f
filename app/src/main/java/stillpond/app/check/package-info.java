/** What is wrong or suspicious on a sheet, and what of it somebody has accepted as meant. */
@ApplicationModule(displayName = "Check")
package stillpond.app.check;

import org.springframework.modulith.ApplicationModule;
