package stillpond.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;
import stillpond.core.gap.Figure;

/** The cells inside one silhouette, and the regions among them that may be holes. */
public record FigureShown(
        @JSExport @JSProperty("cells") int[] cells,
        @JSExport @JSProperty("holes") int[][] holes) {

    static FigureShown of(Figure figure) {
        return new FigureShown(
                Numbers.of(figure.cells()),
                figure.holes().stream().map(Numbers::of).toArray(int[][]::new));
    }
}
