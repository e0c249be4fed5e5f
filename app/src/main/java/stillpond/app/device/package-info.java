/** The press and the cutter: both are simulated, behind the interfaces that real ones would have. */
@ApplicationModule(displayName = "Device")
package stillpond.app.device;

import org.springframework.modulith.ApplicationModule;
