package stillpond.app.export;

import java.util.List;
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

    /** One sheet. @param light empty if it has none @param picture small enough to be printed, what cannot be printed hatched */
    record Page(String title, String light, Picture picture, List<Printed> palette) {}
}
