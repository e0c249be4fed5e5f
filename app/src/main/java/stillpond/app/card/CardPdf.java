package stillpond.app.card;

import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import stillpond.app.page.PdfType;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

/** A card as a page to print and pin up: A4, swatches with names, parts and codes. */
final class CardPdf {

    private static final float MARGIN = 48;
    private static final float SIDE = 84;
    private static final float STEP_X = 126;
    private static final float STEP_Y = 132;
    private static final int COLUMNS = 4;
    private static final int ROWS = 5;

    private static final PdfType.Setting TITLE = new PdfType.Setting(22, true, 40);
    private static final PdfType.Setting SUBJECT = new PdfType.Setting(12, false, 80);
    private static final PdfType.Setting NAME = new PdfType.Setting(10, true, 24);
    private static final PdfType.Setting VALUE = new PdfType.Setting(9, false, 24);

    private CardPdf() {}

    static byte[] write(List<Card> cards, Palette palette) {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PdfType type = new PdfType(document);
            for (Card card : cards) {
                List<Swatch> left = card.swatches();
                do {
                    List<Swatch> onPage = left.subList(0, Math.min(left.size(), COLUMNS * ROWS));
                    addPage(document, type, card, onPage, palette);
                    left = left.subList(onPage.size(), left.size());
                } while (!left.isEmpty());
            }
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void addPage(PDDocument document, PdfType type, Card card, List<Swatch> swatches, Palette palette)
            throws IOException {
        PDPage page = new PDPage(PDRectangle.A4);
        document.addPage(page);
        float top = PDRectangle.A4.getHeight() - MARGIN;
        try (PDPageContentStream content = new PDPageContentStream(document, page)) {
            type.write(content, TITLE, MARGIN, top - 18, card.name());
            type.write(content, SUBJECT, MARGIN, top - 36, card.subject());
            for (int i = 0; i < swatches.size(); i++) {
                Swatch swatch = swatches.get(i);
                float x = MARGIN + i % COLUMNS * STEP_X;
                float y = top - 60 - SIDE - i / COLUMNS * STEP_Y;
                String hex = palette.colourOf(swatch.id()).orElseThrow().hex();
                content.setNonStrokingColor(Color.decode(hex));
                content.addRect(x, y, SIDE, SIDE);
                content.fill();
                type.write(content, NAME, x, y - 14, swatch.name());
                type.write(content, VALUE, x, y - 26, hex);
                type.write(content, VALUE, x, y - 37, swatch.part());
            }
        }
    }
}
