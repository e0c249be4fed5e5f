/**
 * Who may call what: one filter chain, and one rule that every address below a project passes.
 */
@ApplicationModule(displayName = "Access")
package stillpond.app.access;

import org.springframework.modulith.ApplicationModule;
