package stillpond.app.history;

import java.util.Optional;
import java.util.UUID;
import stillpond.core.refusal.Refusal;

/**
 * Knows how effects of one kind are done. There is one for each kind, where what it changes is kept.
 *
 * @param <E> the kind
 */
public interface EffectKind<E extends Effect> {

    Class<E> effects();

    /**
     * Does an effect, as far as it is still possible: what is not as the effect says it was before has been changed since, and is left alone. The rows that
     * it changes are locked already.
     *
     * @throws Refusal if it cannot be done at all
     */
    Done done(UUID project, UUID author, E effect);

    /**
     * What came of it.
     *
     * @param effect what was really done; empty if nothing
     * @param leftAlone how many things stay as they are, since they were changed since
     */
    record Done(Optional<Effect> effect, int leftAlone) {

        public static Done all(Effect effect) {
            return new Done(Optional.of(effect), 0);
        }

        /** Nothing of it could be done. */
        public static Done nothing() {
            return new Done(Optional.empty(), 1);
        }
    }
}
