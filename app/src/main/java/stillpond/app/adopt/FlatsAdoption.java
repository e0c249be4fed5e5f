package stillpond.app.adopt;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import stillpond.app.history.Effect;
import stillpond.app.history.History;
import stillpond.app.palette.Palettes;
import stillpond.app.reading.PictureFiles;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.core.adopt.AdoptedFlats;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;
import stillpond.core.fill.Fill;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.PlaneCodec;
import stillpond.core.ink.Picture;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.PaletteEdit;

/** Brings the flats of a page that was laid elsewhere onto its sheet: colours become swatches, and cells wear them. */
@Service
class FlatsAdoption {

    /** CIEDE2000 difference under which two colours are one. */
    private static final double HARD_TO_TELL = 2.3;

    private final Sheets sheets;
    private final SheetChanges changes;
    private final History history;
    private final Planes planes;
    private final Palettes palettes;
    private final PictureFiles pictureFiles;
    private final TransactionTemplate transaction;
    private final ImageLimits limits;

    FlatsAdoption(
            Sheets sheets,
            SheetChanges changes,
            History history,
            Planes planes,
            Palettes palettes,
            PictureFiles pictureFiles,
            TransactionTemplate transaction,
            ImageLimits limits) {
        this.sheets = sheets;
        this.changes = changes;
        this.history = history;
        this.planes = planes;
        this.palettes = palettes;
        this.pictureFiles = pictureFiles;
        this.transaction = transaction;
        this.limits = limits;
    }

    /**
     * What was done.
     *
     * @param added how many swatches are new
     * @param folded how many colours were too near to another to be one of their own
     * @param edges how many colours lay only at soft edges
     */
    record Adopted(int cells, int added, int folded, int edges, List<MixedPlace> mixed) {}

    /**
     * A place over which more than one colour lies.
     *
     * @param x share of the width of the sheet
     * @param y share of its height
     */
    record MixedPlace(UUID fill, double x, double y) {}

    /** @throws Refusal; then nothing is changed */
    Adopted adopt(UUID project, UUID sheetId, UUID author, byte[] file) {
        Sheet sheet = sheets.get(project, sheetId);
        return pictureFiles.with(
                file, limits, read -> transaction.execute(status -> adopt(sheet, author, read.picture())));
    }

    private Adopted adopt(Sheet sheet, UUID author, Picture picture) {
        UUID project = sheet.project();
        UUID sheetId = sheet.id();
        Layer layer = sheet.frontLayer();
        Palette palette = palettes.of(project);
        CellMap map = PlaneCodec.decodeMap(planes.content(layer.cells()));
        FoundColours found = FoundColours.of(palette);
        AdoptedFlats flats = AdoptedFlats.of(
                map, PlaneCodec.decodeInk(planes.content(layer.ink())), picture, found.known(), HARD_TO_TELL);
        List<Effect> effects = new ArrayList<>();
        Optional<Card> card = found.cardOf(flats.colourByCell().values(), sheet.title(), "adopted flats");
        card.ifPresent(
                each -> effects.add(palettes.edit(project, author, List.of(new PaletteEdit.AddCard(each)), Map.of())));
        Map<Integer, Fill> fillByCell = new HashMap<>();
        flats.colourByCell().forEach((cell, colour) -> fillByCell.put(cell, Fill.flat(found.swatch(colour))));
        changes.lay(sheetId, layer.id(), fillByCell).ifPresent(effects::add);
        if (!effects.isEmpty()) {
            history.keep(project, author, "Adopted flats", effects);
        }
        return new Adopted(
                fillByCell.size(),
                card.map(each -> each.swatches().size()).orElse(0),
                flats.folded(),
                flats.edges(),
                mixed(flats, map, layer, found));
    }

    private static List<MixedPlace> mixed(AdoptedFlats flats, CellMap map, Layer layer, FoundColours found) {
        return flats.mixed().stream()
                .map(mixed -> {
                    Cell cell = map.cells().get(mixed.cell());
                    return new MixedPlace(
                            found.swatch(flats.colourByCell().get(mixed.cell())),
                            cell.deepestX() / (double) layer.widthPx(),
                            cell.deepestY() / (double) layer.heightPx());
                })
                .toList();
    }
}
