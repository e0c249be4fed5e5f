/** Passkeys (Web Authentication, Level 3, of the W3C): signing in with what a device or a key holds, in the place of a password and a second factor. */
@ApplicationModule(displayName = "Passkey")
package stillpond.app.passkey;

import org.springframework.modulith.ApplicationModule;
