package stillpond.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.Tie;

class ExchangeTest {

    private final Swatch coat = new Swatch(UUID.randomUUID(), "Coat", Srgb.ofHex("#2f6f5e"));
    private final Swatch lining = new Swatch(
            UUID.randomUUID(), "Lining {dark}", "coat lining", "a shade of the coat", follows(coat, new Tie.Shade(20)));
    private final Swatch cuff = new Swatch(UUID.randomUUID(), "Cuff", "", "", follows(coat, new Tie.Shift(0, 0, 0)));
    private final Swatch lamp =
            new Swatch(UUID.randomUUID(), "=Lamp", "", "", new Paint.Spot("Signal red", Srgb.ofHex("#e0301e")));
    private final Swatch glow =
            new Swatch(UUID.randomUUID(), "Glow", "", "", follows(lamp, new Tie.Mix(coat.id(), 0.25)));
    private final Card juniper = new Card(UUID.randomUUID(), "Juniper", "oilskins", List.of(coat, lining, cuff));
    private final Card hill = new Card(UUID.randomUUID(), "Lantern. Hill", "place", List.of(lamp, glow));
    private final List<Card> cards = List.of(juniper, hill);
    private final Palette palette = new Palette(cards);

    @Test
    void tokensComeBackWithoutLoss() {
        Arrival back = Tokens.read(Tokens.write(cards, palette));
        assertThat(back.problems()).isEmpty();
        assertThat(described(back.cards())).isEqualTo(described(cards));
    }

    @Test
    void tokensAreWhatOtherProgramsRead() {
        String json = new String(Tokens.write(cards, palette), StandardCharsets.UTF_8);
        assertThat(json)
                .contains("\"$type\" : \"color\"")
                .contains("\"colorSpace\" : \"srgb\"")
                .contains("\"$value\" : \"{Juniper.Coat}\"")
                .contains("\"hex\" : \"#2f6f5e\"");
    }

    @Test
    void whatCannotBeReadIsNamedWithItsPlaceAndTheRestComes() {
        Arrival arrival = read("""
                {"Hut": {"$type": "color",
                  "Door": {"$value": {"colorSpace": "oklch", "components": [0.6, 0.1, 200]}},
                  "Roof": {"$value": {"colorSpace": "mystery", "components": [1, 2, 3]}},
                  "Sill": {"$value": {"colorSpace": "srgb", "components": [1, "much", 3]}},
                  "A": {"$value": "{Hut.B}"}, "B": {"$value": "{Hut.C}"}, "C": {"$value": "{Hut.A}"},
                  "Lost": {"$value": "{Hut.Nowhere}"},
                  "Width": {"$type": "dimension", "$value": "3px"},
                  "Odd": 7}}""");
        assertThat(arrival.cards())
                .singleElement()
                .satisfies(card ->
                        assertThat(card.swatches()).extracting(Swatch::name).containsExactly("Door"));
        assertThat(arrival.problems())
                .extracting(Arrival.Problem::place)
                .contains("Hut.Roof", "Hut.Sill", "Hut.A", "Hut.B", "Hut.C", "Hut.Lost", "Hut.Width", "Hut.Odd");
        assertThat(arrival.problems())
                .anySatisfy(problem -> assertThat(problem.message()).contains("mystery"));
        assertThat(arrival.problems())
                .anySatisfy(problem -> assertThat(problem.message()).contains("follows itself"));
    }

    @Test
    void filesThatAreNoTokensAreRefused() {
        assertThatThrownBy(() -> read("{\"Hut\": {")).hasMessageContaining("line 1");
        assertThatThrownBy(() -> read("[1, 2]")).hasMessageContaining("JSON object");
        assertThatThrownBy(() -> read("{\"a\":".repeat(5000) + "1" + "}".repeat(5000)))
                .isInstanceOf(UnreadableCards.class);
        StringBuilder many = new StringBuilder("{\"Hut\": {\"$type\": \"color\"");
        for (int i = 0; i <= Arrival.MOST_SWATCHES; i++) {
            many.append(",\"c").append(i).append("\":{\"$value\":\"#123456\"}");
        }
        assertThatThrownBy(() -> read(many + "}}")).hasMessageContaining("5000");
        assertThatThrownBy(() -> Tokens.read(new byte[9_000_000])).hasMessageContaining("8 MB");
        Arrival deep =
                read("{\"a\":".repeat(40) + "{\"x\":{\"$type\":\"color\",\"$value\":\"#123456\"}}" + "}".repeat(40));
        assertThat(deep.cards()).isEmpty();
        assertThat(deep.problems())
                .singleElement()
                .satisfies(problem -> assertThat(problem.message()).contains("deep"));
    }

