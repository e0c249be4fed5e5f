package stillpond.app.visit;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.context.request.WebRequest;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetPictures;
import stillpond.core.refusal.Refusal;

/** Where a link leads that only looks. */
@Controller
@RequestMapping("/visit/{code}")
class VisitController {

    private static final String PAGE = "visit/visit";

    private final Visits visits;
    private final VisitPictures pictures;

    VisitController(Visits visits, VisitPictures pictures) {
        this.visits = visits;
        this.pictures = pictures;
    }

    @GetMapping
    String page(@PathVariable String code, Model model, HttpServletResponse response) {
        model.addAttribute("shown", visits.look(code));
        model.addAttribute("code", code);
        keepOut(response);
        return PAGE;
    }

    /** One sheet, as large as a screen. */
    @GetMapping("/sheets/{sheet}")
    String sheet(@PathVariable String code, @PathVariable UUID sheet, Model model, HttpServletResponse response) {
        Visits.Shown shown = visits.look(code);
        List<Sheet> inOrder = shown.sheets();
        int at = inOrder.indexOf(visits.sheet(code, sheet));
        model.addAttribute("shown", shown);
        model.addAttribute("code", code);
        model.addAttribute("sheet", inOrder.get(at));
        model.addAttribute("last", at > 0 ? inOrder.get(at - 1) : null);
        model.addAttribute("next", at + 1 < inOrder.size() ? inOrder.get(at + 1) : null);
        keepOut(response);
        return "visit/sheet";
    }

    @GetMapping("/sheets/{sheet}/small.png")
    ResponseEntity<byte[]> small(@PathVariable String code, @PathVariable UUID sheet, WebRequest request) {
        return picture(code, sheet, request, (looked, coloured) -> pictures.small(coloured));
    }

    @GetMapping("/sheets/{sheet}/picture.png")
    ResponseEntity<byte[]> picture(@PathVariable String code, @PathVariable UUID sheet, WebRequest request) {
        return picture(code, sheet, request, pictures::whole);
    }

    private interface Painting {
        byte[] png(Sheet sheet, SheetPictures.ColouredSheet coloured);
    }

    private ResponseEntity<byte[]> picture(String code, UUID sheet, WebRequest request, Painting painting) {
        Sheet looked = visits.sheet(code, sheet);
        SheetPictures.ColouredSheet coloured = pictures.colour(looked);
        String version = '"' + coloured.smallVersion() + '"';
        if (request.checkNotModified(version)) {
            return null;
        }
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache().cachePrivate())
                .eTag(version)
                .contentType(MediaType.IMAGE_PNG)
                .body(painting.png(looked, coloured));
    }

    @ExceptionHandler(Refusal.class)
    String over(Refusal refusal, Model model, HttpServletResponse response) {
        response.setStatus(HttpStatus.GONE.value());
        keepOut(response);
        model.addAttribute("over", refusal.getMessage());
        return PAGE;
    }

    /** Such a page is for whoever was given the link, not for machines that collect pages. */
    private static void keepOut(HttpServletResponse response) {
        response.setHeader("X-Robots-Tag", "noindex, nofollow");
    }
}
