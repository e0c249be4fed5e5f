package stillpond.app.sheet;

import jakarta.annotation.PreDestroy;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import stillpond.app.reading.NotNow;
import stillpond.core.format.ImageLimits;

/**
 * Finds the gaps of sheets in the background: a sheet just brought in can be opened and filled at once, and gets its openings when they are found; so does one that an older
 * version of the analysis has cut. Nothing needs to be remembered: a sheet whose analysis is old says so itself, and is taken up when somebody opens it.
 */
@Service
public class Sharpening {

    private static final Logger LOG = LoggerFactory.getLogger(Sharpening.class);

    private final Sheets sheets;
    private final LayerCuts cuts;
    private final Planes planes;
    private final Analyses analyses;
    private final ImageLimits limits;
    private final VisibleInks inks;

    /** One at a time: each analysis uses all cores by itself. */
    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "sharpening");
        thread.setDaemon(true);
        return thread;
    });

    private final Set<UUID> waiting = ConcurrentHashMap.newKeySet();

    /** Layers that took too long, or more memory than there is: they are not tried again each time that somebody opens them. */
    private final Set<UUID> hopeless = ConcurrentHashMap.newKeySet();

    Sharpening(Sheets sheets, LayerCuts cuts, Planes planes, Analyses analyses, ImageLimits limits, VisibleInks inks) {
        this.sheets = sheets;
        this.cuts = cuts;
        this.planes = planes;
        this.analyses = analyses;
        this.limits = limits;
        this.inks = inks;
    }

    /** Asking again while it waits or is at work does nothing. */
    public void soon(Sheet sheet) {
        boolean isToDo = sheet.layers().stream().anyMatch(this::isToDo);
        if (isToDo && waiting.add(sheet.id())) {
            worker.execute(() -> {
                try {
                    now(sheet.project(), sheet.id());
                } catch (NotNow e) {
                    LOG.info("The gaps of sheet {} are found when somebody opens it again", sheet.id());
                } finally {
                    waiting.remove(sheet.id());
                }
            });
        }
    }

    private boolean isToDo(Layer layer) {
        return !layer.isSharp() && !hopeless.contains(layer.id());
    }

    /** Finds the gaps of a sheet before it returns. */
    public Sheet now(UUID project, UUID sheetId) {
        Sheet sheet = sheets.get(project, sheetId);
        sheet.layers().stream().filter(this::isToDo).forEach(layer -> sharpen(sheet.on(layer)));
        return sheets.get(project, sheetId);
    }

    private void sharpen(Sheet sheet) {
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
            hopeless.add(layer.id());
            LOG.warn("The gaps of a layer of sheet {} could not be found; it stays as it is", sheet.id(), e);
        }
    }

    /** Returns when all that was asked for so far is done. */
    void finish() {
        try {
            worker.submit(() -> {}).get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException e) {
            throw new IllegalStateException(e);
        }
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }
}
