package stillpond.app.reading;

import stillpond.core.format.UnreadableFile;

/** A file that is not read now, because of others, and may be later. */
public class NotNow extends UnreadableFile {

    private static final long serialVersionUID = 1L;

    NotNow(String message) {
        super(message);
    }
}
