package stillpond.app.export;

import java.io.IOException;
import java.io.OutputStream;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.IntUnaryOperator;
import org.springframework.stereotype.Service;
import stillpond.app.card.PrintConditions;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Showing;
import stillpond.core.colour.PrintCondition;
import stillpond.core.colour.Srgb;
import stillpond.core.cut.CutPlane;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Opacity;
import stillpond.core.format.PlateFiles;
import stillpond.core.format.Resolution;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.SwatchColours;
import stillpond.core.plate.Inking;
import stillpond.core.plate.Plates;
import stillpond.core.plate.Separation;
import stillpond.core.refusal.Refusal;

/** A sheet as plates for a press. */
@Service
public class SheetPlates {

    /** 300 to an inch, for line art that does not say how large it is. */
    static final Resolution USUAL = new Resolution(11811, 11811);

    private final SheetPictures pictures;
    private final SheetColours colours;
    private final Palettes palettes;
    private final PrintConditions conditions;

    SheetPlates(SheetPictures pictures, SheetColours colours, Palettes palettes, PrintConditions conditions) {
        this.pictures = pictures;
        this.colours = colours;
        this.palettes = palettes;
        this.conditions = conditions;
    }

    /** The inks of their own that a project has, from 1, with the number of the one that a swatch is printed from. */
    private record Spots(List<Separation.Spot> inks, Map<UUID, Integer> numbers) {

        /** What an ink looks like follows from its swatches, the darkest of which is printed solid. */
        static Spots of(Palette palette, SwatchColours shown) {
            Map<String, Integer> byInk = new LinkedHashMap<>();
            Map<String, Srgb> solids = new HashMap<>();
            Map<UUID, Integer> numbers = new HashMap<>();
            for (Card card : palette.cards()) {
                for (Swatch swatch : card.swatches()) {
                    if (swatch.paint() instanceof Paint.Spot spot) {
                        byInk.putIfAbsent(spot.ink(), byInk.size() + 1);
                        numbers.put(swatch.id(), byInk.get(spot.ink()));
                        Srgb colour = shown.colourOf(swatch.id()).orElse(spot.standIn());
                        solids.merge(spot.ink(), colour, Spots::darker);
                    }
                }
            }
            return new Spots(
                    byInk.keySet().stream()
                            .map(ink -> new Separation.Spot(ink, solids.get(ink)))
                            .toList(),
                    numbers);
        }

        private static Srgb darker(Srgb first, Srgb second) {
            return first.relativeLuminance() <= second.relativeLuminance() ? first : second;
        }

        /** By how much {@link CutPlane} numbers what is printed from such an ink; {@link #PROCESS} for all else that is laid. */
        int of(Fill fill) {
            boolean isOneInk = fill instanceof Fill.Tone
                    || fill instanceof Fill.Flat flat && flat.opacity().equals(Opacity.FULL);
            if (fill.equals(Fill.NONE)) {
                return CutPlane.NOTHING;
            }
            return isOneInk ? PROCESS + numbers.getOrDefault(fill.swatches().get(0), 0) : PROCESS;
        }
    }

    private static final int PROCESS = 1;

    /**
     * The plates of a sheet, and what they were made from.
     *
     * @param spotInks the inks of their own among the plates, in their order
     */
    public record Separated(
            Plates plates, List<Separation.Spot> spotInks, Resolution resolution, PrintCondition condition) {}

    /** @throws Refusal if it is not known how ink comes out on the paper */
    public Separated separate(Sheet sheet, Showing showing, Inking inking) {
        PrintCondition condition = conditions
                .of(sheet.project())
                .orElseThrow(
                        () -> new Refusal(
                                "It is not known how ink comes out on the paper: bring in an ICC profile of printing inks on the page of cards first."));
        Spots spots = Spots.of(palettes.of(sheet.project()), colours.of(sheet, showing));
        SheetPictures.Parted parted = pictures.parted(sheet, showing);
        Separation.Page page = new Separation.Page(parted.underInk(), areas(sheet, showing, spots), parted.ink());
        return new Separated(
                Separation.of(page, condition, inking),
                spots.inks(),
                pictures.resolution(sheet).orElse(USUAL),
                condition);
    }

    void write(Sheet sheet, Showing showing, Inking inking, PlateFiles.Form form, OutputStream out) throws IOException {
        Separated separated = separate(sheet, showing, inking);
        PlateFiles.write(sheet.title(), separated.plates(), separated.resolution(), form, out);
    }

    private Separation.SpotAreas areas(Sheet sheet, Showing showing, Spots spots) {
        if (spots.inks().isEmpty()) {
            return Separation.SpotAreas.NONE;
        }
        List<CutPlane.OnPage> layers = pictures.colour(sheet, showing).layers().stream()
                .map(layer -> new CutPlane.OnPage(
                        pictures.cells(layer),
                        byCell(layer.fills(), spots),
                        layer.layer().standing().xPx(),
                        layer.layer().standing().yPx()))
                .toList();
        int[] numbers = CutPlane.of(sheet.widthPx(), sheet.heightPx(), layers, Optional.empty())
                .numbers();
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = Math.max(0, numbers[i] - PROCESS);
        }
        return new Separation.SpotAreas(numbers, pictures.flats(sheet, showing), spots.inks());
    }

    /** Asked for each pixel, told once for each cell. */
    private static IntUnaryOperator byCell(Fills fills, Spots spots) {
        int[] known = new int
                [1
                        + fills.ofCells().filled().stream()
                                .mapToInt(Integer::intValue)
                                .max()
                                .orElse(0)];
        fills.ofCells().filled().forEach(cell -> known[cell] = spots.of(fills.of(cell)));
        return cell -> cell < known.length ? known[cell] : CutPlane.NOTHING;
    }
}
