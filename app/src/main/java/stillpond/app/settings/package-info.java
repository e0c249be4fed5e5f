/** What whoever runs the application can set; application.yaml says how. */
@ApplicationModule(displayName = "Settings")
package stillpond.app.settings;

import org.springframework.modulith.ApplicationModule;
