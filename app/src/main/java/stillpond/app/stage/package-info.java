/** What a scene is seen in: its light, what its characters wear, and who is on its sheets. */
@ApplicationModule(displayName = "Stage")
package stillpond.app.stage;

import org.springframework.modulith.ApplicationModule;
