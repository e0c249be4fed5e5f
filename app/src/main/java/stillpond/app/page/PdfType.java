package stillpond.app.page;

import java.awt.Color;
import java.io.IOException;
import java.io.InputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;

/** The type of a PDF: Liberation Sans, as PDFBox brings it, for Latin, Greek and Cyrillic letters. Only what is used goes into the file. */
public final class PdfType {

    private static final String TYPEFACE = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";
    private static final String UNKNOWN = "?";
    /** Of the size; there is one weight, and a heavier one is drawn with an outline. */
    private static final float OUTLINE = 0.03f;

    private final PDFont typeface;

    public PdfType(PDDocument document) throws IOException {
        try (InputStream font = PDDocument.class.getResourceAsStream(TYPEFACE)) {
            this.typeface = PDType0Font.load(document, font);
        }
    }

    /** How a text is set. @param most letters of it; the rest is cut off with a dot */
    public record Setting(float size, boolean isHeavy, int most) {}

    /** @param x of its left end, as {@code y} of its base line, from the lower left of the page */
    public void write(PDPageContentStream content, Setting setting, float x, float y, String text) throws IOException {
        content.saveGraphicsState();
        content.setNonStrokingColor(Color.BLACK);
        content.setStrokingColor(Color.BLACK);
        content.setLineWidth(OUTLINE * setting.size());
        content.beginText();
        content.setRenderingMode(setting.isHeavy() ? RenderingMode.FILL_STROKE : RenderingMode.FILL);
        content.setFont(typeface, setting.size());
        content.newLineAtOffset(x, y);
        content.showText(known(text, setting.most()));
        content.endText();
        content.restoreGraphicsState();
    }

    private String known(String text, int most) {
        StringBuilder known = new StringBuilder();
        text.codePoints()
                .mapToObj(Character::toString)
                .forEach(letter -> known.append(isKnown(letter) ? letter : UNKNOWN));
        return known.length() > most ? known.substring(0, most - 1) + "." : known.toString();
    }

    private boolean isKnown(String letter) {
        try {
            typeface.encode(letter);
            return true;
        } catch (IllegalArgumentException | IOException notInIt) {
            return false;
        }
    }
}
