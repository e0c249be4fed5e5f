package stillpond.app.sheet;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import stillpond.app.palette.Palettes;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.Gamut;
import stillpond.core.colour.Mixing;
import stillpond.core.colour.Oklab;
import stillpond.core.colour.Srgb;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Openings;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.render.AddedInk;
import stillpond.core.render.CellColours;
import stillpond.core.render.SheetPainter;
import stillpond.core.render.SmallSheet;

/** Paints sheets as they are now. */
@Service
public class SheetPictures {

    private static final int UUID_LENGTH = 36;
    /** How much white greys get beside what is lit. */
    private static final double PALE_PERCENT = 45;

    private final Sheets sheets;
    private final Planes planes;
    private final Palettes palettes;
    private final LayerDams dams;
    private final ProjectMotifs motifs;

    SheetPictures(Sheets sheets, Planes planes, Palettes palettes, LayerDams dams, ProjectMotifs motifs) {
        this.sheets = sheets;
        this.planes = planes;
        this.palettes = palettes;
        this.dams = dams;
        this.motifs = motifs;
    }

    /** Changes whenever the small picture of a sheet does. */
    public String smallVersion(Sheet sheet, Palette palette) {
        Layer layer = sheet.frontLayer();
        return layer.smallInk()
                + layer.smallCells()
                + colours(sheet.project(), palette, layer).version();
    }

    /** The palette of a sheet's project with some swatches in other colours, each given as its id and a hex code. */
    public Palette palette(Sheet sheet, List<String> tried) {
        List<Card> cards = palettes.of(sheet.project()).cards();
        for (String each : tried) {
            UUID id = UUID.fromString(each.substring(0, UUID_LENGTH));
            Paint paint = new Paint.Process(Srgb.ofHex(each.substring(UUID_LENGTH)));
            cards = cards.stream().map(card -> card.painting(id, paint)).toList();
        }
        return new Palette(cards);
    }

    /** The palette of a sheet's project in which only some swatches keep their colours, and all others are pale greys of their lightness. */
    public Palette lit(Sheet sheet, Set<UUID> lit) {
        Palette palette = palettes.of(sheet.project());
        return new Palette(palette.cards().stream()
                .map(card -> {
                    Card shown = card;
                    for (Swatch swatch : card.swatches()) {
                        Srgb colour = palette.colourOf(swatch.id()).orElseThrow();
                        Srgb seen = lit.contains(swatch.id()) ? colour : paleGrey(colour);
                        shown = shown.painting(swatch.id(), new Paint.Process(seen));
                    }
                    return shown;
                })
                .toList());
    }

    private static Srgb paleGrey(Srgb colour) {
        Oklab grey = new Oklab(Oklab.of(colour).lightness(), 0, 0);
        return Mixing.tint(Gamut.show(grey).colour(), PALE_PERCENT);
    }

    /** Small enough for a strip of sheets. */
    public Picture small(Sheet sheet, Palette palette) {
        Layer layer = sheet.frontLayer();
        CellPlane cells = PlaneCodec.decodeCells(planes.content(layer.smallCells()));
        SmallSheet small = new SmallSheet(cells, PlaneCodec.decodeInk(planes.content(layer.smallInk())));
        return small.paint(
                colours(sheet.project(), palette, layer).inPixelsOf(layer.widthPx() / (double) cells.widthPx()));
    }

    /** The flats at full size, without ink and without antialiasing. */
    public Picture flats(Sheet sheet) {
        Layer layer = sheet.frontLayer();
        return SheetPainter.flats(
                PlaneCodec.decodeCells(planes.content(layer.cells())), colours(sheet.project(), layer));
    }

    /** The sheet at full size, ink over flats over paper. */
    public Picture composed(Sheet sheet) {
        Layer layer = sheet.frontLayer();
        return SheetPainter.composed(
                PlaneCodec.decodeCells(planes.content(layer.cells())),
                withAddedInk(layer, PlaneCodec.decodeInk(planes.content(layer.ink()))),
                colours(sheet.project(), layer));
    }

    private InkPlane withAddedInk(Layer layer, InkPlane ink) {
        Set<Integer> inked = dams.of(layer).inked();
        if (inked.isEmpty()) {
            return ink;
        }
        Openings openings = dams.openings(layer);
        return AddedInk.over(
                ink, inked.stream().sorted().map(openings.openings()::get).toList(), openings.strokePx());
    }

    private CellColours colours(UUID project, Layer layer) {
        return colours(project, palettes.of(project), layer);
    }

    private CellColours colours(UUID project, Palette palette, Layer layer) {
        return CellColours.of(sheets.fills(layer), palette, motifs.of(project), layer.cellCount());
    }
}
