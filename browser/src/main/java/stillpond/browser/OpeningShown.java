package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Point;

/** See {@link Opening}. @param line its points: x, then y */
public record OpeningShown(
        @JSExport @JSProperty("first") int first,
        @JSExport @JSProperty("second") int second,
        @JSExport @JSProperty("widthPx") double widthPx,
        @JSExport @JSProperty("strength") double strength,
        @JSExport @JSProperty("byHand") boolean byHand,
        @JSExport @JSProperty("line") double[] line,
        @JSExport @JSProperty("middleX") double middleX,
        @JSExport @JSProperty("middleY") double middleY) {

    static OpeningShown of(Opening opening) {
        double[] line = new double[2 * opening.line().size()];
        for (int i = 0; i < opening.line().size(); i++) {
            line[2 * i] = opening.line().get(i).x();
            line[2 * i + 1] = opening.line().get(i).y();
        }
        Point middle = opening.middle();
        return new OpeningShown(
                opening.first(),
                opening.second(),
                opening.widthPx(),
                opening.strength(),
                opening.kind() == Opening.Kind.HAND,
                line,
                middle.x(),
                middle.y());
    }
}
