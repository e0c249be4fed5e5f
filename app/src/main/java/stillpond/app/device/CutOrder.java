package stillpond.app.device;

import stillpond.core.cut.CutSettings;
import stillpond.core.handon.Arrangement;

/**
 * How a group of a sheet is to be cut.
 *
 * @param isPrinted whether the sheet is printed first, with marks by which the cutter finds how the print lies
 */
record CutOrder(Arrangement by, String group, CutSettings settings, boolean isPrinted) {}
