package stillpond.app.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.palette.Card;

/** A member of one project names things of another one, where they know their ids: nothing there is shown, moved or changed. */
class ForeignIdsTest {

    private final TestPond pond = TestPond.shared();
    private final Work own = Work.begin(pond);
    private final Work their = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, own.person());

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'kind':'ADD','card':'OWN_CARD','swatch':'THEIR_SWATCH','name':'Mine','colour':'#102030'}",
                "{'kind':'ADD','card':'THEIR_CARD','name':'Mine','colour':'#102030'}",
                "{'kind':'ADD','card':'OWN_CARD','name':'Mine','colour':'#102030','follows':'THEIR_SWATCH'}",
                "{'kind':'ADD','card':'OWN_CARD','name':'Mine','paint':'tied THEIR_SWATCH shade 20'}",
                "{'kind':'ADD_CARD','card':'THEIR_CARD','name':'Mine'}",
                "{'kind':'NAME_CARD','card':'THEIR_CARD','name':'Mine'}",
                "{'kind':'LOCK_CARD','card':'THEIR_CARD','locked':true}",
                "{'kind':'CHANGE','swatch':'THEIR_SWATCH','colour':'#102030'}",
                "{'kind':'MOVE','swatch':'THEIR_SWATCH','card':'OWN_CARD'}",
                "{'kind':'MOVE','swatch':'OWN_SWATCH','card':'THEIR_CARD'}",
                "{'kind':'REMOVE','swatch':'THEIR_SWATCH'}",
                "{'kind':'REMOVE','swatch':'OWN_SWATCH','instead':'THEIR_SWATCH'}",
            })
    void noEditReachesAnotherPalette(String edit) {
        List<Card> ownBefore = palette(own);
        List<Card> theirBefore = palette(their);
        String named = edit.replace('\'', '"')
                .replace("OWN_CARD", card(own).toString())
                .replace("THEIR_CARD", card(their).toString())
                .replace("OWN_SWATCH", own.coat().id().toString())
                .replace("THEIR_SWATCH", their.coat().id().toString());

        int status = visitor.post("/projects/" + own.project() + "/palette/changes", "[" + named + "]")
                .statusCode();

        assertThat(status).isIn(400, 404);
        assertThat(palette(their)).isEqualTo(theirBefore);
        assertThat(palette(own)).isEqualTo(ownBefore);
    }

    @Test
    void nothingIsFilledWithASwatchOfAnotherProject() {
        Sheet sheet = own.bring(Drawings.threeBoxes());
        String change = "[{\"id\":\"" + UUID.randomUUID() + "\",\"kind\":\"lay\",\"layer\":\""
                + sheet.frontLayer().id() + "\",\"fills\":{\"" + their.coat().id() + "\":[0]}}]";
        assertThat(visitor.post(own.address(sheet) + "/changes", change).body()).contains("\"refused\"");
    }

    /** Every address in a project that names more than the project, also those that will be added later. */
    @Test
    void throughOnesOwnProjectNothingOfAnotherIsReached() {
        Sheet sheet = their.bring(Drawings.threeBoxes());
        Map<String, UUID> theirs = Map.of("sheet", sheet.id(), "scene", their.scene(), "card", card(their));
        RequestMappingHandlerMapping mappings =
                pond.bean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
        List<RequestMappingInfo> reached = mappings.getHandlerMethods().keySet().stream()
                .filter(mapping -> theirs.keySet().stream()
                        .anyMatch(name -> mapping.getPatternValues().toString().contains("{" + name + "}")))
                .toList();
        assertThat(reached).hasSizeGreaterThan(30);
        Map<String, Integer> answers = new TreeMap<>();
        for (RequestMappingInfo mapping : reached) {
            String path = mapping.getPatternValues().iterator().next();
            path = path.replace("{project}", own.project().toString());
            for (Map.Entry<String, UUID> each : theirs.entrySet()) {
                path = path.replace("{" + each.getKey() + "}", each.getValue().toString());
            }
            path = path.replaceAll("\\{\\w+}", UUID.randomUUID().toString());
            boolean isPost =
                    mapping.getMethodsCondition().getMethods().toString().contains("POST");
            int status = isPost
                    ? visitor.post(path, "[]").statusCode()
                    : visitor.get(path).statusCode();
            answers.put(mapping + ": " + path, status);
        }
        assertThat(answers).allSatisfy((path, status) -> assertThat(status).isBetween(400, 499));
    }

    private List<Card> palette(Work work) {
        return pond.bean(Palettes.class).of(work.project()).cards();
    }

    private UUID card(Work work) {
        return palette(work).stream()
                .filter(card -> card.swatches().contains(work.coat()))
                .findFirst()
                .orElseThrow()
                .id();
    }
}
