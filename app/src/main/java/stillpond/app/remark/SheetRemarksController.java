package stillpond.app.remark;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;

/** The drawer of the desk that tells what is said about a sheet. */
@Controller
@RequestMapping("/projects/{project}/sheets/{sheet}/remarks")
class SheetRemarksController {

    private final Remarks remarks;
    private final Sheets sheets;

    SheetRemarksController(Remarks remarks, Sheets sheets) {
        this.remarks = remarks;
        this.sheets = sheets;
    }

    /** @param x where a remark is to be made, in pixels of the page, with {@code y}; left out: nowhere */
    @GetMapping
    String drawer(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<Integer> x,
            @RequestParam Optional<Integer> y,
            @RequestParam Optional<UUID> layer,
            @RequestParam(defaultValue = "false") boolean done,
            Model model) {
        model.addAttribute("x", x.orElse(null));
        model.addAttribute("y", y.orElse(null));
        return show(sheets.get(project, sheet, layer), done, model);
    }

    @PostMapping
    String pin(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @RequestParam int x,
            @RequestParam int y,
            @RequestParam String body,
            @AuthenticationPrincipal SignedIn person,
            Model model) {
        Sheet present = sheets.get(project, sheet, layer);
        Remarks.Place place =
                new Remarks.Place(sheet, present.layer().standing().layer(), x, y);
        remarks.pin(project, place, person.id(), body);
        return show(present, false, model);
    }

    /** @param act {@code answer}, {@code done} or {@code open-again} */
    @PostMapping("/{remark}/{act}")
    String act(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @PathVariable UUID remark,
            @PathVariable RemarkAct act,
            @RequestParam Optional<UUID> layer,
            @RequestParam(defaultValue = "") String body,
            @AuthenticationPrincipal SignedIn person,
            Model model) {
        act.on(remarks, project, remark, person.id(), body);
        return show(sheets.get(project, sheet, layer), act == RemarkAct.OPEN_AGAIN, model);
    }

    private String show(Sheet sheet, boolean showsDone, Model model) {
        List<Remarks.Remark> all = remarks.onSheet(sheet.project(), sheet.id());
        model.addAttribute("sheet", sheet);
        model.addAttribute(
                "remarks",
                all.stream().filter(each -> each.isOpen() || showsDone).toList());
        model.addAttribute(
                "openCount", all.stream().filter(Remarks.Remark::isOpen).count());
        model.addAttribute(
                "doneCount", all.stream().filter(each -> !each.isOpen()).count());
        model.addAttribute("showsDone", showsDone);
        return "remark/drawer :: drawer";
    }
}
