package stillpond.browser;

import java.lang.reflect.Method;
import java.lang.reflect.Parameter;
import java.util.Arrays;
import java.util.Locale;
import java.util.Random;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import stillpond.core.colour.BlendMode;
import stillpond.core.colour.ColourModel;
import stillpond.core.colour.ColourVision;
import stillpond.core.colour.Nudge;
import stillpond.core.colour.Related;
import stillpond.core.fill.Fill;
import stillpond.core.gap.DamState;
import stillpond.core.ledger.ColourOrder;
import stillpond.core.line.DarkerThanBeside;
import stillpond.core.region.Direction;

/** Makes up arguments by chance; what a parameter means is told by its name. */
final class Questions {

    private static final String[] CSS = {
        "#%h",
        "rgb(%n %n %n)",
        "rgb(%n, %n, %n, 0.5)",
        "hsl(%ndeg %p %p)",
        "hwb(%n %p %p / 50%)",
        "lab(%p %n -%n)",
        "lch(%p %n 0.3turn)",
        "oklab(0.%n 0.0%n -0.0%n)",
        "oklch(%p 0.1 %n)",
        "color(srgb 0.%n 0.%n 0.%n)",
        "teal",
        "rebeccapurple",
        "rgb(%n %n",
        "%n",
        "oklch(none 0 0)"
    };

    private static final String[] NAMES = {"Coat", "coat", "Hatband", "Sea", "Skin"};
    private static final String[] SWATCHES = {
        "5f0c9c0e-6f0b-4d4e-9a53-4f8b3f1c2d10",
        "0a1b2c3d-0000-4000-8000-0123456789ab",
        "f00dfeed-1234-4abc-9def-0000000000ff"
    };
    private static final String[] FILLS = {
        "none",
        SWATCHES[0],
        "flat 40% " + SWATCHES[0],
        "tone 30% " + SWATCHES[1],
        "linear 100% 1 2 30 40 0% " + SWATCHES[0] + " 100% " + SWATCHES[1],
        "radial 70% 50 50 90 40 10% " + SWATCHES[2] + " 30% " + SWATCHES[1] + " 80% " + SWATCHES[2],
        "pattern 80% 0 0 20 0 stripes plain " + SWATCHES[1] + " " + SWATCHES[0]
    };
    private static final String[] SHAPES = {
        "drawn 10,10 60,20 70,70 20,60", "drawn -5,30! 90,30! 45,80", "drawn 20,20~-3,2.5~4,-3 80,25~-9,-2~8,2 50,70"
    };
    private static final String[] FORMS = {
        SHAPES[0],
        SHAPES[1],
        SHAPES[2],
        "side 45 6",
        "rim 4 round",
        "rim 3.5 mitred filled under",
        "grain 3 7",
        "soft 5"
    };
    private static final String LIGHT_RULE = "multiply #5b4a7a 60 -8 -10 0 12";

    private Questions() {}

    /** @param layer and the number of its regions: null and 0 where the question is of none */
    static Object[] of(Method method, Random random, MadeLayer layer, int regions) {
        Parameter[] parameters = method.getParameters();
        Object[] arguments = new Object[parameters.length];
        int length = layer == null ? 0 : random.nextInt(1 + Math.min(8, layer.openingCount()));
        int[] openings = layer == null ? new int[0] : distinct(random, layer.openingCount(), length);
        int rows = 2 + random.nextInt(12);
        for (int i = 0; i < parameters.length; i++) {
            arguments[i] = argument(parameters[i], random, layer, regions, openings, rows);
        }
        if (method.getName().equals("load")) {
            int third = openings.length / 3;
            arguments[1] = part(openings, 0, 2 * third);
            arguments[2] = part(openings, 2 * third, openings.length);
            arguments[3] = part(openings, 0, third);
        }
        if (method.getName().equals("shownInk")) {
            arguments[0] = 12;
            arguments[1] = bytes(random, 96);
            arguments[2] = random.ints(96, 0, 3).toArray();
            arguments[3] = random.ints(3, -8, 21).toArray();
        }
        if (method.getName().equals("freehand")) {
            // Some of its points always lie apart.
            arguments[0] = DoubleStream.concat(
                            DoubleStream.of(0, 0, 140, 0, 70, 140), Arrays.stream((double[]) arguments[0]))
                    .toArray();
        }
        if (method.getDeclaringClass().equals(SheetStrokes.class)
                && method.getName().equals("add")) {
            arguments[3] = random.doubles(((int[]) arguments[2]).length).toArray();
        }
        return arguments;
    }

