package stillpond.app.demo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.LayerShadows;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.BlendMode;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Point;
import stillpond.core.shadow.Base;
import stillpond.core.shadow.Form;
import stillpond.core.shadow.Knot;
import stillpond.core.shadow.Outline;
import stillpond.core.shadow.Shadow;

/** Lays the shadows and rims of the demo's sheets. */
@Component
@ConditionalOnProperty("pond.demo-into")
class DemoShadows {

    private static final int DARKER = 14;
    /** A glow's width and how soft it is, as shares of the height of a sheet. */
    private static final double GLOW = 0.012;

    private static final double GLOW_EDGE = 0.05;

    private final Sheets sheets;
    private final Planes planes;
    private final LayerShadows shadows;

    DemoShadows(Sheets sheets, Planes planes, LayerShadows shadows) {
        this.sheets = sheets;
        this.planes = planes;
        this.shadows = shadows;
    }

    /** @param swatches by card and name */
    void lay(Sheet sheet, UUID author, DemoBook.DemoSheet demo, Map<String, UUID> swatches) {
        Layer layer = sheet.layer();
        Fills worn = sheets.fills(layer);
        List<Shadow> made = new ArrayList<>();
        Map<Integer, Fill> wear = new HashMap<>();
        for (DemoBook.DemoShadow each : orNone(demo.shadows())) {
            Outline outline = new Outline(each.through().stream()
                    .map(at -> Knot.smooth(at[0] * layer.widthPx(), at[1] * layer.heightPx()))
                    .toList());
            List<Integer> base = under(layer, outline, worn, Fill.flat(swatches.get(each.of())));
            if (!base.isEmpty()) {
                made.add(shadow(made.size(), "On the " + name(each.of()), base, new Form.Drawn(outline), 0));
            }
        }
        for (DemoBook.DemoRim each : orNone(demo.rims())) {
            List<Integer> base = worn.ofCells().filled().stream()
                    .filter(cell -> worn.of(cell).equals(Fill.flat(swatches.get(each.of()))))
                    .toList();
            Form glow = new Form.Rim(GLOW * layer.heightPx(), Form.Corners.ROUND, false, false);
            wear.put(made.size(), Fill.flat(swatches.get(each.swatch())));
            made.add(shadow(made.size(), "Glow of the " + name(each.of()), base, glow, GLOW_EDGE * layer.heightPx()));
        }
        if (!made.isEmpty()) {
            shadows.change(sheet, author, "Laid shadows", all -> all.addingAll(made), wear);
        }
    }

    private static Shadow shadow(int number, String name, List<Integer> base, Form form, double edgePx) {
        return new Shadow(number, number, name, new Base.Cells(base), form, BlendMode.MULTIPLY, DARKER, 100, edgePx);
    }

    /** The cells under a shape that wear a fill. */
    private List<Integer> under(Layer layer, Outline outline, Fills worn, Fill fill) {
        CellPlane cells = PlaneCodec.decodeCells(planes.content(layer.cells()));
        Set<Integer> under = new HashSet<>();
        for (Point point : outline.samples()) {
            boolean isOn =
                    point.x() >= 0 && point.y() >= 0 && point.x() < layer.widthPx() && point.y() < layer.heightPx();
            int cell = isOn ? cells.numberAt((int) point.x(), (int) point.y()) : -1;
            if (isOn && worn.of(cell).equals(fill)) {
                under.add(cell);
            }
        }
        return List.copyOf(under);
    }

    private static String name(String swatch) {
        return swatch.substring(swatch.indexOf('/') + 1).toLowerCase(Locale.ROOT);
    }

    private static <T> List<T> orNone(@Nullable List<T> all) {
        return all == null ? List.of() : all;
    }
}
