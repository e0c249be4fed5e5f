package stillpond.app.adopt;

import stillpond.core.refusal.Refusal;

/** Flats of another size than their sheet, which nobody has said are to be stretched over it. */
final class OtherSize extends Refusal {

    private static final long serialVersionUID = 1;

    OtherSize(int width, int height, int sheetWidth, int sheetHeight) {
        super("This picture is " + width + " by " + height + " pixels, the sheet " + sheetWidth + " by " + sheetHeight
                + ". Nothing was taken over.");
    }
}
