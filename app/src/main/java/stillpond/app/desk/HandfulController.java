package stillpond.app.desk;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.WornSwatches;

/** What a handful has to know that is not on the sheet. */
@RestController
class HandfulController {

    private final Sheets sheets;
    private final WornSwatches worn;

    HandfulController(Sheets sheets, WornSwatches worn) {
        this.sheets = sheets;
        this.worn = worn;
    }

    /** The swatches that the sheets before and behind this one in its scene wear, most of them first. */
    @GetMapping("/projects/{project}/sheets/{sheet}/beside")
    List<UUID> beside(@PathVariable UUID project, @PathVariable UUID sheet) {
        UUID scene = sheets.get(project, sheet).scene();
        Set<UUID> near = near(
                sheets.inProject(project).stream()
                        .filter(each -> each.scene().equals(scene))
                        .map(Sheet::id)
                        .toList(),
                sheet);
        Map<UUID, Double> shares = new LinkedHashMap<>();
        worn.inUse(project, Optional.of(scene)).stream()
                .filter(use -> near.contains(use.sheet()))
                .forEach(use -> shares.merge(use.swatch(), use.share(), Double::sum));
        return shares.entrySet().stream()
                .sorted(Map.Entry.<UUID, Double>comparingByValue(Comparator.reverseOrder()))
                .map(Map.Entry::getKey)
                .toList();
    }

    private static Set<UUID> near(List<UUID> order, UUID sheet) {
        int at = order.indexOf(sheet);
        return IntStream.of(at - 1, at + 1)
                .filter(place -> at >= 0 && place >= 0 && place < order.size())
                .mapToObj(order::get)
                .collect(Collectors.toSet());
    }
}
