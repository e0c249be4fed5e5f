package stillpond.app.sheet;

import java.util.List;
import org.springframework.stereotype.Component;

/** The ink of other layers that bounds the cells of one. */
@Component
class VisibleInks {

    private final Planes planes;

    VisibleInks(Planes planes) {
        this.planes = planes;
    }

    /** For the layer worked on: none unless its cells are to be bounded by all ink that is shown. */
    List<Analyses.OtherInk> through(Sheet sheet) {
        return sheet.layer().isThrough() ? all(sheet) : List.of();
    }

    /** That of all other layers that are shown. */
    List<Analyses.OtherInk> all(Sheet sheet) {
        Layer own = sheet.layer();
        return sheet.layers().stream()
                .filter(other -> other != own && !other.standing().isHidden())
                .map(other -> new Analyses.OtherInk(
                        planes.content(other.ink()),
                        other.standing().xPx() - own.standing().xPx(),
                        other.standing().yPx() - own.standing().yPx()))
                .toList();
    }
}
