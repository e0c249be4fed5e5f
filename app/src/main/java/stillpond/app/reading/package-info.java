/** Reads the pictures that people send, in processes of their own that can be stopped. */
@ApplicationModule(displayName = "Reading")
package stillpond.app.reading;

import org.springframework.modulith.ApplicationModule;
