package stillpond.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.UUID;
import stillpond.core.colour.Oklab;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Places;
import stillpond.core.palette.Card;
import stillpond.core.stroke.Stroke;

/** Line colours that are on no card, or lighter than what they part. */
final class LineFindings {

    private LineFindings() {}

    /** Each loose colour that ink wears. */
    static List<Finding.LineOffCard> offCard(SheetToCheck sheet) {
        List<Finding.LineOffCard> found = new ArrayList<>();
        strokesBySwatch(sheet).forEach((swatch, strokes) -> {
            if (sheet.palette().cardOf(swatch).filter(Card::isLoose).isPresent()) {
                found.add(new Finding.LineOffCard(strokes, swatch, ColourFindings.meant(sheet, swatch)));
            }
        });
        return found;
    }

    /** Each swatch on ink that is lighter than all that lies beside that ink; paper without a fill is as light as anything. */
    static List<Finding.LightLine> lighter(SheetToCheck sheet) {
        List<Finding.LightLine> found = new ArrayList<>();
        strokesBySwatch(sheet).forEach((swatch, strokes) -> {
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

    private static Map<UUID, List<Stroke>> strokesBySwatch(SheetToCheck sheet) {
        Map<UUID, List<Stroke>> strokes = new TreeMap<>();
        for (Stroke stroke : sheet.strokes()) {
            Optional.of(sheet.fills().of(Places.ofStroke(stroke.number())))
                    .filter(Fill.Flat.class::isInstance)
                    .map(Fill.Flat.class::cast)
                    .ifPresent(worn -> strokes.computeIfAbsent(worn.swatch(), any -> new ArrayList<>())
                            .add(stroke));
        }
        return strokes;
    }
}
