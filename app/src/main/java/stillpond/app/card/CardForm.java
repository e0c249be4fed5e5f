package stillpond.app.card;

import java.util.List;
import org.springframework.http.MediaType;
import stillpond.core.exchange.CardCsv;
import stillpond.core.exchange.CssProperties;
import stillpond.core.exchange.SwatchSheet;
import stillpond.core.exchange.Tokens;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;

/** The kinds of file that a card goes out in. */
public enum CardForm {
    TOKENS(".json", MediaType.APPLICATION_JSON),
    CSS(".css", MediaType.valueOf("text/css")),
    CSV(".csv", MediaType.valueOf("text/csv")),
    SVG(".svg", MediaType.valueOf("image/svg+xml")),
    PDF(".pdf", MediaType.APPLICATION_PDF);

    private final String ending;
    private final MediaType type;

    CardForm(String ending, MediaType type) {
        this.ending = ending;
        this.type = type;
    }

    public byte[] write(List<Card> cards, Palette palette) {
        return switch (this) {
            case TOKENS -> Tokens.write(cards, palette);
            case CSS -> CssProperties.write(cards, palette);
            case CSV -> CardCsv.write(cards, palette);
            case SVG -> SwatchSheet.write(cards, palette);
            case PDF -> CardPdf.write(cards, palette);
        };
    }

    /** Of its files, with the dot. */
    public String ending() {
        return ending;
    }

    public MediaType type() {
        return type;
    }
}
