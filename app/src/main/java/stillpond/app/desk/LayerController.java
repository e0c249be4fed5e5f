package stillpond.app.desk;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import stillpond.app.account.SignedIn;
import stillpond.app.sheet.LayerSplits;
import stillpond.app.sheet.LineArtFile;
import stillpond.app.sheet.Sharpening;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.SheetLayers;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.Showing;
import stillpond.core.format.PngWriter;
import stillpond.core.ink.Picture;
import stillpond.core.ledger.FillNames;
import stillpond.core.palette.Palette;
import stillpond.core.refusal.Refusal;
import stillpond.core.stack.Stack;
import stillpond.core.stack.Standing;

/** The layers of the sheet on the desk. {@code layer} is everywhere the one that is worked on. */
@Controller
@RequestMapping("/projects/{project}/sheets/{sheet}/layers")
class LayerController {

    /** As fine as a large screen. */
    private static final int BESIDE_LONG_SIDE_PX = 4096;

    private static final String LIST = "desk/layers :: layers";

    private final Sheets sheets;
    private final SheetLayers layers;
    private final LayerSplits splits;
    private final Sharpening sharpening;
    private final SheetPictures pictures;
    private final SheetColours colours;

    LayerController(
            Sheets sheets,
            SheetLayers layers,
            LayerSplits splits,
            Sharpening sharpening,
            SheetPictures pictures,
            SheetColours colours) {
        this.sheets = sheets;
        this.layers = layers;
        this.splits = splits;
        this.sharpening = sharpening;
        this.pictures = pictures;
        this.colours = colours;
    }

    /** What is done to a layer. */
    enum Act {
        NAME("Named a layer"),
        HIDE("Hid a layer"),
        SHOW("Showed a layer"),
        LOCK("Locked a layer"),
        UNLOCK("Unlocked a layer"),
        OPACITY("Changed how opaque a layer is"),
        FORWARD("Moved a layer forward"),
        BACK("Moved a layer back"),
        MOVE("Moved a layer on the page"),
        REMOVE("Took a layer out");

        private final String words;

        Act(String words) {
            this.words = words;
        }
    }

    /**
     * An act, and what some of them need besides.
     *
     * @param of the layer that it is done to
     * @param name for {@link Act#NAME}
     * @param percent for {@link Act#OPACITY}
     * @param x pixels to the right, for {@link Act#MOVE}; {@code y} downwards
     */
    record LayerForm(@NotNull UUID of, @NotNull Act act, String name, Integer percent, Integer x, Integer y) {

        UnaryOperator<Stack> change() {
            return switch (act) {
                case FORWARD -> stack -> stack.moving(of, -1);
                case BACK -> stack -> stack.moving(of, 1);
                case REMOVE -> stack -> stack.without(of);
                default -> stack -> stack.changing(of, this::changed);
            };
        }

        private Standing changed(Standing standing) {
            return switch (act) {
                case HIDE, SHOW -> standing.hidden(act == Act.HIDE);
                case LOCK, UNLOCK -> standing.locked(act == Act.LOCK);
                case OPACITY -> standing.opaque(percent == null ? standing.opacityPercent() : percent);
                case MOVE -> standing.moved(x == null ? 0 : x, y == null ? 0 : y);
                default -> standing.named(name == null ? "" : name);
            };
        }
    }

    @GetMapping
    String list(@PathVariable UUID project, @PathVariable UUID sheet, @RequestParam Optional<UUID> layer, Model model) {
        return list(sheets.get(project, sheet, layer), "", model);
    }

    /** From front to back, for a desk that is open while they change. */
    @GetMapping("/standings")
    @ResponseBody
    List<Standing> standings(@PathVariable UUID project, @PathVariable UUID sheet) {
        return sheets.get(project, sheet).stack().layers();
    }

