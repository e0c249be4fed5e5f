/** Carries fills from sheets that are laid to drawings of the same things. */
@ApplicationModule(displayName = "Carry")
package stillpond.app.carry;

import org.springframework.modulith.ApplicationModule;