    /** What takes the square of its length, or more, would not be done within the minute. */
    @Test
    @Timeout(60)
    void textsThatAreMadeToTakeLongDoNot() {
        for (String css : List.of("-".repeat(900_000), "--a:".repeat(200_000), "--a ".repeat(200_000))) {
            assertThatThrownBy(() -> CssProperties.read(css.getBytes(StandardCharsets.UTF_8)))
                    .isInstanceOf(UnreadableCards.class);
        }
        assertThatThrownBy(() -> CssProperties.read(new byte[2_000_000])).hasMessageContaining("1 MB");

        Arrival lost = read(aliases("{Hut.Nowhere}"));
        assertThat(lost.cards()).isEmpty();
        assertThat(lost.problems()).hasSize(4900);

        Arrival circle = read(aliases("{Hut.c0}"));
        assertThat(circle.cards()).isEmpty();
        assertThat(circle.problems().get(0).message()).contains("follows itself");

        Arrival whole = read(aliases("#123456"));
        Swatch first = whole.cards().get(0).swatches().get(0);
        assertThat(new Palette(whole.cards()).colourOf(first.id())).hasValue(Srgb.ofHex("#123456"));
    }

    /** 4900 colours, each of which follows the next one. */
    private static String aliases(String last) {
        StringBuilder json = new StringBuilder("{\"Hut\": {\"$type\": \"color\"");
        for (int i = 0; i < 4899; i++) {
            json.append(",\"c" + i + "\":{\"$value\":\"{Hut.c" + (i + 1) + "}\"}");
        }
        return json + ",\"c4899\":{\"$value\":\"" + last + "\"}}}";
    }

    @Test
    void theLastDeclarationOfAStyleSheetMayEndWithTheFile() {
        Arrival arrival =
                CssProperties.read("--coat:#2f6f5e;x--y:#111;--scarf: #d2603f".getBytes(StandardCharsets.UTF_8));
        assertThat(arrival.cards().get(0).swatches()).extracting(Swatch::name).containsExactly("Coat", "Scarf");
    }

    @Test
    void tablesComeBackAndAreSafeInASpreadsheet() {
        byte[] csv = CardCsv.write(cards, palette);
        assertThat(new String(csv, StandardCharsets.UTF_8))
                .startsWith("\uFEFF")
                .contains(",'=Lamp,")
                .doesNotContain(",=");
        Arrival back = CardCsv.read(csv);
        assertThat(back.problems()).isEmpty();
        assertThat(back.cards()).extracting(Card::name).containsExactly("Juniper", "Lantern. Hill");
        Swatch red = back.cards().get(1).swatches().get(0);
        assertThat(red.name()).isEqualTo("=Lamp");
        assertThat(red.paint()).isEqualTo(lamp.paint());
    }

    @Test
    void tablesWithOtherSeparatorsAreReadAndBadLinesNamed() {
        Arrival arrival = csv("Name;Colour;Note\nRope;#b8a58a;\"old; wet\"\n;#ffffff;\nNet;grue;\n");
        assertThat(arrival.cards().get(0).swatches()).singleElement().satisfies(swatch -> {
            assertThat(swatch.name()).isEqualTo("Rope");
            assertThat(swatch.note()).isEqualTo("old; wet");
        });
        assertThat(arrival.problems()).extracting(Arrival.Problem::place).containsExactly("line 3", "line 4");
        assertThatThrownBy(() -> csv("name\tshade\nRope\tred\n")).hasMessageContaining("'colour' is missing");
    }

