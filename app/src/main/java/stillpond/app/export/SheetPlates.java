package stillpond.app.export;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import stillpond.app.card.PrintConditions;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Showing;
import stillpond.core.colour.PrintCondition;
import stillpond.core.colour.Srgb;
import stillpond.core.format.PlateFiles;
import stillpond.core.format.Resolution;
import stillpond.core.ink.Picture;
import stillpond.core.palette.Card;
import stillpond.core.palette.Light;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
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
    private final Palettes palettes;
    private final PrintConditions conditions;

    SheetPlates(SheetPictures pictures, Palettes palettes, PrintConditions conditions) {
        this.pictures = pictures;
        this.palettes = palettes;
        this.conditions = conditions;
    }

    /** The inks of their own that a project has, and each swatch in the colour that stands for its number; the others are black. */
    private record Spots(List<String> inks, Map<UUID, Srgb> codes) {

        static Spots of(Palette palette) {
            List<String> inks = new ArrayList<>();
            Map<UUID, Srgb> codes = new HashMap<>();
            for (Card card : palette.cards()) {
                for (Swatch swatch : card.swatches()) {
                    codes.put(swatch.id(), Srgb.ofPacked(number(swatch, inks)));
                }
            }
            return new Spots(inks, codes);
        }

        private static int number(Swatch swatch, List<String> inks) {
            if (!(swatch.paint() instanceof Paint.Spot spot)) {
                return 0;
            }
            if (!inks.contains(spot.ink())) {
                inks.add(spot.ink());
            }
            return inks.indexOf(spot.ink()) + 1;
        }
    }

    /**
     * The plates of a sheet, and what they were made from.
     *
     * @param spotInks the inks of their own among the plates, in their order
     */
    public record Separated(Plates plates, List<String> spotInks, Resolution resolution, PrintCondition condition) {}

    /** @throws Refusal if it is not known how ink comes out on the paper */
    public Separated separate(Sheet sheet, Showing showing, Inking inking) {
        PrintCondition condition = conditions
                .of(sheet.project())
                .orElseThrow(
                        () -> new Refusal(
                                "It is not known how ink comes out on the paper: bring in an ICC profile of printing inks on the page of cards first."));
        Spots spots = Spots.of(palettes.of(sheet.project()));
        SheetPictures.Parted parted = pictures.parted(sheet, showing);
        Separation.Page page = new Separation.Page(
                parted.underInk(), numbers(sheet, showing, spots, parted.underInk()), spots.inks(), parted.ink());
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

    /** The flats, painted with the numbers of spot inks in place of colours; 0 where a shadow lies on them, which a spot ink alone cannot print. */
    private Picture numbers(Sheet sheet, Showing showing, Spots spots, Picture underInk) {
        if (spots.inks().isEmpty()) {
            return new Picture(sheet.widthPx(), sheet.heightPx(), new int[sheet.widthPx() * sheet.heightPx()]);
        }
        Showing coded = new Showing(Optional.of(Light.AS_DRAWN), Map.of(), spots.codes(), Set.of(), Optional.empty());
        int[] numbers = pictures.flats(sheet, coded).argb();
        int[] plain = pictures.flats(sheet, showing).argb();
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = plain[i] == underInk.argb()[i] ? numbers[i] : 0;
        }
        return new Picture(sheet.widthPx(), sheet.heightPx(), numbers);
    }
}
