package stillpond.app.demo;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import stillpond.app.card.ReferencePicture;
import stillpond.app.project.Scene;
import stillpond.app.sheet.BlankPage;
import stillpond.app.sheet.BlankSheets;
import stillpond.app.sheet.LayerShapes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetReferences;
import stillpond.app.sheet.Sheets;
import stillpond.core.blockin.Reference;
import stillpond.core.blockin.Shape;
import stillpond.core.blockin.ShapeText;
import stillpond.core.fill.Fill;
import stillpond.core.gap.Point;

/** Blocks sheets of the demo in over its reference picture. */
@Component
@ConditionalOnProperty("pond.demo-into")
class DemoBlockedIn {

    /** Pixels of the sheet for one of the picture. */
    private static final double SCALE = 1.5;

    private static final int PIXELS_PER_INCH = 200;

    private final BlankSheets blank;
    private final LayerShapes shapes;
    private final SheetReferences references;
    private final Sheets sheets;

    DemoBlockedIn(BlankSheets blank, LayerShapes shapes, SheetReferences references, Sheets sheets) {
        this.blank = blank;
        this.shapes = shapes;
        this.references = references;
        this.sheets = sheets;
    }

    /**
     * @param list a shape a line, from back to front: card and swatch, then its points in pixels of the picture
     * @param swatches by card and name
     */
    Sheet make(
            Scene scene, UUID author, String title, byte[] list, ReferencePicture picture, Map<String, UUID> swatches) {
        BlankPage page =
                new BlankPage((int) (picture.widthPx() * SCALE), (int) (picture.heightPx() * SCALE), PIXELS_PER_INCH);
        Sheet sheet = blank.make(scene.project(), scene.id(), title, page);
        Reference laid =
                Reference.fitting(picture.id(), picture.widthPx(), picture.heightPx(), page.widthPx(), page.heightPx());
        references.set(
                sheet,
                author,
                Optional.of(new Reference(
                        laid.picture(), laid.x(), laid.y(), laid.scale(), 0, 30, laid.look(), laid.values(), true)));
        List<Shape> put = new ArrayList<>();
        List<Integer> order = new ArrayList<>();
        Map<Integer, Fill> wears = new HashMap<>();
        for (String line : new String(list, StandardCharsets.UTF_8).strip().split("\n")) {
            int number = put.size() + 1;
            int colon = line.indexOf(':');
            put.add(ShapeText.shape(number + line.substring(colon))
                    .placed(at -> new Point(at.x() * SCALE, at.y() * SCALE)));
            order.add(number);
            wears.put(number, Fill.flat(swatches.get(line.substring(0, colon))));
        }
        shapes.change(
                sheet,
                author,
                new LayerShapes.Change(
                        UUID.randomUUID(), "Drew " + put.size() + " shapes", put, order, List.of(), Map.of(), wears));
        return sheets.get(scene.project(), sheet.id());
    }
}
