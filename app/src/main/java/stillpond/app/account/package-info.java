/** People and how they sign in. */
@ApplicationModule(displayName = "Account")
package stillpond.app.account;

import org.springframework.modulith.ApplicationModule;
