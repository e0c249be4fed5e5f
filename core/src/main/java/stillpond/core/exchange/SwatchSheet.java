package stillpond.core.exchange;

import java.nio.charset.StandardCharsets;
import java.util.List;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

/** Cards as a picture to look at or print: an SVG sheet of swatches with their names. */
public final class SwatchSheet {

    private static final int COLUMNS = 5;
    private static final int CELL = 150;
    private static final int TITLE = 56;

    private SwatchSheet() {}

    public static byte[] write(List<Card> cards, Palette palette) {
        StringBuilder body = new StringBuilder();
        int y = 0;
        for (Card card : cards) {
            body.append(text(20, y + 38, 24, card.name() + (card.subject().isEmpty() ? "" : ", " + card.subject())));
            y += TITLE;
            int i = 0;
            for (Swatch swatch : card.swatches()) {
                body.append(swatch(20 + i % COLUMNS * CELL, y + i / COLUMNS * CELL, swatch, palette));
                i++;
            }
            y += (i + COLUMNS - 1) / COLUMNS * CELL + 10;
        }
        String svg = String.format(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %1$d %2$d\" width=\"%1$d\" height=\"%2$d\" font-family=\"sans-serif\">%n"
                        + "<rect width=\"100%%\" height=\"100%%\" fill=\"#fff\"/>%n%3$s</svg>%n",
                20 + COLUMNS * CELL + 20, y + 10, body);
        return svg.getBytes(StandardCharsets.UTF_8);
    }

    private static String swatch(int x, int y, Swatch swatch, Palette palette) {
        String hex = palette.colourOf(swatch.id()).orElseThrow().hex();
        return String.format(
                        "<rect x=\"%d\" y=\"%d\" width=\"%d\" height=\"80\" rx=\"14\" fill=\"%s\" stroke=\"#000\" stroke-opacity=\".15\"/>%n",
                        x, y, CELL - 20, hex)
                + text(x, y + 100, 14, swatch.name())
                + text(x, y + 118, 12, hex + (swatch.part().isEmpty() ? "" : " · " + swatch.part()));
    }

    private static String text(int x, int y, int size, String text) {
        String escaped = text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
        return String.format("<text x=\"%d\" y=\"%d\" font-size=\"%d\">%s</text>%n", x, y, size, escaped);
    }
}
