/** What people say about places of sheets and about swatches, and what is answered. */
@ApplicationModule(displayName = "Remarks")
package stillpond.app.remark;

import org.springframework.modulith.ApplicationModule;