    @Test
    void styleSheetsAreWrittenAndRead() {
        String css = new String(CssProperties.write(cards, palette), StandardCharsets.UTF_8);
        assertThat(css).contains("--juniper-coat: #2f6f5e;").contains("--lantern-hill-lamp: #e0301e;");
        Arrival back = CssProperties.read(css.getBytes(StandardCharsets.UTF_8));
        assertThat(back.cards()).extracting(Card::name).containsExactlyElementsOf(names(cards));
        assertThat(back.cards().get(0).swatches())
                .extracting(Swatch::name)
                .containsExactlyElementsOf(
                        cards.get(0).swatches().stream().map(Swatch::name).toList());
        assertThat(new String(CssProperties.write(back.cards(), new Palette(back.cards())), StandardCharsets.UTF_8))
                .as("nothing grows")
                .isEqualTo(css);
        assertThatThrownBy(() -> CssProperties.read("body { color: red }".getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(UnreadableCards.class);
    }

    private static List<String> names(List<Card> cards) {
        return cards.stream().map(Card::name).toList();
    }

    @Test
    void styleSheetsFromElsewhereAreNamedByTheWordThatAllBeginWith() {
        Arrival arrival = CssProperties.read(
                "--marsh-sea: #8fb3b8; --marsh-pale-sand: #dfb981; /* not a name */".getBytes(StandardCharsets.UTF_8));
        assertThat(arrival.cards()).singleElement().satisfies(card -> {
            assertThat(card.name()).isEqualTo("Marsh");
            assertThat(card.swatches()).extracting(Swatch::name).containsExactly("Sea", "not a name");
        });
    }

    @Test
    void whatFollowsASwatchOfTheTableGoesOnFollowingItAndRingsAreLeft() {
        Arrival back = csv("""
                card,name,colour,follows,tie
                Juniper,Coat,#2f6f5e,,
                Juniper,Lining,#1f5046,Coat,shade 20
                Bram,Cap,#2f4d70,Juniper/Coat,tint 10
                Bram,Bad,#2f4d70,Cap,paint 10
                Bram,Egg,#112233,Hen,shade 5
                Bram,Hen,#112233,Egg,shade 5
                """);
        Swatch coat = back.cards().get(0).swatches().get(0);
        assertThat(back.cards().get(0).swatches().get(1).paint())
                .isEqualTo(new Paint.Tied(coat.id(), new Tie.Shade(20)));
        List<Swatch> bram = back.cards().get(1).swatches();
        assertThat(bram.get(0).paint()).isEqualTo(new Paint.Tied(coat.id(), new Tie.Tint(10)));
        assertThat(bram.get(1).paint()).isInstanceOf(Paint.Process.class);
        assertThat(back.problems()).singleElement();
        assertThat(bram.subList(2, 4))
                .filteredOn(swatch -> swatch.paint() instanceof Paint.Tied)
                .hasSize(1);
    }

    private static Paint follows(Swatch source, Tie tie) {
        return new Paint.Tied(source.id(), tie);
    }

    private static Arrival read(String json) {
        return Tokens.read(json.getBytes(StandardCharsets.UTF_8));
    }

    private static Arrival csv(String text) {
        return CardCsv.read(text.getBytes(StandardCharsets.UTF_8));
    }

    /** Everything about some cards but their ids. */
    private static List<String> described(List<Card> cards) {
        List<UUID> ids = cards.stream()
                .flatMap(card -> card.swatches().stream())
                .map(Swatch::id)
                .toList();
        List<String> lines = new ArrayList<>();
        for (Card card : cards) {
            lines.add(card.name() + "|" + card.subject());
            for (Swatch swatch : card.swatches()) {
                String paint = swatch.paint().text();
                for (UUID id : ids) {
                    paint = paint.replace(id.toString(), "#" + ids.indexOf(id));
                }
                lines.add(swatch.name() + "|" + swatch.part() + "|" + swatch.note() + "|" + paint);
            }
        }
        return lines;
    }
}
