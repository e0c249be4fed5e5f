package stillpond.app.sheet;

import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import stillpond.app.background.Background;
import stillpond.app.background.BackgroundTask;
import stillpond.app.background.Lane;
import stillpond.app.reading.NotNow;
import stillpond.core.format.ImageLimits;

/**
 * Finds the gaps of sheets in the background: a sheet just brought in can be opened and filled at once, and gets its openings when they are found; so does one that an older
 * version of the analysis has cut, when somebody opens it.
 */
@Service
public class Sharpening implements BackgroundTask {

    private static final String NAME = "sharpening";

    private static final Logger LOG = LoggerFactory.getLogger(Sharpening.class);

    private final Sheets sheets;
    private final LayerCuts cuts;
    private final Planes planes;
    private final Analyses analyses;
    private final ImageLimits limits;
    private final VisibleInks inks;
    private final ObjectProvider<Background> background;

    /** Layers that took too long, or more memory than there is: they are not tried again each time that somebody opens them. */
    private final Set<UUID> hopeless = ConcurrentHashMap.newKeySet();

    Sharpening(
            Sheets sheets,
            LayerCuts cuts,
            Planes planes,
            Analyses analyses,
            ImageLimits limits,
            VisibleInks inks,
            ObjectProvider<Background> background) {
        this.sheets = sheets;
        this.cuts = cuts;
        this.planes = planes;
        this.analyses = analyses;
        this.limits = limits;
        this.inks = inks;
        this.background = background;
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public Lane lane() {
        return Lane.PROMPT;
    }

    /** Asking again while it waits or is at work does nothing. */
    public void soon(Sheet sheet) {
        if (toDo(sheet).isPresent()) {
            background.getObject().begin(NAME, sheet.id());
        }
    }

    private Optional<Layer> toDo(Sheet sheet) {
        return sheet.layers().stream()
                .filter(layer -> !layer.isSharp() && !hopeless.contains(layer.id()))
                .findFirst();
    }

    @Override
    public void run(UUID id, Node node) {
        try {
            sharpened(() -> sheets.wherever(id), node);
        } catch (NoSuchElementException gone) {
            LOG.debug("Sheet {} is not there any more", id);
        }
    }

    /** Finds the gaps of a sheet before it returns. */
    public Sheet now(UUID project, UUID sheetId) {
        return sharpened(() -> sheets.get(project, sheetId), () -> {});
    }

    private Sheet sharpened(Supplier<Sheet> present, Node node) {
        Sheet sheet = present.get();
        // It is looked up again after each layer: one that came meanwhile was not asked for again.
        for (Optional<Layer> next = toDo(sheet); next.isPresent(); next = toDo(sheet)) {
            node.requireGoingOn();
            sharpen(sheet.on(next.get()), node);
            sheet = present.get();
        }
        return sheet;
    }

    private void sharpen(Sheet sheet, Node node) {
        Layer layer = sheet.layer();
        try {
            int longSide = Math.max(layer.widthPx(), layer.heightPx());
            byte[] source = planes.content(layer.source());
            LineArt sharp = analyses.whole(
                    source,
                    limits.withVectorLongSide(longSide),
                    layer.settings(),
                    inks.through(sheet),
                    Analyses.Waiting.NOBODY);
            cuts.sharpen(sheet, sharp, source);
        } catch (NotNow e) {
            throw e;
        } catch (RuntimeException e) {
            // One that was stopped with its node is not hopeless.
            node.requireGoingOn();
            hopeless.add(layer.id());
            LOG.warn("The gaps of a layer of sheet {} could not be found; it stays as it is", sheet.id(), e);
        }
    }
}
