package stillpond.app.desk;

import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.HandDams;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.blockin.Even;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;

/** Dams drawn by hand, and regions joined by hand. */
@RestController
@RequestMapping("/projects/{project}/sheets/{sheet}")
class DamController {

    private static final int MOST_POINTS = 2000;

    private final Sheets sheets;
    private final HandDams dams;
    private final LineAnswers answers;

    DamController(Sheets sheets, HandDams dams, LineAnswers answers) {
        this.sheets = sheets;
        this.dams = dams;
        this.answers = answers;
    }

    /** Somebody has taken the dam tool into the hand. */
    @PostMapping("/dams/expected")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void expect(@PathVariable UUID project, @PathVariable UUID sheet, @RequestParam Optional<UUID> layer) {
        dams.expect(sheets.get(project, sheet, layer));
    }

    @PostMapping("/dams")
    void draw(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody List<Point> line,
            HttpServletResponse response)
            throws IOException {
        requireLine(line);
        Sheet on = sheets.get(project, sheet, layer);
        answers.write(response, seen -> dams.draw(on, person.id(), line, seen));
    }

    /** A line whose ends met no ink is led on until they do. */
    @PostMapping("/dams/extended")
    void drawExtended(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody List<Point> line,
            HttpServletResponse response)
            throws IOException {
        requireLine(line);
        Sheet on = sheets.get(project, sheet, layer);
        answers.write(response, seen -> dams.drawExtended(on, person.id(), line, seen));
    }

    /** How a region is divided evenly. @param evenly see {@link Even#of} @param x of the centre, as {@code y} */
    record EvenMessage(
            @NotNull @Size(max = 100_000) Set<@NotNull Integer> cells,
            @NotNull String evenly,
            int parts,
            int rows,
            double degrees,
            double x,
            double y) {}

    @PostMapping("/dams/evenly")
    void divide(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid EvenMessage message,
            HttpServletResponse response)
            throws IOException {
        Even even = Even.of(message.evenly(), message.parts(), message.rows(), message.degrees());
        Point centre = new Point(message.x(), message.y());
        Sheet on = sheets.get(project, sheet, layer);
        answers.write(response, seen -> dams.divide(on, person.id(), message.cells(), even, centre, seen));
    }

    @PostMapping("/joins")
    void join(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody List<Point> line,
            HttpServletResponse response)
            throws IOException {
        requireLine(line);
        Sheet on = sheets.get(project, sheet, layer);
        answers.write(response, seen -> dams.join(on, person.id(), line, seen));
    }

    private static void requireLine(List<Point> line) {
        if (line.size() < 2 || line.size() > MOST_POINTS) {
            throw new Refusal("A line has 2 to " + MOST_POINTS + " points, not " + line.size() + ".");
        }
    }
}
