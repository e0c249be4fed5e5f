package stillpond.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import stillpond.core.colour.Oklab;
import stillpond.core.stroke.Stroke;

/** Line colours that are lighter than what they part. */
final class LineFindings {

    private LineFindings() {}

    /** Each swatch on ink that is lighter than all that lies beside that ink; paper without a fill is as light as anything. */
    static List<Finding.LightLine> lighter(SheetToCheck sheet) {
        List<Finding.LightLine> found = new ArrayList<>();
        sheet.strokesBySwatch().forEach((swatch, strokes) -> {
            List<Stroke> light = strokes.stream()
                    .filter(stroke -> isLighter(sheet, swatch, stroke))
                    .toList();
            if (!light.isEmpty()) {
                found.add(new Finding.LightLine(light, swatch));
            }
        });
        return found;
    }

    private static boolean isLighter(SheetToCheck sheet, UUID swatch, Stroke stroke) {
        OptionalDouble own = lightness(sheet, swatch);
        return own.isPresent()
                && !stroke.sides().isEmpty()
                && stroke.sides().stream().allMatch(side -> lightest(sheet, side.cell()) < own.getAsDouble());
    }

    private static double lightest(SheetToCheck sheet, int cell) {
        return sheet.fills().of(cell).swatches().stream()
                .map(swatch -> lightness(sheet, swatch))
                .flatMapToDouble(OptionalDouble::stream)
                .max()
                .orElse(1);
    }

    private static OptionalDouble lightness(SheetToCheck sheet, UUID swatch) {
        return sheet.palette()
                .colourOf(swatch)
                .map(colour -> OptionalDouble.of(Oklab.of(colour).lightness()))
                .orElseGet(OptionalDouble::empty);
    }
}
