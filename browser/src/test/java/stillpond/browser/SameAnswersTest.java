package stillpond.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.Array;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.net.URISyntaxException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The compiled rules answer as the core does in the JVM: whole numbers and texts the same, other numbers to within 1e-9. */
class SameAnswersTest {

    private static final Path SCRIPT = Path.of("target/rules/rules.js").toAbsolutePath();
    private static final boolean IS_ALL = "all".equals(System.getenv("POND_TEST"));
    private static final int LAYERS = IS_ALL ? 200 : 10;
    private static final int QUESTIONS_OF_EACH_LAYER = 50;
    private static final int QUESTIONS_OF_EACH_KIND = QUESTIONS_OF_EACH_LAYER * LAYERS;
    private static final double NEAR = 1e-9;
    private static final Object NOTHING = new Object();

    private final JsonMapper json = JsonMapper.shared();
    private final BlockingQueue<Asked> asked = new LinkedBlockingQueue<>();

    /**
     * A question as it was put to the script, and the answer of the JVM.
     *
     * @param inJson that answer
     */
    private record Asked(String question, Object answer, String inJson) {}

    @Test
    void theScriptAnswersAsTheCoreDoes() throws Exception {
        Process script = new ProcessBuilder(
                        "node", ask().toString(), SCRIPT.toUri().toString())
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        CompletableFuture<Void> asking = CompletableFuture.runAsync(() -> askAll(script));
        int compared = compare(script);
        asking.get();

        long kinds = statics().stream()
                        .filter(method -> method.getParameterCount() > 0)
                        .count()
                + Exports.methods(SheetRegions.class).size();
        assertThat((long) compared).isGreaterThanOrEqualTo(QUESTIONS_OF_EACH_KIND * kinds);
    }

