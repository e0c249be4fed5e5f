package stillpond.app.device;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import stillpond.app.account.SignedIn;
import stillpond.app.background.Background;
import stillpond.app.export.SheetCuts;
import stillpond.app.page.Downloads;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.core.cut.CutJob;
import stillpond.core.cut.CutSettings;
import stillpond.core.format.CutFiles;
import stillpond.core.handon.Arrangement;
import stillpond.core.plate.Inking;
import stillpond.core.refusal.Refusal;
import tools.jackson.databind.json.JsonMapper;

/** Sends a sheet to the press or the cutter, or gives what the cutter would get. */
@Controller
@RequestMapping("/projects/{project}/sheets/{sheet}")
class SendController {

    private static final MediaType SVG = MediaType.valueOf("image/svg+xml");

    private final Sheets sheets;
    private final SheetCuts cuts;
    private final DeviceJobs jobs;
    private final Background background;
    private final JsonMapper json;

    SendController(Sheets sheets, SheetCuts cuts, DeviceJobs jobs, Background background, JsonMapper json) {
        this.sheets = sheets;
        this.cuts = cuts;
        this.jobs = jobs;
        this.background = background;
        this.json = json;
    }

    /**
     * How something is asked to be cut; what is left out is as {@link CutSettings#USUAL}.
     *
     * @param cutBy see {@link Arrangement}
     * @param group empty: all of them, each as a job of its own
     * @param blade offset in mm
     * @param lead in mm
     * @param smallest in mm²
     * @param weed margin in mm
     * @param printed whether it is printed first
     */
    record AskedCut(
            Arrangement cutBy,
            String group,
            Double blade,
            Double lead,
            Double smallest,
            CutSettings.Small small,
            Double weed,
            Boolean printed) {

        Arrangement by() {
            return cutBy == null ? Arrangement.COLOUR : cutBy;
        }

        String groupOrAll() {
            return group == null ? "" : group;
        }

        CutSettings settings() {
            CutSettings usual = CutSettings.USUAL;
            return new CutSettings(
                    blade == null ? usual.bladeOffsetMm() : blade,
                    lead == null ? usual.leadInMm() : lead,
                    smallest == null ? usual.smallestMm2() : smallest,
                    small == null ? usual.small() : small,
                    weed == null ? usual.weedMarginMm() : weed,
                    usual.feedMmPerSecond());
        }
    }

    @PostMapping("/press")
    String press(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            @RequestParam(defaultValue = "own") String light,
            @RequestParam(defaultValue = "true") boolean black,
            @RequestParam(defaultValue = "0") int trap,
            @RequestParam(defaultValue = "300") int limit,
            @RequestParam(defaultValue = "false") boolean held,
            @AuthenticationPrincipal SignedIn person,
            Model model) {
        return said(project, model, () -> {
            Sheet present = sheets.get(project, sheet);
            PressOrder order = new PressOrder(light.equals("own"), new Inking(black, trap, limit));
            send(present, person, List.of(asked(present, DeviceJob.Device.PRESS, present.title(), order, held)));
            return held ? "Held at the press until you let it go." : "Sent to the press.";
        });
    }

    @PostMapping("/cutter")
    String cutter(
            @PathVariable UUID project,
            @PathVariable UUID sheet,
            AskedCut asked,
            @RequestParam(defaultValue = "false") boolean held,
            @AuthenticationPrincipal SignedIn person,
            Model model) {
        return said(project, model, () -> {
            Sheet present = sheets.get(project, sheet);
            List<String> groups = cuts.groups(present, asked.by());
            List<String> chosen = asked.groupOrAll().isEmpty() ? groups : List.of(asked.groupOrAll());
            if (chosen.isEmpty() || !groups.containsAll(chosen)) {
                throw new Refusal("Nothing of that is laid on this sheet, so there is nothing to cut.");
            }
            boolean isPrinted = Boolean.TRUE.equals(asked.printed());
            send(
                    present,
                    person,
                    chosen.stream()
                            .map(group -> asked(
                                    present,
                                    DeviceJob.Device.CUTTER,
                                    present.title() + ": " + group,
                                    new CutOrder(asked.by(), group, asked.settings(), isPrinted),
                                    held))
                            .toList());
            String what = chosen.size() == 1 ? "'" + chosen.get(0) + "'" : chosen.size() + " jobs";
            return (held ? "Held at the cutter until let go: " : "Sent to the cutter: ") + what + ".";
        });
    }

    private DeviceJobs.Asked asked(Sheet sheet, DeviceJob.Device device, String words, Object order, boolean isHeld) {
        return new DeviceJobs.Asked(device, sheet.id(), words, json.writeValueAsString(order), isHeld);
    }

    private void send(Sheet sheet, SignedIn person, List<DeviceJobs.Asked> all) {
        List<UUID> sent = jobs.send(sheet.project(), person.id(), all);
        for (int i = 0; i < sent.size(); i++) {
            if (!all.get(i).isHeld()) {
                background.begin(DeviceWork.NAME, sent.get(i));
            }
        }
    }

    private interface Sending {
        String words();
    }

    private static String said(UUID project, Model model, Sending sending) {
        model.addAttribute("p", project);
        try {
            model.addAttribute("sent", Optional.of(sending.words()));
        } catch (Refusal refusal) {
            model.addAttribute("refusal", refusal.getMessage());
        }
        return "device/devices :: said";
    }

    @GetMapping("/export/cut.svg")
    ResponseEntity<byte[]> drawing(@PathVariable UUID project, @PathVariable UUID sheet, AskedCut asked) {
        CutJob job = job(project, sheet, asked);
        return Downloads.file(job.name(), ".svg", SVG)
                .body(CutFiles.drawing(job).getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/export/cut.nc")
    ResponseEntity<byte[]> program(@PathVariable UUID project, @PathVariable UUID sheet, AskedCut asked) {
        CutJob job = job(project, sheet, asked);
        return Downloads.file(job.name(), ".nc", MediaType.TEXT_PLAIN)
                .body(CutFiles.program(job).getBytes(StandardCharsets.US_ASCII));
    }

    private CutJob job(UUID project, UUID sheet, AskedCut asked) {
        if (asked.groupOrAll().isEmpty()) {
            throw new Refusal("Choose what is to be cut.");
        }
        return cuts.of(sheets.get(project, sheet), asked.by(), asked.groupOrAll(), asked.settings());
    }
}
