/** Cards in work: editing, trying out, exchange, and colours from reference pictures. */
@ApplicationModule(displayName = "Card")
package stillpond.app.card;

import org.springframework.modulith.ApplicationModule;
