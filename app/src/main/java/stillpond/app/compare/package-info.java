/** Whether the same part is the same everywhere: parts by sheets, sheets side by side, and two moments of one. */
@ApplicationModule(displayName = "Compare")
package stillpond.app.compare;

import org.springframework.modulith.ApplicationModule;
