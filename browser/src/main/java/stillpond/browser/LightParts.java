package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;

/** A light taken apart: the rule for all, those of single cards, and what single swatches show, which is `drawn` or a hex code. */
public record LightParts(
        @JSExport @JSProperty("all") RuleParts all,
        @JSExport @JSProperty("cards") String[] cards,
        @JSExport @JSProperty("rules") RuleParts[] rules,
        @JSExport @JSProperty("swatches") String[] swatches,
        @JSExport @JSProperty("exceptions") String[] exceptions) {}
