package stillpond.app.sheet;

import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import stillpond.core.fill.Places;
import stillpond.core.ink.InkSettings;
import stillpond.core.refusal.Refusal;
import stillpond.core.stack.Standing;

/**
 * One layer of line art, as it is cut into cells now. Its planes are named by the hash of their stored form; see {@link Planes}.
 *
 * @param id of this cutting
 * @param standing how the layer stands in its sheet, however it is cut
 * @param settings how its ink was told from the paper
 * @param source the file it was made from
 * @param origin the file on whose page its pixels lie; mostly the source
 * @param ink density of the ink
 * @param cells the cell map
 * @param openings where cells meet without ink; null for a layer analysed before there were any
 * @param strokes how its ink is cut into strokes; null while it is not
 * @param isThrough whether its cells are bounded by the ink of all layers that are shown
 * @param isBlockedIn whether it is made of shapes, which are its source then, instead of line art
 * @param isSharp whether its gaps have been found by the present analysis
 * @param reach the level from which on they are dammed
 * @param regionCount how many regions there are under the present dams
 */
public record Layer(
        UUID id,
        Standing standing,
        int widthPx,
        int heightPx,
        int cellCount,
        InkSettings settings,
        String source,
        String origin,
        String ink,
        String cells,
        String openings,
        double reach,
        int regionCount,
        String smallInk,
        String smallCells,
        @Nullable StrokePlanes strokes,
        boolean isThrough,
        boolean isBlockedIn,
        boolean isSharp) {

    public boolean hasCells(Collection<Integer> cells) {
        return cells.stream().allMatch(cell -> cell >= 0 && cell < cellCount);
    }

    /** Whether the layer has these cells and strokes; of shadows it does not know. @param places see {@link Places} */
    public boolean hasPlaces(Collection<Integer> places) {
        int strokeCount = strokes == null ? 0 : strokes.count();
        return places.stream().allMatch(place -> {
            if (Places.isCell(place)) {
                return place < cellCount;
            }
            int stroke = Places.isWidth(place) ? Places.strokeOfWidth(place) : Places.stroke(place);
            return Places.isShadow(place) || stroke < strokeCount;
        });
    }

    /** @throws Refusal if it is made of shapes, so that there is no drawing to analyse */
    public void requireLineArt() {
        if (isBlockedIn) {
            throw new Refusal("The layer '" + standing.name()
                    + "' is made of shapes, not of line art. Edit or divide its shapes instead; nothing was changed.");
        }
    }

    /** The names of the planes that a desk may ask for. */
    List<String> planes() {
        return Stream.of(
                        ink,
                        cells,
                        openings,
                        smallInk,
                        smallCells,
                        strokes == null ? null : strokes.plane(),
                        strokes == null ? null : strokes.small())
                .filter(Objects::nonNull)
                .toList();
    }
}
