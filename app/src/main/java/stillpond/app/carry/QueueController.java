package stillpond.app.carry;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.SignedIn;
import stillpond.app.page.Crop;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.sheet.CellAddress;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.SmallPicture;
import stillpond.core.fill.Fill;
import stillpond.core.ledger.FillNames;
import stillpond.core.palette.Palette;
import stillpond.core.refusal.Refusal;

/** What a run is in doubt of, gone through with two keys. */
@Controller
@RequestMapping("/projects/{project}/carry/{run}/queue")
class QueueController {

    private static final double AROUND_SOURCE = 0.2;

    private final CarryQueue queue;
    private final CarryRuns runs;
    private final Projects projects;
    private final Palettes palettes;
    private final Sheets sheets;

    QueueController(CarryQueue queue, CarryRuns runs, Projects projects, Palettes palettes, Sheets sheets) {
        this.queue = queue;
        this.runs = runs;
        this.projects = projects;
        this.palettes = palettes;
        this.sheets = sheets;
    }

    /** A place on a sheet. @param at where it is worked on */
    record Place(String title, String at, SmallPicture picture, Crop crop) {}

    /** @param id of the question */
    record Region(UUID id, Place place) {}

    /**
     * @param hex the colour of its first swatch
     * @param percent how likely it is
     * @param place where the likest region is worn so
     */
    record Choice(String fill, String name, String hex, int percent, Place place) {}

    record Group(List<Region> regions, List<Choice> choices) {}

    @GetMapping
    String page(@PathVariable UUID project, @PathVariable UUID run, Model model) {
        fill(project, run, model);
        return "carry/queue";
    }

    /** What comes next, by itself. */
    @GetMapping("/next")
    String next(@PathVariable UUID project, @PathVariable UUID run, Model model) {
        fill(project, run, model);
        return "carry/queue :: next";
    }

    /** What is done about regions in doubt. */
    enum Act {
        TAKE,
        LEAVE,
        TAKE_BACK,
        ASK_AGAIN
    }

    /**
     * Answers, and asks what comes next.
     *
     * @param question the regions that are answered
     * @param fill that they take
     */
    @PostMapping
    String answer(
            @PathVariable UUID project,
            @PathVariable UUID run,
            @RequestParam Act act,
            @RequestParam(defaultValue = "") List<UUID> question,
            @RequestParam(defaultValue = "none") String fill,
            @AuthenticationPrincipal SignedIn person,
            Model model) {
        model.addAttribute("said", done(project, run, person.id(), act, question, fill));
        return next(project, run, model);
    }

    /** Returns what was done, or why it was not, for people. */
    private String done(UUID project, UUID run, UUID person, Act act, List<UUID> question, String fill) {
        try {
            return switch (act) {
                case TAKE -> take(project, run, person, question, Fill.ofText(fill));
                case LEAVE -> {
                    queue.leave(project, run, person, question);
                    yield "";
                }
                case TAKE_BACK ->
                    queue.takeBack(project, run, person)
                            ? "Taken back."
                            : "There is nothing of yours to take back here.";
                case ASK_AGAIN -> {
                    queue.askAgain(project, run);
                    yield "";
                }
            };
        } catch (Refusal refusal) {
            return refusal.getMessage();
        }
    }

    private String take(UUID project, UUID run, UUID person, List<UUID> question, Fill fill) {
        int laid = queue.take(project, run, person, question, fill);
        return laidWords(laid, FillNames.withCard(fill, palettes.of(project)));
    }

    private static String laidWords(int laid, String name) {
        return laid == 0
                ? "Nothing was laid: somebody filled these meanwhile."
                : laid == 1 ? "Laid " + name + "." : "Laid " + name + " on " + laid + " regions.";
    }

    private void fill(UUID project, UUID run, Model model) {
        List<CarryQueue.Asked> asked = queue.next(project, run, 2);
        Palette palette = palettes.of(project);
        Map<UUID, Sheet> all = sheets.inProject(project).stream().collect(Collectors.toMap(Sheet::id, sheet -> sheet));
        List<Group> groups =
                asked.stream().map(each -> group(each, palette, all)).toList();
        model.addAttribute("project", projects.get(project));
        model.addAttribute("run", runs.get(project, run));
        model.addAttribute("group", groups.isEmpty() ? null : groups.get(0));
        model.addAttribute("coming", groups.size() < 2 ? List.of() : pictures(groups.get(1)));
    }

    /** Small pictures that will be looked at, to be loaded beforehand. */
    private static List<String> pictures(Group group) {
        return group.regions().stream()
                .map(region -> region.place().picture().address())
                .distinct()
                .toList();
    }

    private static Group group(CarryQueue.Asked asked, Palette palette, Map<UUID, Sheet> all) {
        return new Group(
                asked.regions().stream()
                        .map(region -> new Region(region.id(), place(region)))
                        .toList(),
                asked.choices().stream()
                        .filter(choice ->
                                palette.hasAll(Fill.ofText(choice.fill()).swatches()))
                        .map(choice -> choice(choice, palette, all))
                        .toList());
    }

    private static Place place(CarryQueue.Region region) {
        Sheet sheet = region.sheet();
        Seen seen = region.seen();
        SmallPicture small = SmallPicture.of(sheet);
        Crop crop = Crop.of(
                seen.x() * small.widthPx(),
                seen.y() * small.heightPx(),
                seen.boxLeft() * small.widthPx(),
                seen.boxTop() * small.heightPx(),
                seen.boxWidth() * small.widthPx(),
                seen.boxHeight() * small.heightPx());
        return new Place(sheet.title(), CellAddress.of(sheet, region.layer(), region.cell()), small, crop);
    }

    private static Choice choice(StoredChoice choice, Palette palette, Map<UUID, Sheet> all) {
        Fill fill = Fill.ofText(choice.fill());
        return new Choice(
                choice.fill(),
                FillNames.withCard(fill, palette),
                palette.colourOf(fill.swatches().get(0)).orElseThrow().hex(),
                (int) Math.round(100 * choice.share()),
                all.containsKey(choice.sheetId()) ? place(choice, all.get(choice.sheetId())) : null);
    }

    private static Place place(StoredChoice choice, Sheet sheet) {
        SmallPicture small = SmallPicture.of(sheet);
        double x = choice.x() * small.widthPx();
        double y = choice.y() * small.heightPx();
        double around = AROUND_SOURCE * Math.max(small.widthPx(), small.heightPx());
        Crop crop = Crop.of(x, y, x - around / 2, y - around / 2, around, around);
        return new Place(
                sheet.title(), CellAddress.of(sheet, sheet.layer().standing().layer(), choice.cell()), small, crop);
    }
}
