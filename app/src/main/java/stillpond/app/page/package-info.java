/** What every page shares: errors as pages or as problem details, and who is signed in. */
@ApplicationModule(displayName = "Page")
package stillpond.app.page;

import org.springframework.modulith.ApplicationModule;
