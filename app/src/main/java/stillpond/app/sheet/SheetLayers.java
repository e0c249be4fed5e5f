package stillpond.app.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import stillpond.app.history.Effect;
import stillpond.app.history.EffectKind;
import stillpond.app.history.History;
import stillpond.app.project.Projects;
import stillpond.core.fill.Fill;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.PlaneCodec;
import stillpond.core.format.UnreadableFile;
import stillpond.core.stack.Stack;
import stillpond.core.stack.Standing;

/** The layers of sheets: brought in together, added, taken out, and how they stand. */
@Service
public class SheetLayers implements EffectKind<Effect.Stacked> {

    private final Sheets sheets;
    private final SheetRepository repository;
    private final LayerFiles files;
    private final Planes planes;
    private final Projects projects;
    private final History history;
    private final TransactionTemplate transaction;
    private final ImageLimits limits;

    SheetLayers(
            Sheets sheets,
            SheetRepository repository,
            LayerFiles files,
            Planes planes,
            Projects projects,
            History history,
            TransactionTemplate transaction,
            ImageLimits limits) {
        this.sheets = sheets;
        this.repository = repository;
        this.files = files;
        this.planes = planes;
        this.projects = projects;
        this.history = history;
        this.transaction = transaction;
        this.limits = limits;
    }

    /**
     * Brings files in as one sheet, behind the others of its scene: a layer of each, or those that it consists of. All or nothing.
     *
     * @param brought from front to back
     * @throws UnreadableFile with a message for the user
     */
    public Sheets.Brought bring(UUID project, UUID scene, List<LineArtFile> brought) {
        if (brought.isEmpty()) {
            throw new UnreadableFile("There is no file to make a sheet of.");
        }
        brought.forEach(file -> sheets.requireNew(project, file.content()));
        LayerFiles.Read read = files.read(brought, Optional.empty(), sheets.limitsFor(brought.get(0)));
        Sheet sheet = sheets.store(
                projects.scene(project, scene), FileTitle.of(brought.get(0).name()), read.layers());
        return new Sheets.Brought(sheet, read.leftOut());
    }

    /**
     * Adds a file to a sheet, in front of its layers, as one change.
     *
     * @return the sheet with the new layer to work on
     * @throws UnreadableFile with a message for the user; the sheet stays as it is
     */
    public Sheets.Brought add(Sheet sheet, UUID author, LineArtFile file) {
        LayerFiles.Page page = new LayerFiles.Page(sheet.widthPx(), sheet.heightPx());
        LayerFiles.Read read = files.read(
                List.of(file), Optional.of(page), limits.withVectorLongSide(Math.max(page.widthPx(), page.heightPx())));
        Sheet after = transaction.execute(status -> {
            StoredSheet stored = repository.findAndLock(sheet.id()).orElseThrow();
            Stack before = stored.stack();
            List<Standing> all = new ArrayList<>();
            read.layers().forEach(layer -> all.add(layer.standing()));
            all.addAll(before.layers());
            Stack wanted = new Stack(all);
            read.layers().forEach(layer -> add(stored, layer));
            stored.become(wanted);
            keep(stored, author, "Added the layer '" + all.get(0).name() + "'", before);
            return repository.saveAndFlush(stored).asSheet();
        });
        return new Sheets.Brought(after.on(read.layers().get(0).standing().layer()), read.leftOut());
    }

    private void add(StoredSheet sheet, Sheets.NewLayer layer) {
        sheet.addLayer(new StoredLayer(
                new StoredStanding(sheet.id(), layer.standing(), 0),
                layer.lineArt().keepIn(planes, layer.file())));
    }

    private void keep(StoredSheet sheet, UUID author, String words, Stack before) {
        sheet.nextRevision();
        history.keep(sheet.projectId(), author, words, List.of(new Effect.Stacked(sheet.id(), before, sheet.stack())));
    }

    /**
     * Changes which layers stand in a sheet, and how, as one change.
     *
     * @param words what is done, for the history
     */
    @Transactional
    public Sheet change(UUID project, UUID sheet, UUID author, String words, UnaryOperator<Stack> change) {
        sheets.require(project, sheet);
        StoredSheet stored = repository.findAndLock(sheet).orElseThrow();
        Stack before = stored.stack();
        Stack after = change.apply(before);
        if (!after.equals(before)) {
            stored.become(after);
            keep(stored, author, words, before);
        }
        return repository.saveAndFlush(stored).asSheet();
    }

    /** A region that lies at a place of a page. @param cell of the layer's that lies there */
    public record Here(Layer layer, int cell, Fill fill) {}

    /** What lies at a pixel of a sheet's page, layer by layer from front to back; layers that do not reach there are left out. */
    @Transactional(readOnly = true)
    public List<Here> at(Sheet sheet, int xPx, int yPx) {
        List<Here> here = new ArrayList<>();
        for (Layer layer : sheet.layers()) {
            int x = xPx - layer.standing().xPx();
            int y = yPx - layer.standing().yPx();
            if (x >= 0 && y >= 0 && x < layer.widthPx() && y < layer.heightPx()) {
                int cell = PlaneCodec.cellAt(planes.content(layer.cells()), x, y);
                here.add(new Here(layer, cell, sheets.fills(layer).of(cell)));
            }
        }
        return here;
    }

    @Override
    public Class<Effect.Stacked> effects() {
        return Effect.Stacked.class;
    }

    @Override
    @Transactional
    public Done done(UUID project, UUID author, Effect.Stacked effect) {
        StoredSheet sheet = repository.findById(effect.onSheet()).orElseThrow();
        Stack present = sheet.stack();
        Stack.TakenBack back = present.takingBack(effect.after(), effect.before());
        if (back.stack().equals(present)) {
            return new Done(Optional.empty(), back.leftAlone());
        }
        sheet.become(back.stack());
        return new Done(Optional.of(new Effect.Stacked(sheet.id(), present, back.stack())), back.leftAlone());
    }
}