    /** What cannot be done is told in the list. */
    @PostMapping("/change")
    String change(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @Valid LayerForm form,
            Model model) {
        Sheet present = sheets.get(project, sheet, layer);
        try {
            layers.change(project, sheet, person.id(), form.act().words, form.change());
        } catch (Refusal refusal) {
            return list(present, refusal.getMessage(), model);
        }
        boolean isGone = form.act() == Act.REMOVE && form.of().equals(layer.orElse(null));
        return list(sheets.get(project, sheet, isGone ? Optional.empty() : layer), "", model);
    }

    @PostMapping
    String add(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestParam MultipartFile file,
            Model model)
            throws IOException {
        Sheet present = sheets.get(project, sheet, layer);
        try {
            Sheets.Brought brought =
                    layers.add(present, person.id(), LineArtFile.of(file.getOriginalFilename(), file.getBytes()));
            sharpening.soon(brought.sheet());
            String told = brought.leftOut().isEmpty() ? "" : "Without " + String.join(", ", brought.leftOut()) + ".";
            return list(sheets.get(project, sheet, layer), told, model);
        } catch (Refusal refusal) {
            return list(present, refusal.getMessage(), model);
        }
    }

    private String list(Sheet sheet, String told, Model model) {
        model.addAttribute("sheet", sheet);
        model.addAttribute("told", told);
        return LIST;
    }

    /** @param cells of the layer that is worked on */
    record SplitMessage(
            @NotNull @Size(max = Standing.LONGEST_NAME) String name,
            @NotEmpty @Size(max = 1_000_000) List<@NotNull Integer> cells) {}

    /** @param layer the new one */
    record SplitOff(UUID layer) {}

    @PostMapping("/split")
    @ResponseBody
    SplitOff split(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @AuthenticationPrincipal SignedIn person,
            @RequestBody @Valid SplitMessage message) {
        Sheet after = splits.splitOff(sheets.get(project, sheet, layer), person.id(), message.name(), message.cells());
        return new SplitOff(after.layer().standing().layer());
    }

    /** A region that lies at a place, in words. */
    record HereView(UUID layer, String name, int cell, String fill, String colour) {}

    /** What lies at a pixel of the layer that is worked on, layer by layer. */
    @GetMapping("/here")
    String here(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @RequestParam int x,
            @RequestParam int y,
            Model model) {
        Sheet present = sheets.get(project, sheet, layer);
        Standing own = present.layer().standing();
        Palette palette = colours.dressed(present);
        model.addAttribute("sheet", present);
        model.addAttribute(
                "here",
                layers.at(present, x + own.xPx(), y + own.yPx()).stream()
                        .map(each -> view(each, palette))
                        .toList());
        return "desk/layers :: here";
    }

    private static HereView view(SheetLayers.Here here, Palette palette) {
        Standing standing = here.layer().standing();
        List<UUID> swatches = here.fill().swatches();
        String name = swatches.isEmpty() ? "empty" : FillNames.of(here.fill(), palette);
        String colour = swatches.isEmpty()
                ? "none"
                : palette.colourOf(swatches.get(0)).map(each -> each.hex()).orElse("none");
        return new HereView(standing.layer(), standing.name(), here.cell(), name, colour);
    }

    /** The layers on one side of the one that is worked on, as they are now. */
    @GetMapping("/beside.png")
    ResponseEntity<StreamingResponseBody> beside(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam Optional<UUID> layer,
            @RequestParam SheetPictures.Side side) {
        Sheet present = sheets.get(project, sheet, layer);
        return png(pictures.beside(present, Showing.OWN, side, BESIDE_LONG_SIDE_PX));
    }

    /** A layer alone. */
    @GetMapping("/alone.png")
    ResponseEntity<StreamingResponseBody> alone(
            @PathVariable UUID project, @PathVariable UUID sheet, @RequestParam Optional<UUID> layer) {
        return png(pictures.smallAlone(sheets.get(project, sheet, layer), Showing.OWN));
    }

    private static ResponseEntity<StreamingResponseBody> png(Picture picture) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .contentType(MediaType.IMAGE_PNG)
                .body(out -> PngWriter.write(picture, out));
    }
}
