package stillpond.app.device;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import stillpond.app.export.SheetCuts;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Showing;
import stillpond.core.cut.CutJob;
import stillpond.core.cut.CuttingRun;
import stillpond.core.cut.Laid;
import stillpond.core.cut.MarkedPrint;
import stillpond.core.format.CutFiles;
import stillpond.core.render.Shrunk;
import tools.jackson.databind.json.JsonMapper;

/** Makes a program of a group's outlines and has it followed. */
@Component
class CutterWork {

    private static final int LOOK_PX = 1200;
    private static final int SECONDS = 60;
    private static final double METRE = 1000;

    private final SheetCuts cuts;
    private final SheetPictures pictures;
    private final Cutter cutter;
    private final JsonMapper json;

    CutterWork(SheetCuts cuts, SheetPictures pictures, Cutter cutter, JsonMapper json) {
        this.cuts = cuts;
        this.pictures = pictures;
        this.cutter = cutter;
        this.json = json;
    }

    Came cut(Sheet sheet, DeviceJob order) {
        CutOrder asked = json.readValue(order.asked(), CutOrder.class);
        CutJob job = cuts.of(sheet, asked.by(), asked.group(), asked.settings());
        String program = CutFiles.program(job);
        Laid laid = asked.isPrinted() ? cutter.find(order.id(), job.widthMm(), job.heightMm()) : Laid.STRAIGHT;
        CuttingRun run = cutter.cut(program, laid);
        Map<String, byte[]> files = new HashMap<>();
        files.put("program.nc", program.getBytes(StandardCharsets.US_ASCII));
        files.put("drawing.svg", CutFiles.drawing(job).getBytes(StandardCharsets.UTF_8));
        files.put("way.svg", way(job, run, laid));
        if (asked.isPrinted()) {
            files.put(
                    "print.png",
                    PressWork.png(MarkedPrint.of(pictures.composed(sheet, Showing.OWN), cuts.mmPerPx(sheet))));
        }
        files.put("page.png", PressWork.png(Shrunk.to(pictures.flats(sheet, Showing.OWN), LOOK_PX)));
        return new Came(true, words(job, run), files);
    }

    private static byte[] way(CutJob job, CuttingRun run, Laid laid) {
        return CutFiles.followed(run, laid, job).getBytes(StandardCharsets.UTF_8);
    }

    private static String words(CutJob job, CuttingRun run) {
        long joined =
                job.small().stream().filter(each -> !each.joined().isEmpty()).count();
        long leftOut = job.small().size() - joined;
        long seconds = Math.round(run.seconds());
        return String.format(
                        Locale.ROOT,
                        "%d %s, %.2f m cut in %d:%02d minutes.",
                        job.pieces(),
                        job.pieces() == 1 ? "piece" : "pieces",
                        run.cutMm() / METRE,
                        seconds / SECONDS,
                        seconds % SECONDS)
                + (joined == 0
                        ? ""
                        : " " + joined + " too small to handle " + (joined == 1 ? "is" : "are")
                                + " cut with a neighbour.")
                + (leftOut == 0
                        ? ""
                        : " " + leftOut + " too small to handle " + (leftOut == 1 ? "is" : "are") + " left out.");
    }
}
