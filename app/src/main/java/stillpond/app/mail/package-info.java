/** Letters to people: over SMTP where a server is set, else to a stand-in that keeps and shows them, or to nobody. */
@ApplicationModule(displayName = "Mail")
package stillpond.app.mail;

import org.springframework.modulith.ApplicationModule;