    private static Object argument(
            Parameter parameter, Random random, MadeLayer layer, int regions, int[] openings, int rows) {
        boolean isWhole = parameter.getType().equals(int.class);
        return switch (parameter.getName()) {
            case "first", "second", "hex", "fromHex", "toHex", "tint" -> hex(random);
            case "from", "to" -> isWhole ? random.nextInt(regions) : idOrHex(parameter, random);
            case "lightness" -> isWhole ? (Object) (random.nextInt(41) - 20) : (Object) random.nextDouble();
            case "chroma" -> isWhole ? (Object) (random.nextInt(41) - 20) : (Object) (0.4 * random.nextDouble());
            case "columns" -> 1 + random.nextInt(5);
            case "mostChroma" -> 0.1 + 0.3 * random.nextDouble();
            case "dense" -> random.nextInt(256);
            case "solid" -> 1 + random.nextInt(255);
            case "paint" -> darker(random);
            case "paints" -> some(rows, () -> random.nextBoolean() ? "process " + hex(random) : darker(random));
            case "counts" -> IntStream.range(0, 4).map(i -> i % 3).toArray();
            case "strength" -> random.nextInt(101);
            case "contrast" -> random.nextInt(201) - 100;
            case "blend" -> any(random, BlendMode.values()).standardName();
            case "opacity" -> 1 + random.nextInt(100);
            case "course" -> any(random, Fill.Course.values()).name().toLowerCase(Locale.ROOT);
            case "motif" -> "stripes-2";
            case "mirrored", "flipped" -> random.nextBoolean();
            case "gradientOrPattern" -> FILLS[4 + random.nextInt(3)];
            case "kept" -> random.nextBoolean() ? "" : SWATCHES[0];
            case "height" -> 5 + random.nextInt(1900);
            case "begun" -> new int[] {-20, random.nextInt(50), 70, 60 + random.nextInt(50)};
            case "placed" ->
                new int[] {10 + random.nextInt(490), random.nextInt(721) - 360, random.nextInt(90) - 45, 7};
            case "turn" -> random.nextBoolean() ? 15 : -15;
            case "pattern" -> "pattern 80% 0 3 40 9 stripes-2 mirrored " + SWATCHES[0] + " " + SWATCHES[1];
            case "span" -> new int[] {random.nextInt(50), -7, 60 + random.nextInt(50), random.nextInt(50)};
            case "percents" -> random.ints(rows, 0, 101).sorted().toArray();
            case "id" -> any(random, SWATCHES);
            case "name", "card", "query" -> any(random, NAMES);
            case "isHidden", "isLocked", "isLifting" -> random.nextBoolean();
            case "sheet", "scene" -> any(random, new String[] {"follow", "plain", SWATCHES[0], SWATCHES[1]});
            case "percent" -> random.nextInt(101);
            case "stop" -> random.nextInt(3);
            case "evenly" -> any(random, new String[] {"SPOKES", "RINGS", "STRIPS", "GRID"});
            case "parts", "rows" ->
                isWhole
                        ? (Object) (2 + random.nextInt(7))
                        : random.ints(9, 10, 90).toArray();
            case "degrees" -> 360 * random.nextDouble() - 180;
            case "step" -> 1 + random.nextInt(3);
            case "gradient" -> FILLS[5];
            case "box" ->
                new int[] {random.nextInt(50), random.nextInt(50), 60 + random.nextInt(90), 60 + random.nextInt(90)};
            case "swatch" -> any(random, SWATCHES);
            case "swatches" -> swatches(parameter, rows, random);
            case "instead", "beside", "used" -> some(rows, () -> any(random, SWATCHES));
            case "all" -> LIGHT_RULE;
            case "rules" -> some(rows, () -> LIGHT_RULE);
            case "exceptions" -> some(rows, () -> random.nextBoolean() ? "drawn" : hex(random));
            case "x", "y", "within", "radius" -> 100 * random.nextDouble();
            case "share" -> random.nextDouble();
            case "hue" -> isWhole ? (Object) (random.nextInt(361) - 180) : (Object) (360 * random.nextDouble());
            case "hueDegrees" -> 360 * random.nextDouble() - 180;
            case "only" ->
                random.nextBoolean() ? new double[0] : random.doubles(3, 0, 180).toArray();
            case "sparesSkin", "sparesNeutrals" -> random.nextBoolean();
            case "nudge" -> any(random, Nudge.values()).name();
            case "kind" ->
                parameter.getDeclaringExecutable().getName().equals("spanIn")
                        ? any(random, new String[] {"linear", "radial", "pattern"})
                        : any(random, Related.values()).name();
            case "vision" -> any(random, ColourVision.values()).name();
            case "model" -> any(random, ColourModel.values()).id();
            case "order" -> any(random, ColourOrder.values()).name();
            case "numbers" -> random.doubles(3, -20, 400).toArray();
            case "packed" -> random.nextInt(1 << 24);
            case "text" -> text(parameter, random);
            case "count" -> 2 + random.nextInt(8);
            case "threshold" -> 0.5 + 10 * random.nextDouble();
            case "hexes", "others" -> some(rows, () -> hex(random));
            case "names" -> some(rows, () -> any(random, NAMES));
            case "cards" ->
                parameter.getType().equals(int[].class)
                        ? random.ints(rows, 0, 4).toArray()
                        : swatches(parameter, rows, random);
            case "shares" -> random.doubles(rows).toArray();
            case "regions" -> random.ints(rows, 0, 9).toArray();
            case "cell" -> random.nextInt(layer.count());
            case "cells", "outline" ->
                layer == null
                        ? distinct(random, 7, 4)
                        : distinct(random, layer.count(), 1 + random.nextInt(layer.count()));
            case "fill" -> any(random, FILLS);
            case "fills" -> some(layer.count(), () -> any(random, FILLS));
            case "worn" ->
                layer == null
                        ? some(rows, () -> any(random, FILLS))
                        : random.ints(layer.count(), 0, 3).toArray();
            case "opening" -> random.nextInt(layer.openingCount());
            case "openings", "shut", "open", "inked" -> openings;
            case "states", "before", "after" ->
                layer == null
                        ? some(rows, () -> any(random, FILLS))
                        : some(
                                openings.length,
                                () -> any(random, DamState.values()).name());
            case "reach" -> random.nextInt(4) == 0 && mayStay(parameter) ? -1.0 : random.nextDouble();
            case "reachBefore", "reachAfter" -> random.nextDouble();
            case "direction" -> any(random, Direction.values()).name();
            case "change" -> any(random, NAMES);
            case "made", "last" -> (double) random.nextInt(60);
            case "inkStart" -> {
                byte[] start = new byte[16];
                random.nextBytes(start);
                start[3] &= 0x7f;
                start[6] &= 0x7f;
                start[8] &= 0x7f;
                yield start;
            }
            case "inkPx", "amount" -> random.nextDouble();
            case "meant" -> new int[] {0};
            case "basis" -> any(random, DarkerThanBeside.Basis.values()).name();
            case "alsoAgainstNothing" -> random.nextBoolean();
            case "areas" -> random.doubles(layer.count(), 1, 500).toArray();
            case "source" -> any(random, SWATCHES);
            case "stands" -> random.nextBoolean();
            case "tolerance" -> 1 + 4 * random.nextDouble();
            case "shape" ->
                parameter.getDeclaringExecutable().getName().equals("without") ? SHAPES[0] : any(random, SHAPES);
            case "form" -> any(random, FORMS);
            case "number" -> random.nextInt(4);
            case "width" -> 12;
            case "density" -> new byte[0];
            case "strokes" -> new int[0];
            case "tenths" ->
                isWhole
                        ? (Object) (random.nextInt(29) - 8)
                        : random.ints(3, -8, 21).toArray();
            case "strokePx" -> 1 + 6 * random.nextDouble();
            case "steps" -> random.nextInt(21) - 10;
            case "knot" -> random.nextInt(3);
            case "edge" -> random.nextBoolean() ? 0.0 : 12 * random.nextDouble();
            case "base" ->
                random.nextInt(4) == 0 ? "laid" : "cells" + " 0 1 3 5".substring(0, 2 + 2 * random.nextInt(4));
            case "fromX", "fromY" -> 50 * random.nextDouble();
            case "toX", "toY" -> 60 + 80 * random.nextDouble();
            case "sides" -> 3 + random.nextInt(58);
            case "corners" -> random.ints(3, 0, 6).distinct().toArray();
            case "pixels" -> random.ints(40).toArray();
            case "colours" -> some(rows, () -> hex(random));
            case "across" -> 8;
            case "column", "discPx" -> random.nextInt(5);
            case "middles" -> random.doubles(2 * rows, 0, 200).toArray();
            case "widths" -> random.ints(rows, 5, 90).toArray();
            case "clockwise" -> random.nextBoolean();
            case "between" -> random.nextInt(5);
            case "region" -> random.nextInt(regions);
            case "line", "way" ->
                isWhole
                        ? (Object) random.nextInt(5)
                        : random.doubles(2 * (3 + random.nextInt(6)), 0, 140).toArray();
            default -> throw new IllegalArgumentException("No questions are known for " + parameter + ".");
        };
    }

