package stillpond.app.device;

import java.util.Map;

/**
 * What came of a job.
 *
 * @param isDone or else the device refused it
 * @param words what came of it, or why not
 * @param files by name: what was sent, and what is to be seen
 */
record Came(boolean isDone, String words, Map<String, byte[]> files) {

    Came {
        files = Map.copyOf(files);
    }
}
