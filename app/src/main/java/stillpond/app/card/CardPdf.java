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
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
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

    private CardPdf() {}

    static byte[] write(List<Card> cards, Palette palette) {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            for (Card card : cards) {
                List<Swatch> left = card.swatches();
                do {
                    List<Swatch> onPage = left.subList(0, Math.min(left.size(), COLUMNS * ROWS));
                    addPage(document, card, onPage, palette);
                    left = left.subList(onPage.size(), left.size());
                } while (!left.isEmpty());
            }
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void addPage(PDDocument document, Card card, List<Swatch> swatches, Palette palette)
            throws IOException {
        PDPage page = new PDPage(PDRectangle.A4);
        document.addPage(page);
        PDFont bold = new PDType1Font(FontName.HELVETICA_BOLD);
        PDFont plain = new PDType1Font(FontName.HELVETICA);
        float top = PDRectangle.A4.getHeight() - MARGIN;
        try (PDPageContentStream content = new PDPageContentStream(document, page)) {
            write(content, bold, 22, MARGIN, top - 18, card.name());
            write(content, plain, 12, MARGIN, top - 36, card.subject());
            for (int i = 0; i < swatches.size(); i++) {
                Swatch swatch = swatches.get(i);
                float x = MARGIN + i % COLUMNS * STEP_X;
                float y = top - 60 - SIDE - i / COLUMNS * STEP_Y;
                String hex = palette.colourOf(swatch.id()).orElseThrow().hex();
                content.setNonStrokingColor(Color.decode(hex));
                content.addRect(x, y, SIDE, SIDE);
                content.fill();
                content.setNonStrokingColor(Color.BLACK);
                write(content, bold, 10, x, y - 14, swatch.name());
                write(content, plain, 9, x, y - 26, hex);
                write(content, plain, 9, x, y - 37, swatch.part());
            }
        }
    }

    private static void write(PDPageContentStream content, PDFont font, float size, float x, float y, String text)
            throws IOException {
        content.beginText();
        content.setFont(font, size);
        content.newLineAtOffset(x, y);
        content.showText(printable(text));
        content.endText();
    }

    /** The fonts that every reader of PDF has know Latin letters only. */
    private static String printable(String text) {
        String kept = text.replaceAll("[^\\x20-\\x7e\\u00a1-\\u00ff]", "?");
        return kept.length() > 24 ? kept.substring(0, 23) + "." : kept;
    }
}
