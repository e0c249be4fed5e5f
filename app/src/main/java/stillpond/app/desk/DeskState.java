package stillpond.app.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import stillpond.app.history.ShadowText;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.StrokePlanes;
import stillpond.app.sheet.UndoableChanges;
import stillpond.app.sheet.WornLayers;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.gap.Dams;
import stillpond.core.history.UndoLine;
import stillpond.core.ink.InkSettings;
import stillpond.core.ink.Pencil;
import stillpond.core.render.Meeting;
import stillpond.core.shadow.Shadows;
import stillpond.core.stack.Standing;
import stillpond.core.stroke.StrokeMap;

/**
 * Everything the desk needs to show a sheet, but for its planes.
 *
 * @param layer the one that is worked on
 * @param standing how it stands in the sheet
 * @param stack all layers, from front to back
 * @param elsewhere what the other layers wear
 * @param leftElsewhere how many regions of those have no fill yet
 */
record DeskState(
        UUID sheet,
        String title,
        Meeting lineMeeting,
        LayerState layer,
        Standing standing,
        List<Standing> stack,
        List<WornLayers.Worn> elsewhere,
        long leftElsewhere,
        SheetPalette palette,
        LineState line) {

    /** What the person can take back or do again, in no order: that follows from what is known of each. */
    record LineState(List<ChangeAnswer> changes, List<UndoLine.Known<UUID>> known) {
        static LineState of(UndoableChanges.Line line) {
            return new LineState(
                    Stream.of(line.changes().undoable(), line.changes().redoable())
                            .flatMap(List::stream)
                            .map(ChangeAnswer::of)
                            .toList(),
                    line.known());
        }
    }

    /**
     * @param strokes how the ink is cut into strokes; null while it is not
     * @param shapes where they are told; null for line art
     * @param fills the cells, strokes and shadows that wear each fill; see {@link stillpond.core.fill.Places}
     * @param shadows from back to front
     */
    record LayerState(
            UUID id,
            int widthPx,
            int heightPx,
            int cellCount,
            String ink,
            String cells,
            @Nullable String openings,
            boolean isSharp,
            double reach,
            Set<Integer> shut,
            Set<Integer> open,
            Set<Integer> inked,
            String smallInk,
            String smallCells,
            @Nullable StrokeState strokes,
            @Nullable String shapes,
            InkState inkSettings,
            Map<String, List<Integer>> fills,
            List<ShadowText> shadows) {

        /** Where the strokes are, if any of them is coloured. */
        @Nullable
        String strokesToShow() {
            boolean isAnyWorn = fills.values().stream().flatMap(List::stream).anyMatch(Places::isStroke);
            return strokes != null && isAnyWorn ? strokes.plane() : null;
        }
    }

    /** @param plane where it is told which stroke a pixel belongs to @param widthPx how wide strokes are @param isLimited whether there were more than are told apart */
    record StrokeState(String plane, int count, double widthPx, boolean isLimited) {
        static @Nullable StrokeState of(@Nullable StrokePlanes strokes, String planes) {
            return strokes == null
                    ? null
                    : new StrokeState(
                            planes + strokes.plane(),
                            strokes.count(),
                            strokes.widthPx(),
                            strokes.count() == StrokeMap.MOST);
        }
    }

    /** Null where it is found from the picture. @param isThrough whether the ink of all layers that are shown bounds the regions */
    record InkState(@Nullable Integer threshold, @Nullable Integer speckPx, Pencil pencil, boolean isThrough) {
        static InkState of(InkSettings settings, boolean isThrough) {
            return new InkState(
                    settings.threshold().isPresent() ? settings.threshold().getAsInt() : null,
                    settings.speckPx().isPresent() ? settings.speckPx().getAsInt() : null,
                    settings.pencil(),
                    isThrough);
        }
    }

    static DeskState of(
            Sheet sheet,
            Fills fills,
            Dams dams,
            Shadows shadows,
            List<WornLayers.Worn> elsewhere,
            long leftElsewhere,
            SheetPalette palette,
            LineState line) {
        String planes = "/projects/" + sheet.project() + "/sheets/" + sheet.id() + "/planes/";
        return new DeskState(
                sheet.id(),
                sheet.title(),
                sheet.lineMeeting(),
                layer(sheet.layer(), fills, dams, shadows, planes),
                sheet.layer().standing(),
                sheet.stack().layers(),
                elsewhere,
                leftElsewhere,
                palette,
                line);
    }

    /** Where the planes are that the first picture needs. */
    List<String> planes() {
        return Stream.of(layer.cells(), layer.ink(), layer.openings(), layer.strokesToShow())
                .filter(Objects::nonNull)
                .toList();
    }

    private static LayerState layer(Layer layer, Fills fills, Dams dams, Shadows shadows, String planes) {
        String shapes = planes.replaceFirst("planes/$", "shapes/");
        Map<String, List<Integer>> placesByFill = new TreeMap<>();
        fills.filled().stream()
                .sorted()
                .forEach(place -> placesByFill
                        .computeIfAbsent(fills.of(place).text(), text -> new ArrayList<>())
                        .add(place));
        return new LayerState(
                layer.id(),
                layer.widthPx(),
                layer.heightPx(),
                layer.cellCount(),
                planes + layer.ink(),
                planes + layer.cells(),
                layer.openings() == null ? null : planes + layer.openings(),
                layer.isSharp(),
                dams.reach(),
                dams.shut(),
                dams.open(),
                dams.inked(),
                planes + layer.smallInk(),
                planes + layer.smallCells(),
                StrokeState.of(layer.strokes(), planes),
                layer.isBlockedIn() ? shapes + layer.source() : null,
                InkState.of(layer.settings(), layer.isThrough()),
                placesByFill,
                shadows.all().stream().map(ShadowText::of).toList());
    }
}
