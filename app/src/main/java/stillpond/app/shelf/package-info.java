/** The shelf of projects, and the page of one project. */
@ApplicationModule(displayName = "Shelf")
package stillpond.app.shelf;

import org.springframework.modulith.ApplicationModule;
