package stillpond.app.live;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.app.history.Part;

/**
 * What the pages of a project are told. Nothing of the project's content is in it; a page asks for what it shows.
 *
 * <p>Each names the page that it comes from, so that this page need not ask again for what it did itself; null if no page has asked for it.
 */
sealed interface LiveMessage {

    /** The name of the event that carries it. */
    String event();

    /**
     * A part of a sheet is another now.
     *
     * @param change the row of the log; null if nobody asked for it, so that there is none
     * @param author likewise
     */
    record SheetChanged(
            UUID sheet,
            Part part,
            @Nullable UUID change,
            @Nullable UUID author,
            @Nullable UUID page) implements LiveMessage {
        @Override
        public String event() {
            return "sheet";
        }
    }

    /** Cards, lights or wardrobes are others now. */
    record PaletteChanged(
            @Nullable UUID change,
            @Nullable UUID author,
            @Nullable UUID page) implements LiveMessage {
        @Override
        public String event() {
            return "palette";
        }
    }

    /**
     * Somebody is on a sheet. Not kept.
     *
     * @param person the account, so that nobody is shown their own other windows
     * @param name of the person
     * @param cell of the region pointed at; null if none is
     * @param isGone whether the page is being left
     */
    record Presence(
            UUID sheet,
            @Nullable UUID page,
            UUID person,
            String name,
            @Nullable Integer cell,
            boolean isGone) implements LiveMessage {
        @Override
        public String event() {
            return "presence";
        }
    }
}
