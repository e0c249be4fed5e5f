/** The desk: the page where one sheet is filled, and the calls that it makes. */
@ApplicationModule(displayName = "Desk")
package stillpond.app.desk;

import org.springframework.modulith.ApplicationModule;
