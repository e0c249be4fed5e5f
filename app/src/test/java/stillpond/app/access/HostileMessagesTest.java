package stillpond.app.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Address;
import stillpond.app.support.Drawings;
import stillpond.app.support.Heavy;
import stillpond.app.support.Messages;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.palette.Card;
import stillpond.core.palette.Staging;
import tools.jackson.databind.json.JsonMapper;

/**
 * Messages that make no sense, made from the types of what every address reads: fields that are missing, nothing where something belongs,
 * numbers beyond all bounds, texts without end. All are answered, and none by a fault of ours.
 */
class HostileMessagesTest {

    private static final String LONG = "x".repeat(100_000);
    private static final int LONGEST_QUERY = 1000;
    private static final int STEP = 4;
    private static final List<Object> WRONG = List.of(
            "",
            "\0",
            LONG,
            "\uff1dcmd|' /C'",
            "+999999999-01-01T00:00:00Z",
            -1,
            Integer.MAX_VALUE,
            Integer.MIN_VALUE,
            1e300,
            true,
            List.of(),
            Map.of());

    private final TestPond pond = TestPond.shared();
    private final JsonMapper json = pond.bean(JsonMapper.class);
    private final Palettes palettes = pond.bean(Palettes.class);
    private final Work work = Work.begin(pond);
    private final Sheet sheet = work.bringSmall(Drawings.threeBoxes());
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final Messages messages = new Messages(this::id);
    private final Map<String, Integer> answers = new TreeMap<>();
    private UUID wardrobe;
    private UUID light;
    private UUID picture;

    @BeforeEach
    void makeWhatAddressesName() {
        String at = "/projects/" + work.project();
        visitor.submit(at + "/cards/" + card() + "/wardrobes", "name", "Winter");
        visitor.submit(at + "/lights", "name", "Dusk", "scene", work.scene().toString());
        byte[] sea = Drawings.png(40, 30, pen -> pen.fillRect(0, 0, 40, 30));
        String brought = visitor.upload(at + "/pictures", "sea.png", sea)
                .headers()
                .firstValue("Location")
                .orElseThrow();
        Staging staging = pond.bean(Stagings.class).of(work.project());
        wardrobe = staging.wardrobes(card()).get(0).id();
        light = staging.lights().get(0).id();
        picture = UUID.fromString(brought.substring(brought.lastIndexOf('/') + 1));
    }

    @Test
    void noMessageMakesTheServerFail() {
        Address.inProjects(pond).stream().filter(Address::ends).forEach(this::send);
        assertThat(answers).hasSizeGreaterThan(500);
        assertThat(answers.entrySet().stream().filter(each -> each.getValue() >= 500))
                .isEmpty();
    }

    @Test
    void moreThanIsReadAtOnceIsRefusedWhateverItHolds() {
        String endless = "[" + "{\"x\":1,\"y\":1},".repeat(600_000) + "{\"x\":1,\"y\":1}]";
        HttpResponse<String> answer = visitor.post(work.address(sheet) + "/dams", endless);
        assertThat(answer.statusCode()).isEqualTo(413);
        assertThat(answer.body()).contains("more than is read at once");
    }

    private void send(Address address) {
        String path = named(address.path());
        address.body()
                .ifPresent(type -> bodies(type)
                        .forEach(body -> note(path, body, visitor.post(path, json.writeValueAsString(body)))));
        for (Address.Asked wrong : address.parameters()) {
            for (Object value : wrongFor(path + wrong.name())) {
                List<String> fields = new ArrayList<>();
                for (Address.Asked asked : address.parameters()) {
                    fields.add(asked.name());
                    fields.add(String.valueOf(asked == wrong ? value : messages.sample(asked.type(), asked.name())));
                }
                String[] form = fields.toArray(String[]::new);
                if (address.isPost()) {
                    note(path, fields, visitor.submit(path, form));
                } else if (String.valueOf(value).length() < LONGEST_QUERY) {
                    note(path, fields, visitor.ask(path, form));
                }
            }
        }
        if (address.parameters().isEmpty() && !address.isPost()) {
            note(path, "", visitor.get(path));
        }
    }

    private void note(String path, Object message, HttpResponse<String> answer) {
        String shown = String.valueOf(message);
        answers.put(path + " " + shown.substring(0, Math.min(300, shown.length())), answer.statusCode());
    }

    /** Something right, and everything that differs from it in one place. */
    private List<Object> bodies(Type type) {
        List<Object> bodies = new ArrayList<>(wrongFor(type.getTypeName()));
        bodies.add(messages.sample(type, ""));
        if (type instanceof ParameterizedType list) {
            Type element = list.getActualTypeArguments()[0];
            bodies.add(Arrays.asList((Object) null));
            bodies.add(List.of(List.of(List.of())));
            bodies.add(Collections.nCopies(5000, messages.sample(element, "")));
            broken(element).forEach(each -> bodies.add(List.of(each)));
        } else {
            bodies.addAll(broken(type));
        }
        return bodies;
    }

    private List<?> broken(Type type) {
        if (!(type instanceof Class<?> plain && (plain.isRecord() || plain.isSealed()))) {
            return WRONG;
        }
        return Messages.kinds(plain).stream()
                .flatMap(kind -> messages.varied(kind, component -> orNothing(kind + " " + component)).stream())
                .toList();
    }

    private static List<Object> orNothing(String place) {
        List<Object> values = new ArrayList<>(wrongFor(place));
        values.add(null);
        return values;
    }

    /** Every value in every place takes minutes: each place gets some of them, always the same, and among all places each value is sent often. */
    private static List<Object> wrongFor(String place) {
        if (Heavy.IS_WANTED) {
            return WRONG;
        }
        int first = Math.floorMod(place.hashCode(), STEP);
        return IntStream.range(0, WRONG.size())
                .filter(i -> i % STEP == first)
                .mapToObj(WRONG::get)
                .toList();
    }

    private UUID id(String name) {
        return switch (name) {
            case "layer" -> sheet.layer().id();
            case "sheet", "source", "sources" -> sheet.id();
            case "scene" -> work.scene();
            case "card", "cards" -> card();
            default -> work.coat().id();
        };
    }

    private String named(String path) {
        return path.replace("{project}", work.project().toString())
                .replace("{sheet}", sheet.id().toString())
                .replace("{scene}", work.scene().toString())
                .replace("{card}", card().toString())
                .replace("{wardrobe}", wardrobe.toString())
                .replace("{light}", light.toString())
                .replace("{picture}", picture.toString())
                .replace("{form}", "TOKENS")
                .replace("{name}", sheet.layer().ink())
                .replaceAll("\\{\\w+}", UUID.randomUUID().toString());
    }

    private UUID card() {
        return palettes.of(work.project()).cards().stream()
                .filter(card -> !card.isNeutral())
                .findFirst()
                .map(Card::id)
                .orElseThrow();
    }
}
