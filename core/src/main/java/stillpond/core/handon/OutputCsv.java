package stillpond.core.handon;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import stillpond.core.colour.Cmyk;
import stillpond.core.colour.Srgb;
import stillpond.core.exchange.CardCsv;
import stillpond.core.refusal.Refusal;

/** A card for one way of putting it out, as a table (RFC 4180): what a screen, a process press or a press with inks of its own must be told. */
public enum OutputCsv {
    /** Red, green and blue, 0 to 255. */
    SCREEN("name", "hex", "red", "green", "blue"),
    /** Percent of each process ink, and what comes of it. */
    PRINT("name", "hex", "cyan", "magenta", "yellow", "black", "comes out as", "printable"),
    /** Inks of their own alone, and how each is shown on a screen. */
    SPOTS("name", "ink", "shown as");

    private final String[] columns;

    OutputCsv(String... columns) {
        this.columns = columns;
    }

    /** @throws Refusal if there is nothing to tell, or nobody knows how ink comes out */
    public byte[] write(List<Printed> swatches) {
        List<Printed> rows = this == SPOTS
                ? swatches.stream().filter(each -> each.spot().isPresent()).toList()
                : swatches;
        if (rows.isEmpty()) {
            throw new Refusal(
                    this == SPOTS
                            ? "No swatch of this card has an ink of its own. Make one a spot colour first."
                            : "This card has no swatch yet.");
        }
        StringBuilder out = new StringBuilder("\uFEFF");
        try (CSVPrinter printer = new CSVPrinter(
                out, CSVFormat.RFC4180.builder().setHeader(columns).get())) {
            for (Printed row : rows) {
                printer.printRecord(row(row));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }

    private Object[] row(Printed swatch) {
        String name = CardCsv.safe(swatch.name());
        Srgb screen = swatch.screen();
        return switch (this) {
            case SCREEN -> new Object[] {name, screen.hex(), screen.red(), screen.green(), screen.blue()};
            case PRINT -> {
                Cmyk inks = swatch.inks()
                        .orElseThrow(() -> new Refusal(
                                "It is not known how ink comes out: bring in an ICC profile of printing inks first."));
                yield new Object[] {
                    name,
                    screen.hex(),
                    percent(inks.cyan()),
                    percent(inks.magenta()),
                    percent(inks.yellow()),
                    percent(inks.black()),
                    swatch.paper().map(Srgb::hex).orElse(""),
                    swatch.isPrintable() ? "yes" : "no"
                };
            }
            case SPOTS -> new Object[] {name, CardCsv.safe(swatch.spot().orElseThrow()), screen.hex()};
        };
    }

    private static long percent(double share) {
        return Math.round(100 * share);
    }
}
