package stillpond.app.desk;

import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.HandDams;
import stillpond.core.gap.Point;

/** Dams drawn by hand, regions joined by hand, and leak traces. */
@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}")
class DamController {

    private static final int MOST_POINTS = 2000;

    private final HandDams dams;

    DamController(HandDams dams) {
        this.dams = dams;
    }

    /** @param changed whether the line parts or joins anything; else nothing was changed */
    record DrawnDam(boolean changed) {}

    @PostMapping("/dams")
    DrawnDam draw(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody List<Point> line) {
        return new DrawnDam(dams.draw(project, sheet, person.id(), requireLine(line)));
    }

    private static List<Point> requireLine(List<Point> line) {
        if (line.size() < 2 || line.size() > MOST_POINTS) {
            throw new IllegalArgumentException("A line has 2 to " + MOST_POINTS + " points, not " + line.size() + ".");
        }
        return line;
    }

    @PostMapping("/joins")
    DrawnDam join(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody List<Point> line) {
        return new DrawnDam(dams.join(project, sheet, person.id(), requireLine(line)));
    }

    @GetMapping("/leak")
    List<Integer> leak(
            @PathVariable UUID project, @PathVariable UUID sheet, @RequestParam int from, @RequestParam int to) {
        return dams.leak(project, sheet, from, to);
    }
}
