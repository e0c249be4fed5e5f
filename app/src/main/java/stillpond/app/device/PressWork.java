package stillpond.app.device;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import stillpond.app.export.SheetPlates;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Showing;
import stillpond.core.format.PlateFiles;
import stillpond.core.format.PngWriter;
import stillpond.core.ink.Picture;
import stillpond.core.plate.HeavyInk;
import stillpond.core.plate.Plate;
import stillpond.core.plate.Plates;
import stillpond.core.plate.PressRun;
import stillpond.core.render.Shrunk;
import tools.jackson.databind.json.JsonMapper;

/** Makes plates of a sheet and has them printed. */
@Component
class PressWork {

    private static final double INCHES_PER_METRE = 39.3701;
    private static final int PROCESS = 4;
    private static final int LOOK_PX = 1200;

    private final SheetPlates plates;
    private final SheetPictures pictures;
    private final Press press;
    private final JsonMapper json;

    PressWork(SheetPlates plates, SheetPictures pictures, Press press, JsonMapper json) {
        this.plates = plates;
        this.pictures = pictures;
        this.press = press;
        this.json = json;
    }

    Came print(Sheet sheet, DeviceJob job) {
        PressOrder order = json.readValue(job.asked(), PressOrder.class);
        Showing showing = order.isOwnLight() ? Showing.OWN : Showing.AS_DRAWN;
        SheetPlates.Separated made = used(plates.separate(sheet, showing, order.inking()));
        Press.PressSheet sent = new Press.PressSheet(
                made.plates(),
                pictures.composed(sheet, showing),
                made.spotInks(),
                (int) Math.round(made.resolution().xPerMetre() / INCHES_PER_METRE),
                made.condition());
        Optional<String> refusal = press.refusal(sheet.project(), sent);
        if (refusal.isPresent()) {
            return new Came(false, refusal.get(), heavy(sheet, sent));
        }
        PressRun.Printed printed = press.print(sent);
        Map<String, byte[]> files = new HashMap<>();
        files.put("print.png", png(printed.print()));
        files.put("difference.png", png(printed.difference()));
        files.put("plates.zip", zip(sheet, made));
        return new Came(true, words(printed, made), files);
    }

    /** Where there is too much ink, over the page; nothing if there is nowhere. */
    private Map<String, byte[]> heavy(Sheet sheet, Press.PressSheet sent) {
        int most = press.limits(sheet.project()).mostInkPercent();
        return sent.plates().mostInkPercent() <= most
                ? Map.of()
                : Map.of(
                        "page.png", png(Shrunk.to(sent.screen(), LOOK_PX)),
                        "heavy.png", png(HeavyInk.of(sent.plates(), most, LOOK_PX)));
    }

    /** A plate that prints nothing is not made, and its ink not asked for. */
    private static SheetPlates.Separated used(SheetPlates.Separated all) {
        Plates made = all.plates();
        List<Plate> kept = made.plates().stream()
                .filter(plate -> made.plates().indexOf(plate) < PROCESS || prints(plate))
                .toList();
        return new SheetPlates.Separated(
                new Plates(made.widthPx(), made.heightPx(), kept, made.mostInkPercent(), made.overLimit()),
                all.spotInks().stream()
                        .filter(spot ->
                                kept.stream().anyMatch(plate -> plate.ink().equals(spot.ink())))
                        .toList(),
                all.resolution(),
                all.condition());
    }

    private static boolean prints(Plate plate) {
        for (byte share : plate.coverage()) {
            if (share != 0) {
                return true;
            }
        }
        return false;
    }

    private static String words(PressRun.Printed printed, SheetPlates.Separated made) {
        return String.format(
                Locale.ROOT,
                "%d plates, up to %d %% of ink. On paper %.1f away from the screen on average; %.0f %% of the page looks different.",
                made.plates().plates().size(),
                made.plates().mostInkPercent(),
                printed.meanDifference(),
                100 * printed.tellable());
    }

    private static byte[] zip(Sheet sheet, SheetPlates.Separated made) {
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            PlateFiles.write(sheet.title(), made.plates(), made.resolution(), PlateFiles.Form.TIFF, out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static byte[] png(Picture picture) {
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            PngWriter.write(picture, out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
