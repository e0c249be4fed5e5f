package stillpond.app.account;

import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.refusal.Refusal;

/** The keys of the desk as each person wants them. */
@Service
public class OwnKeys {

    private static final int MOST = 200;
    private static final Pattern COMMAND = Pattern.compile("[a-z0-9-]{1,40}");
    private static final Pattern PRESSED = Pattern.compile("(Ctrl )?(Shift )?(\\S|[A-Z][A-Za-z0-9]{1,11})|");

    private final KeysRepository stored;

    OwnKeys(KeysRepository stored) {
        this.stored = stored;
    }

    /**
     * What somebody has changed.
     *
     * @param letters whether keys of one character act at all (WCAG 2.2, 2.1.4)
     * @param pressed by the name of a command the key that it has now; empty for none
     */
    public record Keys(boolean letters, Map<String, String> pressed) {

        static final Keys AS_THEY_COME = new Keys(true, Map.of());

        public Keys {
            if (pressed.size() > MOST) {
                throw new Refusal("Up to " + MOST + " keys can be changed. Nothing was changed.");
            }
            pressed.forEach((command, key) -> {
                if (!COMMAND.matcher(command).matches() || !PRESSED.matcher(key).matches()) {
                    throw new Refusal("'" + key + "' is no key that can be kept. Nothing was changed.");
                }
            });
            pressed = new TreeMap<>(pressed);
        }
    }

    @Transactional(readOnly = true)
    public Keys of(UUID person) {
        return stored.findById(person).map(StoredKeys::keys).orElse(Keys.AS_THEY_COME);
    }

    @Transactional
    public void keep(UUID person, Keys keys) {
        StoredKeys kept = stored.findById(person).orElseGet(() -> new StoredKeys(person));
        kept.become(keys);
        stored.save(kept);
    }
}
