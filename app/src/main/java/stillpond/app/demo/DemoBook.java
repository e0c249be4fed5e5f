package stillpond.app.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.Tie;

/** What a book of the demo is made from: {@code art/demo/book.json}. */
record DemoBook(
        String title,
        List<DemoCard> cards,
        List<DemoScene> scenes,
        List<DemoLight> lights,
        List<DemoWardrobe> wardrobes) {

    /** @param keeps the parts that stay as drawn, as card and swatch */
    record DemoLight(String name, String scene, String rule, List<String> keeps) {}

    /** @param colours by the name of the swatch */
    record DemoWardrobe(String card, String name, String scene, Map<String, String> colours) {}

    record DemoCard(String name, String subject, List<DemoSwatch> swatches) {
        Card asCard() {
            List<Swatch> made = new ArrayList<>();
            for (DemoSwatch swatch : swatches) {
                made.add(swatch.asSwatch(made));
            }
            return new Card(UUID.randomUUID(), name, subject, made);
        }
    }

    /** @param follows the name of a swatch before it on the card, or null */
    record DemoSwatch(String name, String colour, String follows) {
        Swatch asSwatch(List<Swatch> before) {
            Swatch own = new Swatch(UUID.randomUUID(), name, Srgb.ofHex(colour));
            return before.stream()
                    .filter(each -> each.name().equals(follows))
                    .findFirst()
                    .map(source -> own.painted(new Paint.Tied(source.id(), tie(source))))
                    .orElse(own);
        }

        private Tie tie(Swatch source) {
            return Tie.Shift.between(((Paint.Process) source.paint()).colour(), Srgb.ofHex(colour));
        }
    }

    /** @param lines the name of a card for line colours; null where ink is black */
    record DemoScene(String title, @Nullable String lines, List<DemoSheet> sheets) {}

    /**
     * A sheet of one layer or of several.
     *
     * @param file name of an SVG beside the book; null where there are layers
     * @param blockedIn name of a list of shapes beside the book, over the reference picture; null where there is line art
     * @param layers from front to back; null where there is one file
     */
    record DemoSheet(
            String title,
            @Nullable String file,
            @Nullable String blockedIn,
            @Nullable List<DemoFill> fills,
            @Nullable List<DemoLayer> layers,
            @Nullable List<DemoShadow> shadows,
            @Nullable List<DemoRim> rims) {

        List<DemoLayer> allLayers() {
            return layers != null ? layers : List.of(new DemoLayer(title, file, fills));
        }
    }

    /** @param file name of an SVG beside the book */
    record DemoLayer(String name, String file, List<DemoFill> fills) {}

    /**
     * A shadow on what wears a swatch.
     *
     * @param of card and swatch
     * @param through points of a smooth shape, as shares of the width and height of the sheet
     */
    record DemoShadow(String of, List<double[]> through) {}

    /** A glow around what wears a swatch. @param of card and swatch @param swatch that it wears, likewise */
    record DemoRim(String of, String swatch) {}

    /**
     * Points that lie in regions filled beforehand.
     *
     * @param swatch card and swatch, such as {@code Juniper/Coat}; two of them with {@code >} between for a gradient from the one to the other
     * @param points x and y, each from 0 to 1 of the width and height of the sheet
     */
    record DemoFill(String swatch, List<double[]> points) {
        List<String> swatches() {
            return List.of(swatch.split(" > "));
        }
    }
}
