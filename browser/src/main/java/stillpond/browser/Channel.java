package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/** What one number of a colour model may be, in steps that make a difference. */
public record Channel(
        @JSExport @JSProperty("min") double min,
        @JSExport @JSProperty("max") double max,
        @JSExport @JSProperty("step") double step,
        @JSExport @JSProperty("unit") String unit) {}