    private static String darker(Random random) {
        return SheetStrokes.darker(any(random, SWATCHES), "#204060", random.nextBoolean() ? 0.1 : 0.2)
                .paint();
    }

    private static byte[] bytes(Random random, int count) {
        byte[] bytes = new byte[count];
        random.nextBytes(bytes);
        return bytes;
    }

    private static String text(Parameter parameter, Random random) {
        Class<?> asked = parameter.getDeclaringExecutable().getDeclaringClass();
        if (asked.equals(Colours.class)) {
            return css(random);
        }
        return asked.equals(Lights.class)
                ? "all " + LIGHT_RULE + "; card " + any(random, SWATCHES) + " " + LIGHT_RULE + "; part "
                        + any(random, SWATCHES) + " " + hex(random)
                : any(random, FILLS);
    }

    /** As many as a fill takes. */
    private static String[] swatches(Parameter parameter, int rows, Random random) {
        boolean isPattern = parameter.getDeclaringExecutable().getName().equals("pattern");
        return some(isPattern ? Math.min(rows, 4) : rows, () -> any(random, SWATCHES));
    }

    private static boolean mayStay(Parameter parameter) {
        return parameter.getDeclaringExecutable().getName().equals("giving");
    }

    private static String idOrHex(Parameter parameter, Random random) {
        boolean namesASwatch =
                parameter.getDeclaringExecutable().getDeclaringClass().equals(Ramps.class);
        return namesASwatch ? new UUID(random.nextLong(), random.nextLong()).toString() : hex(random);
    }

    private static String[] some(int count, Supplier<String> each) {
        return Stream.generate(each).limit(count).toArray(String[]::new);
    }

    private static String css(Random random) {
        String text = any(random, CSS);
        while (text.contains("%h") || text.contains("%n") || text.contains("%p")) {
            text = text.replaceFirst("%h", hex(random).substring(1))
                    .replaceFirst("%n", String.valueOf(random.nextInt(300)))
                    .replaceFirst("%p", random.nextInt(101) + "%");
        }
        return text;
    }

    private static String hex(Random random) {
        return String.format("#%06x", random.nextInt(1 << 24));
    }

    private static int[] distinct(Random random, int bound, int count) {
        return random.ints(0, bound).distinct().limit(count).toArray();
    }

    private static int[] part(int[] numbers, int start, int end) {
        return IntStream.range(start, end).map(i -> numbers[i]).toArray();
    }

    private static <T> T any(Random random, T[] values) {
        return values[random.nextInt(values.length)];
    }
}
