package stillpond.app.compare;

import java.awt.Color;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import stillpond.app.page.PdfType;
import stillpond.core.ledger.ConsistencySheet;

/** The consistency sheet as PDF, on A4 across: a square of its colour for each part on each sheet, then what stands out in words, then a line to sign. */
final class ConsistencyPdf {

    private static final float MARGIN = 36;
    private static final float WIDTH = PDRectangle.A4.getHeight();
    private static final float HEIGHT = PDRectangle.A4.getWidth();
    private static final float NAMES = 190;
    private static final float CELL = 17;
    private static final float SQUARE = 11;
    private static final float ROW = 16;
    private static final int COLUMNS = (int) ((WIDTH - 2 * MARGIN - NAMES) / CELL);
    private static final PdfType.Setting TITLE = new PdfType.Setting(16, true, 90);
    private static final PdfType.Setting LINE = new PdfType.Setting(9, false, 150);
    private static final PdfType.Setting PART = new PdfType.Setting(9, false, 38);
    private static final PdfType.Setting NUMBER = new PdfType.Setting(7, false, 4);
    private static final PdfType.Setting SIGN = new PdfType.Setting(9, true, 1);

    private final PDDocument document;
    private final PdfType type;
    private final String title;
    private final Consistency.Shown shown;
    private PDPageContentStream content;
    private float y;

    private ConsistencyPdf(PDDocument document, String title, Consistency.Shown shown) throws IOException {
        this.document = document;
        this.type = new PdfType(document);
        this.title = title;
        this.shown = shown;
        this.content = page();
    }

    /** Leaves the stream open. */
    static void write(String title, Consistency.Shown shown, OutputStream out) throws IOException {
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation().setTitle(title);
            ConsistencyPdf pdf = new ConsistencyPdf(document, title, shown);
            for (int first = 0; first < shown.sheets().size(); first += COLUMNS) {
                pdf.table(first, Math.min(shown.sheets().size(), first + COLUMNS));
            }
            pdf.words();
            pdf.signature();
            pdf.content.close();
            document.save(out);
        }
    }

    private PDPageContentStream page() throws IOException {
        PDPage page = new PDPage(new PDRectangle(WIDTH, HEIGHT));
        document.addPage(page);
        PDPageContentStream made = new PDPageContentStream(document, page);
        type.write(made, TITLE, MARGIN, HEIGHT - MARGIN - 12, title);
        y = HEIGHT - MARGIN - 34;
        return made;
    }

    /** Goes on on a new page if there is no room. */
    private boolean makeRoom(float height) throws IOException {
        if (y - height >= MARGIN) {
            return false;
        }
        content.close();
        content = page();
        return true;
    }

    private void table(int from, int to) throws IOException {
        makeRoom(4 * ROW);
        numbers(from, to);
        String group = "";
        for (ConsistencySheet.Line line : shown.table().lines()) {
            String card = line.among().isEmpty() ? line.card() : line.among();
            if (makeRoom(2 * ROW)) {
                numbers(from, to);
                group = "";
            }
            if (!card.equals(group)) {
                type.write(content, new PdfType.Setting(9, true, 38), MARGIN, y, card);
                y -= ROW;
                group = card;
            }
            row(line, from, to);
        }
        y -= ROW;
    }

    private void numbers(int from, int to) throws IOException {
        for (int i = from; i < to; i++) {
            type.write(content, NUMBER, MARGIN + NAMES + (i - from) * CELL + 2, y, String.valueOf(i + 1));
        }
        y -= ROW;
    }

    private void row(ConsistencySheet.Line line, int from, int to) throws IOException {
        String part = line.among().isEmpty() ? line.part() : line.part() + " of " + line.card();
        type.write(content, PART, MARGIN + 8, y, part);
        for (int i = from; i < to; i++) {
            ConsistencySheet.Cell cell = line.cells().get(i);
            float x = MARGIN + NAMES + (i - from) * CELL;
            if (cell.entry().place().isPresent()) {
                content.setNonStrokingColor(Color.decode(cell.entry().colour().hex()));
                content.addRect(x, y - 2, SQUARE, SQUARE);
                content.fill();
                content.setStrokingColor(Color.GRAY);
                content.setLineWidth(0.4f);
                content.addRect(x, y - 2, SQUARE, SQUARE);
                content.stroke();
            }
            if (cell.standsOut()) {
                type.write(content, SIGN, x + SQUARE - 1, y + 3, cell.isOpen() ? "!" : "*");
            }
        }
        y -= ROW;
    }

    private void words() throws IOException {
        heading("Sheets");
        List<String> titles = shown.table().sheets();
        for (int i = 0; i < titles.size(); i++) {
            line((i + 1) + "  " + titles.get(i));
        }
        heading("What stands out");
        List<String> said = shown.table().lines().stream()
                .flatMap(each -> notable(each, titles))
                .toList();
        for (String each : said.isEmpty() ? List.of("Nothing.") : said) {
            line(each);
        }
    }

    private static Stream<String> notable(ConsistencySheet.Line line, List<String> titles) {
        return Stream.iterate(0, i -> i < titles.size(), i -> i + 1)
                .filter(i -> line.cells().get(i).standsOut())
                .map(i -> notable(line, line.cells().get(i), titles.get(i)));
    }

    private static String notable(ConsistencySheet.Line line, ConsistencySheet.Cell cell, String title) {
        return (cell.isOpen() ? "!  " : "*  ") + line.card() + ", " + line.part() + " on " + title + ": "
                + line.words(cell)
                + cell.accepted()
                        .map(each -> "; accepted by " + each.who() + " on " + each.on()
                                + (each.why().isEmpty() ? "" : ": " + each.why()))
                        .orElse("");
    }

    private void heading(String text) throws IOException {
        makeRoom(3 * ROW);
        y -= 4;
        type.write(content, new PdfType.Setting(11, true, 60), MARGIN, y, text);
        y -= ROW;
    }

    private void line(String text) throws IOException {
        makeRoom(ROW);
        type.write(content, LINE, MARGIN, y, text);
        y -= ROW - 3;
    }

    private void signature() throws IOException {
        makeRoom(4 * ROW);
        y -= ROW;
        String words = shown.signed()
                .filter(Consistency.Signed::holds)
                .map(signed -> "Signed by " + signed.who() + " on " + signed.on())
                .orElse("Not signed. ______________________________");
        type.write(content, new PdfType.Setting(11, true, 90), MARGIN, y, words);
    }
}