    private void askAll(Process script) {
        try (BufferedWriter out = script.outputWriter()) {
            for (Method method : statics()) {
                Random random = new Random(method.getName().hashCode());
                // Without arguments there is only one.
                int questions = method.getParameterCount() == 0 ? 1 : QUESTIONS_OF_EACH_KIND;
                for (int i = 0; i < questions; i++) {
                    ask(out, null, method, Questions.of(method, random, null, 0));
                }
            }
            Random looks = new Random(1);
            for (int i = 0; i < QUESTIONS_OF_EACH_KIND; i++) {
                askOfLook(out, looks);
            }
            for (int each = 0; each < LAYERS; each++) {
                askOfShapes(out, new Random(each));
                askOfEvenLines(out, new Random(each));
            }
            for (int layer = 0; layer < LAYERS; layer++) {
                askOfLayer(out, new Random(layer));
            }
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<Method> statics() {
        return Exports.classes().stream()
                .flatMap(each -> Exports.methods(each).stream())
                .filter(Exports::isStatic)
                .filter(method -> !makesAnother(method))
                .toList();
    }

    /** Its answer is what other questions are put to. */
    private static boolean makesAnother(Method method) {
        return Exports.classes().contains(method.getReturnType());
    }

    private void askOfLook(BufferedWriter out, Random random) throws Exception {
        Method of = FillLook.class.getMethod("of", String.class, String[].class, String[].class);
        Object[] arguments = Questions.of(of, random, null, 0);
        FillLook look = (FillLook) of.invoke(null, arguments);
        write(out, Map.of("make", "FillLook", "arguments", arguments));
        for (Method method : Exports.methods(FillLook.class)) {
            if (!Exports.isStatic(method)) {
                ask(out, look, method, Questions.of(method, random, null, 0));
            }
        }
    }

    /** Shapes drawn, edited and divided at random; what is thought of is shown, and taken or dropped. */
    private void askOfShapes(BufferedWriter out, Random random) throws Exception {
        String text =
                "1: 10,10! 60,10! 60,60! 10,60!\n2 w4t: 60,10! 110,20 110,60 60,60!\n3: 30,70 70,75 60,110 25,100\n";
        BlockedIn shapes = BlockedIn.read(text, 128, 120);
        write(out, Map.of("make", "BlockedIn", "arguments", List.of(text, 128, 120)));
        Asking asking = (name, arguments) -> ask(out, shapes, shapeMethod(name), arguments);
        double x = 20 + 80 * random.nextDouble();
        double y = 20 + 80 * random.nextDouble();
        int corner = random.nextInt(4);
        double aside = 24 * random.nextDouble() - 12;
        asking.of(
                "moveKnot",
                1,
                0,
                corner,
                (corner == 1 || corner == 2 ? 60 : 10) + aside,
                (corner > 1 ? 60 : 10) - aside,
                random.nextBoolean());
        asking.of("show");
        asking.of("border", 1, 0);
        asking.of(random.nextBoolean() ? "take" : "drop");
        asking.of("draw", "drawn " + (int) x + ",5! 120," + (int) y + " 90,115", random.nextBoolean(), 4.0);
        asking.of("take");
        asking.of("duplicate", new int[] {3});
        asking.of("show");
        asking.of("drop");
        asking.of("turn", new int[] {3}, 90 * random.nextDouble(), 1.5, -1.0);
        asking.of("take");
        String[] evenly = {"SPOKES", "RINGS", "STRIPS", "GRID"};
        asking.of(
                "divideEvenly",
                2,
                evenly[random.nextInt(4)],
                2 + random.nextInt(4),
                2,
                40 * random.nextDouble(),
                85.0,
                35.0);
        asking.of("take");
        asking.of("divide", 1, new double[] {5, 30, 35, 25 + 10 * random.nextDouble(), 50, 30}, 3.0, 1.0);
        asking.of("take");
        for (String name : List.of("order", "looseEnds", "lineCount", "hasInk")) {
            asking.of(name);
        }
        asking.of("snapped", x, y, new int[] {1}, 12.0);
        asking.of("around", new int[] {1, 3});
        asking.of("centres", new int[] {1, 2, 3});
        asking.of("within", new double[] {0, 0, 128, 0, 128, x, 0, y});
        asking.of("inkIn", new int[] {50, 5, 20, 20});
    }

    /** Of a region of two cells of a sheet whose columns are its cells. */
    private void askOfEvenLines(BufferedWriter out, Random random) throws Exception {
        Method over = Arrays.stream(EvenLines.class.getMethods())
                .filter(each -> each.getName().equals("over"))
                .findFirst()
                .orElseThrow();
        Object[] arguments = Questions.of(over, random, null, 0);
        EvenLines lines = (EvenLines) over.invoke(null, arguments);
        write(out, Map.of("make", "EvenLines", "arguments", arguments));
        Asking asking = (name, asked) -> ask(out, lines, method(EvenLines.class, name), asked);
        int width = 120;
        asking.of("pixels", width, 110);
        int[] columns = Arrays.stream(lines.pixels(width, 110))
                .map(pixel -> pixel % width)
                .toArray();
        int first = random.nextInt(width);
        asking.of("keepInside", columns, IntStream.range(first, first + 40).toArray());
        asking.of("count");
        for (int i = 0; i < lines.count(); i++) {
            asking.of("line", i);
        }
    }

    private interface Asking {
        void of(String name, Object... arguments) throws Exception;
    }

    private static Method shapeMethod(String name) {
        return method(BlockedIn.class, name);
    }

    private static Method method(Class<?> exported, String name) {
        return Exports.methods(exported).stream()
                .filter(each -> each.getName().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private void askOfLayer(BufferedWriter out, Random random) throws Exception {
        MadeLayer made = MadeLayer.of(random);
        Layer layer = made.layer();
        write(
                out,
                Map.of(
                        "make",
                        "Layer",
                        "arguments",
                        Stream.of(made.asSent()).map(SameAnswersTest::inJson).toList()));
        SheetRegions regions = new SheetRegions(layer);
        write(out, Map.of("make", "SheetRegions", "arguments", List.of()));
        for (int i = 0; i < QUESTIONS_OF_EACH_LAYER; i++) {
            for (Method method : Exports.methods(SheetRegions.class)) {
                ask(out, regions, method, Questions.of(method, random, made, regions.count()));
            }
        }
        askOfGroups(out, made, random);
        askOfStrokes(out, made, random);
        askOfShadows(out, layer, made, random);
        askOfLine(out, random);
        askOfPlanes(out, layer, made, random);
    }

    private void askOfPlanes(BufferedWriter out, Layer layer, MadeLayer made, Random random) throws Exception {
        write(out, Map.of("make", "SameLayer", "arguments", List.of()));
        askOfCells(out, layer, made, random);
        Method patched = Layer.class.getMethod("patched", byte[].class);
        LayerPatch patch = (LayerPatch) ask(out, layer, patched, made.patch());
        write(out, Map.of("make", "PatchedLayer", "arguments", List.of()));
        askOfCells(out, patch.layer(), made, random);
        write(out, Map.of("make", "Plane", "arguments", List.of(inJson(made.map()))));
        askOfPlane(out, Plane.read(made.map()));
    }

    private void askOfCells(BufferedWriter out, Layer layer, MadeLayer made, Random random) throws Exception {
        for (int i = 0; i < QUESTIONS_OF_EACH_LAYER / 2; i++) {
            for (Method method : Exports.methods(Layer.class)) {
                if (!makesAnother(method) && !method.getName().equals("patched")) {
                    ask(out, layer, method, Questions.of(method, random, made, 0));
                }
            }
        }
    }

    private void askOfPlane(BufferedWriter out, Plane plane) throws Exception {
        for (Method method : Exports.methods(Plane.class)) {
            if (!Exports.isStatic(method)) {
                ask(out, plane, method);
            }
        }
    }

    private void askOfLine(BufferedWriter out, Random random) throws Exception {
        OwnLine line = new OwnLine();
        write(out, Map.of("make", "OwnLine", "arguments", List.of()));
        for (int i = 0; i < QUESTIONS_OF_EACH_LAYER; i++) {
            for (Method method : Exports.methods(OwnLine.class)) {
                ask(out, line, method, Questions.of(method, random, null, 0));
            }
        }
    }

    private void askOfStrokes(BufferedWriter out, MadeLayer made, Random random) throws Exception {
        SheetStrokes strokes = new SheetStrokes();
        write(out, Map.of("make", "SheetStrokes", "arguments", List.of()));
        Method add = SheetStrokes.class.getMethod("add", double.class, int[].class, int[].class, double[].class);
        ask(out, strokes, add, Questions.of(add, random, made, 0));
        for (int i = 0; i < QUESTIONS_OF_EACH_LAYER; i++) {
            for (Method method : Exports.methods(SheetStrokes.class)) {
                if (!Exports.isStatic(method)) {
                    ask(out, strokes, method, Questions.of(method, random, made, 0));
                }
            }
        }
    }

    private void askOfShadows(BufferedWriter out, Layer layer, MadeLayer made, Random random) throws Exception {
        SheetShadows shadows = new SheetShadows(layer, 1);
        write(out, Map.of("make", "SheetShadows", "arguments", List.of(1)));
        SheetGroups none = new SheetGroups();
        int[] cells = {0, 2};
        shadows.begin(none, cells);
        write(out, Map.of("make", "BegunShadows", "arguments", List.of(cells)));
        for (int number = 0; number < 4; number++) {
            Object[] one = Questions.of(shadowMethod("add"), random, made, 0);
            one[0] = number;
            ask(out, shadows, shadowMethod("add"), one);
            ask(out, shadows, shadowMethod("box"), number);
            ask(out, shadows, shadowMethod("base"), number);
        }
        ask(out, shadows, shadowMethod("marginPx"));
        int[] page = {0, 0, made.plane().widthPx(), made.plane().heightPx()};
        ask(out, shadows, shadowMethod("numbers"), page, page, made.plane().numbers());
        ask(out, shadows, shadowMethod("count"));
        ask(out, shadows, shadowMethod("isFull"));
        ask(out, shadows, shadowMethod("first"));
        for (int piece = shadows.first(); piece < shadows.count(); piece++) {
            int[] colours = {random.nextInt(), random.nextInt(), 0};
            int wearing = random.nextBoolean() ? -1 : random.nextInt(1 << 24);
            ask(out, shadows, shadowMethod("over"), piece, colours, wearing);
            ask(out, shadows, shadowMethod("under"), piece);
            ask(out, shadows, shadowMethod("topmost"), piece);
        }
    }

    private static Method shadowMethod(String name) {
        return Exports.methods(SheetShadows.class).stream()
                .filter(each -> each.getName().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private void askOfGroups(BufferedWriter out, MadeLayer made, Random random) throws Exception {
        for (int i = 0; i < QUESTIONS_OF_EACH_LAYER; i++) {
            // A cell is in one group at the most, so there is one group alone.
            SheetGroups groups = new SheetGroups();
            write(out, Map.of("make", "SheetGroups", "arguments", List.of()));
            for (Method method : Exports.methods(SheetGroups.class)) {
                ask(out, groups, method, Questions.of(method, random, made, 0));
            }
        }
    }

    private Object ask(BufferedWriter out, Object of, Method method, Object... arguments) throws Exception {
        Object answer = method.invoke(of, arguments);
        Map<String, Object> question = new HashMap<>(Map.of(
                "ask",
                method.getName(),
                "arguments",
                Stream.of(arguments).map(SameAnswersTest::inJson).toList()));
        if (of == null) {
            question.put("of", method.getDeclaringClass().getSimpleName());
        }
        String line = json.writeValueAsString(question);
        asked.put(
                answer == null
                        ? new Asked(line, NOTHING, "null")
                        : new Asked(line, answer, json.writeValueAsString(answer)));
        out.write(line);
        out.newLine();
        return answer;
    }

    /** Bytes cross as the numbers that they are. */
    private static Object inJson(Object argument) {
        if (!(argument instanceof byte[] bytes)) {
            return argument;
        }
        int[] numbers = new int[bytes.length];
        for (int i = 0; i < bytes.length; i++) {
            numbers[i] = bytes[i];
        }
        return numbers;
    }

    private void write(BufferedWriter out, Map<String, Object> question) throws IOException {
        out.write(json.writeValueAsString(question));
        out.newLine();
    }

    private int compare(Process script) {
        int count = 0;
        try (BufferedReader in = script.inputReader()) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                Asked question = asked.take();
                // Most answers are the same to the letter; numbers may be written otherwise.
                boolean isSame = line.equals(question.inJson()) || isSame(question.answer(), json.readTree(line));
                if (!isSame) {
                    throw new AssertionError(question.question() + " was answered " + line + ", and in the JVM "
                            + json.writeValueAsString(question.answer()));
                }
                count++;
            }
            return count;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        } finally {
            script.destroy();
        }
    }

    private static boolean isSame(Object expected, JsonNode answer) {
        if (expected == NOTHING) {
            return answer.isNull();
        }
        if (expected instanceof Double number) {
            return Math.abs(number - answer.asDouble()) <= NEAR * Math.max(1, Math.abs(number));
        }
        if (expected.getClass().isArray()) {
            boolean isSame = answer.isArray() && answer.size() == Array.getLength(expected);
            for (int i = 0; isSame && i < answer.size(); i++) {
                isSame = isSame(Array.get(expected, i), answer.get(i));
            }
            return isSame;
        }
        if (expected instanceof Record) {
            return Stream.of(expected.getClass().getRecordComponents())
                    .allMatch(each -> isSame(valueOf(expected, each), answer.path(each.getName())));
        }
        if (Exports.classes().contains(expected.getClass())) {
            return answer.isObject();
        }
        return answer.isValueNode() && expected.toString().equals(answer.asString());
    }

    private static Object valueOf(Object of, RecordComponent component) {
        try {
            return component.getAccessor().invoke(of);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Path ask() throws URISyntaxException {
        return Path.of(SameAnswersTest.class.getResource("ask.mjs").toURI());
    }
}
