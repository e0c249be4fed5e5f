package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/** Two colours, by their places in a list, that are hard to tell apart or of one name; and how far apart by CIEDE2000. */
public record Twins(
        @JSExport @JSProperty("first") int first,
        @JSExport @JSProperty("second") int second,
        @JSExport @JSProperty("difference") double difference) {}
