package stillpond.app.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;

class RangesPageTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final String page = "/projects/" + work.project() + "/ranges";

    @Test
    void rangesGrowFromSamples() {
        String two = visitor.ask(page, "colour", "#3f7c8f", "colour", "b0684a", "steps", "3")
                .body();

        assertThat(two).contains("#3f7c8f", "#b0684a", ", lighter", ", cooler");
        assertThat(two.split("name=\"range\"", -1)).hasSize(1 + 9);
        assertThat(visitor.get(page).body()).contains("Sample colours on the desk");
    }

    @Test
    void whatIsChosenBecomesACardOfTiedSwatches() {
        HttpResponse<String> made = visitor.submit(
                page, "colour", "#3f7c8f", "colour", "#b0684a", "steps", "3", "range", "0", "range", "1", "name",
                "Marsh");

        assertThat(made.statusCode()).isEqualTo(302);
        Card card = pond.bean(Palettes.class).of(work.project()).cards().stream()
                .filter(each -> each.name().equals("Marsh"))
                .findFirst()
                .orElseThrow();
        assertThat(card.swatches()).hasSize(2 + 3 + 3);
        assertThat(card.swatches().subList(2, 8))
                .allSatisfy(swatch -> assertThat(((Paint.Tied) swatch.paint()).source())
                        .isIn(
                                card.swatches().get(0).id(),
                                card.swatches().get(1).id()));
    }

    @Test
    void whatIsNoColourOrNoRangeIsSaidAndNothingIsMade() {
        int cards = pond.bean(Palettes.class).of(work.project()).cards().size();

        assertThat(visitor.ask(page, "colour", "teal-ish").body()).contains("role=\"alert\"");
        assertThat(visitor.submit(page, "colour", "#3f7c8f", "range", "99").body())
                .contains("no such range");
        String many =
                IntStream.range(0, 13).mapToObj(i -> "colour=0000" + (10 + i)).collect(Collectors.joining("&"));
        assertThat(visitor.get(page + "?" + many).body()).contains("up to 12 colours");
        assertThat(pond.bean(Palettes.class).of(work.project()).cards()).hasSize(cards);
    }
}
