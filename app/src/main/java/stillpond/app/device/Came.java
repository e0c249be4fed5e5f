package stillpond.app.device;

import java.util.Map;

/** What came of a job. @param files by name: what was sent, and what is to be seen */
record Came(String words, Map<String, byte[]> files) {

    Came {
        files = Map.copyOf(files);
    }
}
