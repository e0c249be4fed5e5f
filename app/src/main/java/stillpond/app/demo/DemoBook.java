package stillpond.app.demo;

import java.util.List;
import java.util.UUID;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Swatch;

/** The contents of {@code demo/book.json}. */
record DemoBook(String title, List<DemoCard> cards, List<DemoScene> scenes) {

    record DemoCard(String name, String subject, List<DemoSwatch> swatches) {
        Card asCard() {
            return new Card(
                    UUID.randomUUID(),
                    name,
                    subject,
                    swatches.stream().map(DemoSwatch::asSwatch).toList());
        }
    }

    record DemoSwatch(String name, String colour) {
        Swatch asSwatch() {
            return new Swatch(UUID.randomUUID(), name, Srgb.ofHex(colour));
        }
    }

    record DemoScene(String title, List<DemoSheet> sheets) {}

    /** @param file name of an SVG beside the book */
    record DemoSheet(String title, String file, List<DemoFill> fills) {}

    /**
     * Points that lie in regions filled beforehand.
     *
     * @param swatch card and swatch, such as {@code Juniper/Coat}
     * @param points x and y, each from 0 to 1 of the width and height of the sheet
     */
    record DemoFill(String swatch, List<double[]> points) {}
}
