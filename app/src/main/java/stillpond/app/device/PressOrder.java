package stillpond.app.device;

import stillpond.core.plate.Inking;

/**
 * How a sheet is to be printed.
 *
 * @param isOwnLight whether under the light of the sheet, or as drawn
 */
record PressOrder(boolean isOwnLight, Inking inking) {}
