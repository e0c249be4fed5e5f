/** Projects as files, to be taken to another installation. docs/project-file.md describes them. */
@ApplicationModule(displayName = "Travel")
package stillpond.app.travel;

import org.springframework.modulith.ApplicationModule;
