package stillpond.app.carry;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import stillpond.app.background.Background;
import stillpond.app.background.BackgroundTask;
import stillpond.app.check.SheetDifferences;
import stillpond.app.history.Happened;
import stillpond.app.history.Part;
import stillpond.app.settings.PondSettings;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;

/** Compares a sheet with others when it has been quiet for a while. */
@Component
class DifferenceLooking implements BackgroundTask {

    static final String NAME = "differences";

    private static final Logger LOG = LoggerFactory.getLogger(DifferenceLooking.class);
    private static final Set<Part> LOOKED_AT = Set.of(Part.FILLS_AND_DAMS, Part.CELLS, Part.LAYERS);
    /** While somebody works, it is put off so often in the time that must be quiet, and not with each fill. */
    private static final int PUT_OFF = 4;

    private final SheetCarrying carrying;
    private final SheetDifferences differences;
    private final Sheets sheets;
    private final ObjectProvider<Background> background;
    private final Duration quiet;
    private final Clock clock;
    private final Map<UUID, Instant> putOff = new ConcurrentHashMap<>();

    DifferenceLooking(
            SheetCarrying carrying,
            SheetDifferences differences,
            Sheets sheets,
            ObjectProvider<Background> background,
            PondSettings settings,
            Clock clock) {
        this.carrying = carrying;
        this.differences = differences;
        this.sheets = sheets;
        this.background = background;
        this.quiet = settings.quiet();
        this.clock = clock;
    }

    @TransactionalEventListener
    void on(Happened happened) {
        if (LOOKED_AT.contains(happened.part())) {
            happened.sheet().ifPresent(this::putOff);
        }
    }

    private void putOff(UUID sheet) {
        Instant now = clock.instant();
        Instant again = now.minus(quiet.dividedBy(PUT_OFF));
        boolean isDue = putOff.merge(sheet, now, (last, present) -> last.isAfter(again) ? last : present)
                .equals(now);
        if (isDue) {
            background.getObject().putOff(NAME, sheet, now.plus(quiet));
        }
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public void run(UUID id, Node node) {
        putOff.remove(id);
        try {
            Sheet sheet = sheets.wherever(id);
            for (Layer layer : sheet.layers()) {
                node.requireGoingOn();
                Sheet on = sheet.on(layer.standing().layer());
                differences.keep(layer, carrying.differences(on));
            }
        } catch (NoSuchElementException gone) {
            LOG.debug("Sheet {} is not there any more", id);
        } catch (CancellationException stopping) {
            throw stopping;
        } catch (RuntimeException fault) {
            // It is looked at again when somebody works on it; trying over and over would hold up what others wait for.
            LOG.warn("Sheet {} could not be compared with others", id, fault);
        }
    }
}
