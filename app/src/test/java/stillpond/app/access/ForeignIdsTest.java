package stillpond.app.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Address;
import stillpond.app.support.Drawings;
import stillpond.app.support.Messages;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.palette.Card;
import tools.jackson.databind.json.JsonMapper;

/** A member of one project names things of another one, where they know their ids: nothing there is shown, moved or changed. */
class ForeignIdsTest {

    private final TestPond pond = TestPond.shared();
    private final Work own = Work.begin(pond);
    private final Work their = Work.begin(pond);
    private final JsonMapper json = pond.bean(JsonMapper.class);
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
                + sheet.layer().id() + "\",\"fills\":{\"" + their.coat().id() + "\":[0]}}]";
        assertThat(visitor.post(own.address(sheet) + "/changes", change).body()).contains("\"refused\"");
    }

    /** Through one's own project, in every place of every address, form and message where an id can stand. */
    @Test
    void noIdOfAnotherProjectReachesOrMovesAnything() {
        Sheet ownSheet = own.bringSmall(Drawings.threeBoxes());
        Sheet theirSheet = their.bringSmall(Drawings.threeBoxes());
        their.lay(theirSheet, their.coat().id(), 50, 100);
        Map<String, UUID> owns = ids(own, ownSheet);
        Map<String, UUID> theirs = ids(their, theirSheet);
        String before = allOf(their);

        List<String> reached = new ArrayList<>();
        for (Address address :
                Address.inProjects(pond).stream().filter(Address::ends).toList()) {
            for (String place : places(address)) {
                send(address, place, owns, theirs).forEach(reached::add);
            }
        }

        assertThat(reached).hasSizeGreaterThan(150);
        assertThat(allOf(their)).isEqualTo(before);
        theirs.forEach((name, id) -> assertThat(allOf(own)).as(name).doesNotContain(id.toString()));
    }

    /** The names in the path of an address that are ids, and the fields of what it reads. */
    private static List<String> places(Address address) {
        List<String> places = new ArrayList<>();
        Matcher matcher = Pattern.compile("\\{(\\w+)}").matcher(address.path());
        while (matcher.find()) {
            if (!matcher.group(1).equals("project")) {
                places.add("{" + matcher.group(1) + "}");
            }
        }
        address.parameters().stream()
                .filter(asked -> !(asked.type() instanceof Class<?> plain && plain.isPrimitive()))
                .forEach(asked -> places.add(asked.name()));
        address.body().map(ForeignIdsTest::element).ifPresent(type -> {
            if (type.isRecord() || type.isSealed()) {
                Messages.kinds(type).stream()
                        .flatMap(kind -> Arrays.stream(kind.getRecordComponents()))
                        .filter(each -> !each.getType().isPrimitive())
                        .map(RecordComponent::getName)
                        .distinct()
                        .forEach(places::add);
            } else {
                places.add("");
            }
        });
        return places;
    }

    private static Class<?> element(Type type) {
        return type instanceof ParameterizedType list ? (Class<?>) list.getActualTypeArguments()[0] : (Class<?>) type;
    }

    /** Names one thing of theirs in one place and one's own everywhere else; as an address, what comes of it is no page. */
    private List<String> send(Address address, String place, Map<String, UUID> owns, Map<String, UUID> theirs) {
        List<String> sent = new ArrayList<>();
        String path = address.path();
        for (Map.Entry<String, UUID> each : owns.entrySet()) {
            String name = "{" + each.getKey() + "}";
            path = path.replace(
                    name,
                    (name.equals(place) ? theirs : owns).get(each.getKey()).toString());
        }
        path = path.replaceAll("\\{\\w+}", UUID.randomUUID().toString());
        for (UUID foreign : theirs.values()) {
            Messages messages =
                    new Messages(name -> name.equals(place) ? foreign : owns.getOrDefault(name, owns.get("swatch")));
            for (String message : written(address, place, foreign, messages)) {
                int status = address.body().isPresent()
                        ? visitor.post(path, message).statusCode()
                        : address.isPost()
                                ? visitor.send(path, message).statusCode()
                                : visitor.get(path + "?" + message).statusCode();
                sent.add(path + " " + message + ": " + status);
                assertThat(status).as(path + " " + message).isLessThan(500);
                if (place.startsWith("{") && theirs.containsKey(place.substring(1, place.length() - 1))) {
                    assertThat(status).as(path + " " + message).isBetween(400, 499);
                }
            }
            if (place.startsWith("{")) {
                break;
            }
        }
        return sent;
    }

    /** For texts, in which ids can stand too, and for each kind of message. */
    private List<String> written(Address address, String place, UUID foreign, Messages messages) {
        if (address.body().isEmpty()) {
            String[] form = address.parameters().stream()
                    .flatMap(asked -> Stream.of(
                            asked.name(),
                            asked.name().equals(place)
                                    ? foreign.toString()
                                    : String.valueOf(messages.sample(asked.type(), asked.name()))))
                    .toArray(String[]::new);
            return List.of(Visitor.form(form));
        }
        Type type = address.body().get();
        Class<?> element = element(type);
        List<Object> all = new ArrayList<>();
        if (element.isRecord() || element.isSealed()) {
            List<Map<String, Object>> kinds = Messages.kinds(element).stream()
                    .flatMap(kind -> kinds(kind, messages).stream())
                    .toList();
            for (Map<String, Object> fields : kinds) {
                all.add(fields);
                if (fields.containsKey(place) && !fields.get(place).equals(foreign.toString())) {
                    all.add(with(fields, place, foreign));
                    all.add(with(fields, place, List.of(foreign)));
                    all.add(with(fields, place, Map.of(foreign.toString(), List.of(0))));
                }
            }
        } else {
            all.add(messages.sample(element, ""));
            all.add(foreign);
        }
        return all.stream()
                .map(each -> json.writeValueAsString(type instanceof ParameterizedType ? List.of(each) : each))
                .toList();
    }

    /** The fields of a record, once for each constant of what is enumerated in it. */
    private static List<Map<String, Object>> kinds(Class<?> record, Messages messages) {
        List<Map<String, Object>> kinds = new ArrayList<>(List.of(messages.fields(record)));
        for (RecordComponent component : record.getRecordComponents()) {
            if (component.getType().isEnum()) {
                kinds.clear();
                Arrays.stream(component.getType().getEnumConstants())
                        .forEach(
                                each -> kinds.add(with(messages.fields(record), component.getName(), each.toString())));
            }
        }
        return kinds;
    }

    private static Map<String, Object> with(Map<String, Object> fields, String name, Object value) {
        Map<String, Object> changed = new LinkedHashMap<>(fields);
        changed.put(name, value);
        return changed;
    }

    private Map<String, UUID> ids(Work work, Sheet sheet) {
        return Map.of(
                "sheet", sheet.id(),
                "scene", work.scene(),
                "card", card(work),
                "swatch", work.coat().id(),
                "layer", sheet.layer().id());
    }

    /** Everything that the database holds of a project. */
    private String allOf(Work work) {
        JdbcClient jdbc = pond.bean(JdbcClient.class);
        List<String> tables = jdbc.sql("""
                        select table_name from information_schema.columns
                        where table_schema = 'public' and column_name = 'project_id' order by 1""").query(String.class).list();
        assertThat(tables).hasSizeGreaterThan(8);
        StringBuilder all = new StringBuilder();
        for (String table : tables) {
            all.append(rows(jdbc, "select t::text from " + table + " t where project_id = ? order by 1", work));
        }
        String ofSheet = "in (select id from sheet where project_id = ?)";
        all.append(rows(jdbc, "select t::text from layer t where sheet_id " + ofSheet + " order by 1", work));
        all.append(rows(jdbc, "select t::text from effect t where sheet_id " + ofSheet + " order by 1", work));
        all.append(rows(
                jdbc,
                "select t::text from cell_fill t where layer_id in (select id from layer where sheet_id " + ofSheet
                        + ") order by 1",
                work));
        return all.toString();
    }

    private static List<String> rows(JdbcClient jdbc, String query, Work work) {
        return jdbc.sql(query).param(work.project()).query(String.class).list();
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
