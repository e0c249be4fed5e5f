package stillpond.app.export;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import stillpond.app.page.PdfType;
import stillpond.core.colour.Cmyk;
import stillpond.core.colour.Srgb;
import stillpond.core.handon.Printed;
import stillpond.core.ink.Picture;

/** A proof as PDF: a page of A4 for each sheet with its palette, and the palette of all of them on those that follow. */
final class ProofPdf {

    private static final float MARGIN = 42;
    private static final float WIDTH = PDRectangle.A4.getWidth();
    private static final float HEIGHT = PDRectangle.A4.getHeight();
    private static final float INNER = WIDTH - 2 * MARGIN;
    private static final float MOST_PICTURE = 400;
    private static final float ROW = 36;
    private static final float STONE = 22;
    private static final int COLUMNS = 2;
    private static final float HATCH_STEP = 4;
    private static final PdfType.Setting TITLE = new PdfType.Setting(18, true, 60);
    private static final PdfType.Setting LINE = new PdfType.Setting(10, false, 100);
    private static final PdfType.Setting NAME = new PdfType.Setting(9, true, 42);
    private static final PdfType.Setting VALUE = new PdfType.Setting(8, false, 42);

    private final PDDocument document;
    private final Proof proof;
    private final PdfType type;

    private ProofPdf(PDDocument document, Proof proof) throws IOException {
        this.document = document;
        this.proof = proof;
        this.type = new PdfType(document);
    }

    /** Leaves the stream open. */
    static void write(Proof proof, OutputStream out) throws IOException {
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation().setTitle(proof.project() + ", " + proof.scene());
            ProofPdf pdf = new ProofPdf(document, proof);
            for (Proof.Page page : proof.pages()) {
                pdf.sheet(page);
            }
            if (proof.pages().size() > 1) {
                pdf.palette("All of " + proof.scene(), proof.palette());
            }
            document.save(out);
        }
    }

    private void sheet(Proof.Page page) throws IOException {
        List<Printed> left;
        try (PDPageContentStream content = page()) {
            float top = heading(content, page.title(), page.light());
            Picture picture = page.picture().get();
            float scale = Math.min(INNER / picture.widthPx(), MOST_PICTURE / picture.heightPx());
            float height = scale * picture.heightPx();
            content.drawImage(
                    LosslessFactory.createFromImage(document, imageOf(picture)),
                    MARGIN,
                    top - height,
                    scale * picture.widthPx(),
                    height);
            left = rows(content, page.palette(), top - height - 14);
        }
        if (!left.isEmpty()) {
            palette(page.title(), left);
        }
    }

    private void palette(String title, List<Printed> all) throws IOException {
        List<Printed> left = all;
        while (!left.isEmpty()) {
            try (PDPageContentStream content = page()) {
                float top = heading(content, title, "");
                left = rows(content, left, top);
            }
        }
    }

    private PDPageContentStream page() throws IOException {
        PDPage page = new PDPage(PDRectangle.A4);
        document.addPage(page);
        return new PDPageContentStream(document, page);
    }

    /** Returns how far up there is room below it. */
    private float heading(PDPageContentStream content, String title, String light) throws IOException {
        type.write(content, TITLE, MARGIN, HEIGHT - MARGIN - 14, title);
        String place = proof.project() + ", " + proof.scene() + (light.isEmpty() ? "" : ", under the light " + light);
        type.write(content, LINE, MARGIN, HEIGHT - MARGIN - 30, place);
        type.write(
                content,
                LINE,
                MARGIN,
                HEIGHT - MARGIN - 43,
                proof.date() + ". Print condition: " + proof.printCondition() + ".");
        return HEIGHT - MARGIN - 56;
    }

    /** As many as there is room for; returns the others. */
    private List<Printed> rows(PDPageContentStream content, List<Printed> palette, float top) throws IOException {
        int fitting = Math.max(1, (int) ((top - MARGIN) / ROW)) * COLUMNS;
        List<Printed> here = palette.subList(0, Math.min(palette.size(), fitting));
        int inColumn = (here.size() + COLUMNS - 1) / COLUMNS;
        for (int i = 0; i < here.size(); i++) {
            row(content, here.get(i), MARGIN + i / inColumn * INNER / COLUMNS, top - i % inColumn * ROW - STONE);
        }
        return palette.subList(here.size(), palette.size());
    }

    private void row(PDPageContentStream content, Printed swatch, float x, float y) throws IOException {
        stone(content, swatch.screen(), x, y);
        float next = x + STONE + 4;
        if (swatch.spot().isEmpty() && swatch.paper().isPresent()) {
            stone(content, swatch.paper().get(), next, y);
            next += STONE + 6;
        }
        if (!swatch.isPrintable()) {
            hatch(content, x, y);
        }
        String card = swatch.card().map(name -> ", " + name).orElse("");
        type.write(content, NAME, next, y + 15, swatch.name() + card + share(swatch));
        type.write(content, VALUE, next, y + 5, values(swatch));
        if (!swatch.isPrintable()) {
            String becomes = swatch.paper().map(Srgb::hex).orElse("otherwise");
            type.write(content, VALUE, next, y - 5, "cannot be printed: comes out " + becomes);
        }
    }

    private static String share(Printed swatch) {
        if (swatch.share() == 0) {
            return "";
        }
        return swatch.share() < 0.01 ? ", under 1 %" : String.format(", %.0f %%", 100 * swatch.share());
    }

    private static String values(Printed swatch) {
        return swatch.screen().hex() + "  "
                + swatch.spot()
                        .map(ink -> "spot ink " + ink)
                        .orElseGet(() -> swatch.inks().map(ProofPdf::percent).orElse(""));
    }

    private static String percent(Cmyk inks) {
        return String.format(
                "C %.0f M %.0f Y %.0f K %.0f",
                100 * inks.cyan(), 100 * inks.magenta(), 100 * inks.yellow(), 100 * inks.black());
    }

    private static void stone(PDPageContentStream content, Srgb colour, float x, float y) throws IOException {
        content.setNonStrokingColor(new Color(colour.red(), colour.green(), colour.blue()));
        content.setStrokingColor(Color.GRAY);
        content.setLineWidth(0.4f);
        content.addRect(x, y, STONE, STONE);
        content.fillAndStroke();
    }

    private static void hatch(PDPageContentStream content, float x, float y) throws IOException {
        content.saveGraphicsState();
        content.addRect(x, y, STONE, STONE);
        content.clip();
        for (float along = -STONE; along < STONE; along += HATCH_STEP) {
            content.setStrokingColor(Color.WHITE);
            line(content, x + along, y, x + along + STONE, y + STONE);
            content.setStrokingColor(Color.BLACK);
            line(content, x + along + 1, y, x + along + 1 + STONE, y + STONE);
        }
        content.restoreGraphicsState();
    }

    private static void line(PDPageContentStream content, float x1, float y1, float x2, float y2) throws IOException {
        content.setLineWidth(0.8f);
        content.moveTo(x1, y1);
        content.lineTo(x2, y2);
        content.stroke();
    }

    private static BufferedImage imageOf(Picture picture) {
        BufferedImage image = new BufferedImage(picture.widthPx(), picture.heightPx(), BufferedImage.TYPE_INT_RGB);
        image.setRGB(0, 0, picture.widthPx(), picture.heightPx(), picture.argb(), 0, picture.widthPx());
        return image;
    }
}
