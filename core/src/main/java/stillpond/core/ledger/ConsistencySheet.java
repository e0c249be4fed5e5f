package stillpond.core.ledger;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import stillpond.core.exchange.CardCsv;
import stillpond.core.palette.Card;

/** Parts by sheets as they are signed before a book is printed: what each wears, what stands out, and what of that was accepted. */
public record ConsistencySheet(List<String> sheets, List<Line> lines) {

    /** What stands out somewhere, by which it is accepted: a swatch on a sheet, in one way. */
    public record Key(UUID sheet, UUID swatch, PartsTable.Mark mark) {}

    /** @param why in the words of who accepted it; may be empty @param on the day, as people read it */
    public record Acceptance(String who, String on, String why) {}

    /** A part of a card on each sheet. @param among the card among whose parts it is a stranger; empty if it is none */
    public record Line(String card, String part, String among, List<Cell> cells) {

        /** What stands out about it on a sheet, in words. */
        public String words(Cell cell) {
            return among.isEmpty() || !cell.standsOut() ? cell.entry().words() : "among the parts of " + among;
        }
    }

    /** @param key by which it is accepted @param accepted if it stands out and somebody has accepted that */
    public record Cell(Key key, PartsTable.Entry entry, Optional<Acceptance> accepted) {

        public boolean standsOut() {
            return entry.mark() != PartsTable.Mark.NOTHING;
        }

        /** Whether something stands out that nobody has accepted. */
        public boolean isOpen() {
            return standsOut() && accepted.isEmpty();
        }
    }

    /** @param columns of the table @param titles of their sheets */
    public static ConsistencySheet of(
            PartsTable table, List<PartsTable.Column> columns, List<String> titles, Map<Key, Acceptance> accepted) {
        List<Line> lines = new ArrayList<>();
        for (PartsTable.Row row : table.rows()) {
            List<Cell> cells = new ArrayList<>();
            for (int i = 0; i < columns.size(); i++) {
                PartsTable.Entry entry = row.entries().get(i);
                Key key = new Key(columns.get(i).sheet(), row.swatch().id(), entry.mark());
                cells.add(new Cell(key, entry, Optional.ofNullable(accepted.get(key))));
            }
            lines.add(new Line(
                    row.card().name(),
                    row.swatch().name(),
                    row.among().map(Card::name).orElse(""),
                    cells));
        }
        return new ConsistencySheet(titles, lines);
    }

    /** How much stands out that nobody has accepted. */
    public long open() {
        return lines.stream()
                .flatMap(line -> line.cells().stream())
                .filter(Cell::isOpen)
                .count();
    }

    /** Whatever a signature is about, as text: as long as it is the same, the signature holds. */
    public String signed() {
        StringBuilder text = new StringBuilder(String.join("\t", sheets));
        for (Line line : lines) {
            text.append('\n')
                    .append(line.card())
                    .append('\t')
                    .append(line.part())
                    .append('\t')
                    .append(line.among());
            line.cells()
                    .forEach(cell -> text.append('\t')
                            .append(
                                    cell.entry().place().isPresent()
                                            ? cell.entry().colour().hex()
                                            : "-")
                            .append(' ')
                            .append(cell.entry().mark()));
        }
        return text.toString();
    }

    /** As a table (RFC 4180), a row for each part on each sheet that wears it or misses it. */
    public byte[] csv() {
        StringBuilder out = new StringBuilder("\uFEFF");
        try (CSVPrinter printer = new CSVPrinter(
                out,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader(
                                "card",
                                "part",
                                "sheet",
                                "colour",
                                "apart from its neighbours",
                                "stands out",
                                "accepted by",
                                "accepted on",
                                "why")
                        .get())) {
            for (Line line : lines) {
                for (int i = 0; i < sheets.size(); i++) {
                    Cell cell = line.cells().get(i);
                    if (cell.entry().place().isPresent() || cell.standsOut()) {
                        printer.printRecord((Object[]) record(line, sheets.get(i), cell));
                    }
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static String[] record(Line line, String sheet, Cell cell) {
        PartsTable.Entry entry = cell.entry();
        return new String[] {
            CardCsv.safe(line.card()),
            CardCsv.safe(line.part()),
            CardCsv.safe(sheet),
            entry.place().isPresent() ? entry.colour().hex() : "",
            String.format(Locale.ROOT, "%.1f", entry.apart()),
            line.words(cell),
            CardCsv.safe(cell.accepted().map(Acceptance::who).orElse("")),
            cell.accepted().map(Acceptance::on).orElse(""),
            CardCsv.safe(cell.accepted().map(Acceptance::why).orElse(""))
        };
    }
}
