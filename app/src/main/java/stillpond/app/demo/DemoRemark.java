package stillpond.app.demo;

import java.util.List;

/**
 * What is said about a place of a sheet; remarks do not travel in project files.
 *
 * @param x from 0 to 1 of the width of the sheet, as {@code y} of its height
 */
record DemoRemark(String sheet, double x, double y, DemoPerson by, String text, List<Answer> answers) {

    record Answer(DemoPerson by, String text) {}
}
