package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/** The nearest of some colours, by its place among them, and how far it is by CIEDE2000. */
public record Nearest(
        @JSExport @JSProperty("index") int index,
        @JSExport @JSProperty("difference") double difference,
        @JSExport @JSProperty("isHardToTell") boolean isHardToTell) {}
