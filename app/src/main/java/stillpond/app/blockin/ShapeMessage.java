package stillpond.app.blockin;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import stillpond.app.sheet.LayerShapes;
import stillpond.core.blockin.ShapeText;
import stillpond.core.blockin.Shapes;
import stillpond.core.fill.Fill;

/**
 * What a desk did to shapes; see {@link LayerShapes.Change}. Shapes and lines are texts; see {@link ShapeText}.
 *
 * @param layer the cutting that it was done to
 */
record ShapeMessage(
        @NotNull UUID layer,
        @NotNull UUID becomes,
        @NotBlank @Size(max = 120) String words,
        @NotNull @Size(max = Shapes.MOST) List<@NotNull @Size(max = 200_000) String> put,
        @NotNull @Size(max = Shapes.MOST) List<@NotNull Integer> order,
        @NotNull @Size(max = 500) List<@NotNull @Size(max = 50_000) String> lines,
        @NotNull @Size(max = Shapes.MOST) Map<@NotNull Integer, @NotNull Integer> like,
        @NotNull @Size(max = Shapes.MOST) Map<@NotNull Integer, @NotNull String> wears) {

    LayerShapes.Change change() {
        return new LayerShapes.Change(
                becomes,
                words,
                put.stream().map(ShapeText::shape).toList(),
                order,
                lines.stream().map(ShapeText::line).toList(),
                like,
                wears.entrySet().stream()
                        .collect(Collectors.toMap(Map.Entry::getKey, each -> Fill.ofText(each.getValue()))));
    }
}
