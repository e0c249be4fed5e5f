package stillpond.browser;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.teavm.jso.JSExport;
import stillpond.core.colour.Adjustment;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.ColourModel;
import stillpond.core.colour.ColourVision;
import stillpond.core.colour.CssColour;
import stillpond.core.colour.Gamut;
import stillpond.core.colour.HuePlane;
import stillpond.core.colour.Mixing;
import stillpond.core.colour.Nudge;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.Related;
import stillpond.core.colour.Snap;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.SwatchQuery;

/** Colours as hex codes, and in OKLCH as lightness 0 to 1, chroma, and hue in degrees. */
public final class Colours {

    private Colours() {}

    /** CIEDE2000, about 1 where a difference is just seen. */
    @JSExport
    public static double difference(String first, String second) {
        return Ciede2000.between(Srgb.ofHex(first), Srgb.ofHex(second));
    }

    /** Whether what was typed finds a swatch. */
    @JSExport
    public static boolean isFound(String query, String name, String card, String hex) {
        return new SwatchQuery(query).finds(name, card, Srgb.ofHex(hex));
    }

    @JSExport
    public static String mixed(String from, String to, double share) {
        return Mixing.mix(Srgb.ofHex(from), Srgb.ofHex(to), share).hex();
    }

    @JSExport
    public static double[] polar(String hex) {
        Oklch polar = Oklch.of(Srgb.ofHex(hex));
        return new double[] {polar.lightness(), polar.chroma(), polar.hue()};
    }

    @JSExport
    public static Shown shown(double lightness, double chroma, double hue) {
        return Shown.of(Gamut.show(new Oklch(lightness, chroma, hue)));
    }

    /**
     * All lightnesses and chromas of one hue: white above, black below, grey to the left.
     *
     * @param mostChroma at the right edge
     * @return row by row, as 0xAARRGGBB; 0 where sRGB has no such colour
     */
    @JSExport
    public static int[] ofHue(double hue, double mostChroma, int columns, int rows) {
        return HuePlane.of(hue, mostChroma, columns, rows);
    }

    @JSExport
    public static double[] nudged(String nudge, double lightness, double chroma, double hue) {
        Oklch moved = Nudge.valueOf(nudge).of(new Oklch(lightness, chroma, hue));
        return new double[] {moved.lightness(), moved.chroma(), moved.hue()};
    }

    @JSExport
    public static String webSafe(String hex) {
        return Snap.webSafe(Srgb.ofHex(hex)).hex();
    }

    @JSExport
    public static @Nullable String read(String text) {
        return CssColour.of(text).map(Srgb::hex).orElse(null);
    }

    @JSExport
    public static double[] numbers(String model, String hex) {
        return ColourModel.find(model).orElseThrow().numbersOf(Srgb.ofHex(hex));
    }

    /** The channels of a model. */
    @JSExport
    public static Channel[] channels(String model) {
        return ColourModel.find(model).orElseThrow().channels().stream()
                .map(channel -> new Channel(channel.min(), channel.max(), channel.step(), channel.unit()))
                .toArray(Channel[]::new);
    }

    @JSExport
    public static Shown ofNumbers(String model, double[] numbers) {
        return Shown.of(ColourModel.find(model).orElseThrow().show(numbers));
    }

    /** Even steps from one colour to another, both among them. */
    @JSExport
    public static String[] ramp(String from, String to, int count) {
        return hexes(Mixing.ramp(List.of(Srgb.ofHex(from), Srgb.ofHex(to)), count));
    }

    /** Null if there are no others. */
    @JSExport
    public static @Nullable Nearest nearest(String hex, String[] others) {
        OptionalInt place = Snap.nearest(
                Srgb.ofHex(hex), Arrays.stream(others).map(Srgb::ofHex).toList());
        if (place.isEmpty()) {
            return null;
        }
        double difference = difference(hex, others[place.getAsInt()]);
        return new Nearest(place.getAsInt(), difference, difference < Ciede2000.HARD_TO_TELL);
    }

    /**
     * Colours shifted together.
     *
     * @param lightness in even steps, as is chroma
     * @param hueDegrees -180 to 180
     * @param only the hues concerned: middle, width and soft edge, in degrees; or nothing, for all
     */
    @JSExport
    public static String[] adjusted(
            String[] hexes,
            int lightness,
            int chroma,
            double hueDegrees,
            double[] only,
            boolean sparesSkin,
            boolean sparesNeutrals) {
        Adjustment adjustment = Adjustment.inSteps(
                lightness,
                chroma,
                hueDegrees,
                only.length == 0 ? Optional.empty() : Optional.of(new Adjustment.HueRange(only[0], only[1], only[2])),
                sparesSkin,
                sparesNeutrals);
        return hexes(
                Arrays.stream(hexes).map(hex -> adjustment.of(Srgb.ofHex(hex))).toList());
    }

    private static String[] hexes(List<Srgb> colours) {
        return colours.stream().map(Srgb::hex).toArray(String[]::new);
    }

    @JSExport
    public static int seen(String vision, int packed) {
        return ColourVision.valueOf(vision).seen(Srgb.ofPacked(packed)).packed();
    }

    @JSExport
    public static String[] related(String hex, String kind) {
        return hexes(Related.valueOf(kind).to(Srgb.ofHex(hex)));
    }
}
