/** The demo: a made-up picture book, two people who work on it, and a way in without a password. */
@ApplicationModule(displayName = "Demo")
package stillpond.app.demo;

import org.springframework.modulith.ApplicationModule;
