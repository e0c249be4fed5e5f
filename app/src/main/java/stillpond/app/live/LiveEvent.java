package stillpond.app.live;

import java.util.UUID;

/**
 * What the pages of a project are told: the name of an event, and words without line breaks.
 *
 * @param data ends with the page that it comes from, so that this page need not ask again for what it did itself
 */
record LiveEvent(UUID project, String name, String data) {

    /** The form in which nodes tell each other. */
    String text() {
        return project + " " + name + " " + data;
    }

    static LiveEvent ofText(String text) {
        String[] parts = text.split(" ", 3);
        return new LiveEvent(UUID.fromString(parts[0]), parts[1], parts[2]);
    }
}
