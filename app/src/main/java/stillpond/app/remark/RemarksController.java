package stillpond.app.remark;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import stillpond.app.account.SignedIn;
import stillpond.app.page.Crop;
import stillpond.app.palette.CardView;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.SmallPicture;
import stillpond.core.palette.Palette;
import stillpond.core.refusal.Refusal;

/** Everything that is said about the sheets and swatches of a project. */
@Controller
@RequestMapping("/projects/{project}/remarks")
class RemarksController {

    /** Around a place, as a part of the longer side of its sheet. */
    private static final double AROUND = 0.16;

    private final Remarks remarks;
    private final Projects projects;
    private final Sheets sheets;
    private final Palettes palettes;

    RemarksController(Remarks remarks, Projects projects, Sheets sheets, Palettes palettes) {
        this.remarks = remarks;
        this.projects = projects;
        this.sheets = sheets;
        this.palettes = palettes;
    }

    /**
     * A remark with what it is about.
     *
     * @param about the title of a sheet, or the names of a swatch and its card
     * @param at the address of what it is about
     * @param picture of a sheet, with {@code crop}; null for a swatch
     * @param colour of a swatch; null for a place
     */
    record Row(
            Remarks.Remark remark,
            String about,
            String at,
            @Nullable SmallPicture picture,
            @Nullable Crop crop,
            @Nullable String colour) {}

    /** @param swatch about which something is to be said @param done whether those that are done are shown, too */
    @GetMapping
    String page(
            @PathVariable UUID project,
            @RequestParam Optional<UUID> swatch,
            @RequestParam(defaultValue = "false") boolean done,
            @AuthenticationPrincipal SignedIn person,
            Model model) {
        Palette palette = palettes.of(project);
        Map<UUID, Sheet> present =
                sheets.inReadingOrder(project).stream().collect(Collectors.toMap(Sheet::id, Function.identity()));
        List<Row> rows = remarks.inProject(project).stream()
                .flatMap(remark -> row(project, remark, present, palette).stream())
                .toList();
        model.addAttribute("project", projects.get(project));
        model.addAttribute(
                "rows",
                rows.stream().filter(row -> done || row.remark().isOpen()).toList());
        model.addAttribute(
                "openCount", rows.stream().filter(row -> row.remark().isOpen()).count());
        model.addAttribute(
                "doneCount", rows.stream().filter(row -> !row.remark().isOpen()).count());
        model.addAttribute("done", done);
        model.addAttribute("mayRemark", projects.may(project, person.id(), Right.REMARK));
        model.addAttribute("swatch", swatch.orElse(null));
        model.addAttribute(
                "cards",
                CardView.of(palette).stream().filter(card -> !card.isNeutral()).toList());
        return "remark/remarks";
    }

    @PostMapping
    String pinToSwatch(
            @PathVariable UUID project,
            @RequestParam UUID swatch,
            @RequestParam String body,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        return tell(told, () -> remarks.pinToSwatch(project, swatch, person.id(), body));
    }

    @PostMapping("/{remark}/{act}")
    String act(
            @PathVariable UUID project,
            @PathVariable UUID remark,
            @PathVariable RemarkAct act,
            @RequestParam(defaultValue = "") String body,
            @AuthenticationPrincipal SignedIn person,
            RedirectAttributes told) {
        return tell(told, () -> act.on(remarks, project, remark, person.id(), body));
    }

    private static String tell(RedirectAttributes told, Runnable act) {
        try {
            act.run();
        } catch (Refusal refusal) {
            told.addFlashAttribute("refusal", refusal.getMessage());
        }
        return "redirect:/projects/{project}/remarks";
    }

    /** Nothing if what it is about is put aside. */
    private static Optional<Row> row(UUID project, Remarks.Remark remark, Map<UUID, Sheet> present, Palette palette) {
        if (remark.swatch().isPresent()) {
            return remark.swatch()
                    .flatMap(swatch -> palette.cardOf(swatch)
                            .map(card -> new Row(
                                    remark,
                                    palette.swatch(swatch).orElseThrow().name() + " of " + card.name(),
                                    "/projects/" + project + "/cards/" + card.id(),
                                    null,
                                    null,
                                    palette.colourOf(swatch).orElseThrow().hex())));
        }
        return remark.place()
                .filter(place -> present.containsKey(place.sheet()))
                .map(place -> {
                    Sheet sheet = present.get(place.sheet());
                    SmallPicture small = SmallPicture.of(sheet);
                    double scale = small.widthPx() / (double) sheet.widthPx();
                    double x = place.xPx() * scale;
                    double y = place.yPx() * scale;
                    double around = AROUND * Math.max(small.widthPx(), small.heightPx());
                    return new Row(
                            remark,
                            sheet.title(),
                            "/projects/" + project + "/sheets/" + sheet.id() + "?layer=" + place.standing() + "#at="
                                    + place.xPx() + "," + place.yPx(),
                            small,
                            Crop.of(x, y, x - around / 2, y - around / 2, around, around),
                            null);
                });
    }
}
