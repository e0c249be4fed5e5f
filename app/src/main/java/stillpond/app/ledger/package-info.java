/** Every colour in use in a project. */
@ApplicationModule(displayName = "Ledger")
package stillpond.app.ledger;

import org.springframework.modulith.ApplicationModule;
