package stillpond.app.export;

import java.util.List;
import java.util.function.Supplier;
import stillpond.core.handon.Printed;
import stillpond.core.ink.Picture;

/**
 * What a proof shows.
 *
 * @param date on which it was made
 * @param printCondition its name
 * @param scene whose palette it ends with, its name
 * @param palette of all its sheets
 */
record Proof(
        String project, String scene, String date, String printCondition, List<Page> pages, List<Printed> palette) {

    /**
     * One sheet.
     *
     * @param light empty if it has none
     * @param picture small enough to be printed, what cannot be printed hatched; made when it is asked for, so that a scene needs no more memory than a sheet
     */
    record Page(String title, String light, Supplier<Picture> picture, List<Printed> palette) {}
}
