package stillpond.app.live;

import java.util.UUID;

/** A {@link LiveMessage} on its way to the pages of a project. @param data the message as JSON, in one line */
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
