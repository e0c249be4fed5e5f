package stillpond.core.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import stillpond.core.colour.CssColour;
import stillpond.core.colour.Srgb;
import stillpond.core.exchange.Arrival.Problem;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.Tie;
import stillpond.core.refusal.Refusal;

/** Cards as a table of comma-separated values (RFC 4180). What we write is safe to open in a spreadsheet: no field can be taken for a formula. */
public final class CardCsv {

    private static final String[] COLUMNS = {"card", "name", "part", "colour", "spot", "follows", "how", "tie", "note"};
    private static final String FORMULA_STARTS = " =+-@|%\t\r\n\uff1d\uff0b\uff0d\uff20\uff5c";

    private CardCsv() {}

    public static byte[] write(List<Card> cards, Palette palette) {
        StringBuilder out = new StringBuilder("\uFEFF");
        try (CSVPrinter printer = new CSVPrinter(
                out, CSVFormat.RFC4180.builder().setHeader(COLUMNS).get())) {
            for (Card card : cards) {
                for (Swatch swatch : card.swatches()) {
                    printer.printRecord(row(card, swatch, palette));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static Object[] row(Card card, Swatch swatch, Palette palette) {
        String spot = swatch.paint() instanceof Paint.Spot each ? each.ink() : "";
        Optional<Paint.Tied> tied = swatch.paint() instanceof Paint.Tied each ? Optional.of(each) : Optional.empty();
        String follows = tied.flatMap(each -> source(each, card, palette)).orElse("");
        return new Object[] {
            safe(card.name()),
            safe(swatch.name()),
            safe(swatch.part()),
            palette.colourOf(swatch.id()).orElseThrow().hex(),
            safe(spot),
            safe(follows),
            tied.map(each -> each.tie().words()).map(CardCsv::safe).orElse(""),
            // A mix needs a second swatch, which the table has no name for.
            tied.filter(each -> !(each.tie() instanceof Tie.Mix))
                    .map(each -> safe(each.tie().text()))
                    .orElse(""),
            safe(swatch.note())
        };
    }

    /** The name of what it follows, with its card in front if that is another. */
    private static Optional<String> source(Paint.Tied tied, Card card, Palette palette) {
        return palette.swatch(tied.source()).map(source -> {
            boolean isOwn = card.swatches().stream().anyMatch(each -> each.id().equals(source.id()));
            String of = palette.cardOf(source.id()).map(Card::name).orElse("");
            return isOwn ? source.name() : of + "/" + source.name();
        });
    }

    /** A field that no spreadsheet takes for a formula: a leading apostrophe makes it take it for text. */
    public static String safe(String field) {
        return !field.isEmpty() && FORMULA_STARTS.indexOf(field.charAt(0)) >= 0 ? "'" + field : field;
    }

    private static String unsafe(String field) {
        boolean wasMadeSafe =
                field.length() > 1 && field.charAt(0) == '\'' && FORMULA_STARTS.indexOf(field.charAt(1)) >= 0;
        return wasMadeSafe ? field.substring(1) : field;
    }

    /**
     * Reads a table with at least the columns name and colour, separated by commas, semicolons or tabs. What follows a swatch of the table goes on following it; what follows another one comes in as its colour.
     *
     * @throws UnreadableCards if it is no such table
     */
    public static Arrival read(byte[] file) {
        String text = new String(file, StandardCharsets.UTF_8).replaceFirst("^\uFEFF", "");
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter(text))
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreHeaderCase(true)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .setAllowMissingColumnNames(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            for (String column : List.of("name", "colour")) {
                if (parser.getHeaderNames().stream().noneMatch(column::equalsIgnoreCase)) {
                    throw new UnreadableCards("The first line names the columns; it needs 'name' and 'colour', and '"
                            + column + "' is missing.");
                }
            }
            return rows(parser);
        } catch (UnreadableCards told) {
            throw told;
        } catch (IOException | IllegalArgumentException | UncheckedIOException e) {
            throw new UnreadableCards("This is no table of comma-separated values, or it is broken.");
        }
    }

    private static Arrival rows(CSVParser parser) {
        Map<String, List<Swatch>> byCard = new LinkedHashMap<>();
        List<Problem> problems = new ArrayList<>();
        Map<UUID, Following> following = new LinkedHashMap<>();
        int count = 0;
        for (CSVRecord row : parser) {
            String place = "line " + (parser.getCurrentLineNumber());
            String name = field(row, "name");
            Optional<Srgb> colour = CssColour.ofHex(field(row, "colour"));
            if (name.isBlank() || name.length() > 120) {
                problems.add(new Problem(place, "It has no name, or one of more than 120 letters."));
            } else if (colour.isEmpty()) {
                problems.add(new Problem(place, "'" + field(row, "colour") + "' is no colour such as #2f6f5e."));
            } else if (++count > Arrival.MOST_SWATCHES) {
                throw new UnreadableCards(
                        "This table has more than " + Arrival.MOST_SWATCHES + " colours. Nothing was taken over.");
            } else {
                String spot = field(row, "spot");
                Paint paint = spot.isBlank() ? new Paint.Process(colour.get()) : new Paint.Spot(spot, colour.get());
                String card = field(row, "card").isBlank() ? "Table" : field(row, "card");
                Swatch swatch = new Swatch(UUID.randomUUID(), name, field(row, "part"), field(row, "note"), paint);
                byCard.computeIfAbsent(card, any -> new ArrayList<>()).add(swatch);
                if (!field(row, "tie").isBlank()) {
                    following.put(swatch.id(), new Following(place, card, field(row, "follows"), field(row, "tie")));
                }
            }
        }
        Map<UUID, Paint.Tied> ties = ties(byCard, following, problems);
        List<Card> cards = byCard.entrySet().stream()
                .map(each -> new Card(
                        UUID.randomUUID(),
                        each.getKey(),
                        "",
                        each.getValue().stream()
                                .map(swatch ->
                                        ties.containsKey(swatch.id()) ? swatch.painted(ties.get(swatch.id())) : swatch)
                                .toList()))
                .toList();
        return new Arrival(cards, problems);
    }

    /** What a row says that it follows. */
    private record Following(String place, String card, String source, String tie) {}

    /** What is no tie, or would go round in a ring, keeps its colour. */
    private static Map<UUID, Paint.Tied> ties(
            Map<String, List<Swatch>> byCard, Map<UUID, Following> following, List<Problem> problems) {
        Map<String, UUID> byName = new HashMap<>();
        byCard.forEach((card, swatches) ->
                swatches.forEach(swatch -> byName.putIfAbsent(card + "/" + swatch.name(), swatch.id())));
        Map<UUID, Paint.Tied> ties = new HashMap<>();
        following.forEach((swatch, said) -> {
            UUID source = byName.getOrDefault(said.card() + "/" + said.source(), byName.get(said.source()));
            if (source == null) {
                return;
            }
            try {
                Tie tie = Tie.ofText(said.tie());
                if (!(tie instanceof Tie.Mix) && !leadsTo(source, swatch, ties)) {
                    ties.put(swatch, new Paint.Tied(source, tie));
                }
            } catch (Refusal refusal) {
                problems.add(new Problem(said.place(), refusal.getMessage()));
            }
        });
        return ties;
    }

    private static boolean leadsTo(UUID from, UUID to, Map<UUID, Paint.Tied> ties) {
        UUID at = from;
        while (!at.equals(to)) {
            Paint.Tied next = ties.get(at);
            if (next == null) {
                return false;
            }
            at = next.source();
        }
        return true;
    }

    private static String field(CSVRecord row, String column) {
        return row.isMapped(column) && row.isSet(column) ? unsafe(row.get(column)) : "";
    }

    /** Whichever of the usual separators the first line has most of. */
    private static String delimiter(String text) {
        String first = text.lines().findFirst().orElse("");
        String best = ",";
        for (String each : List.of(";", "\t")) {
            best = first.split(each, -1).length > first.split(best, -1).length ? each : best;
        }
        return best;
    }
}
