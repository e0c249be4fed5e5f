package stillpond.app.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import stillpond.core.cell.Box;
import stillpond.core.check.Finding;
import stillpond.core.fill.Fill;

/**
 * The drawer of the check.
 *
 * @param rows on the layer that is worked on, the first of them
 * @param elsewhere what is on other layers
 * @param pockets fills all pockets that likely wear something, if there are any
 * @param open how many there are to check, on all layers
 * @param isClean whether none of them is on this layer
 * @param accepted how many of this layer are, {@code showsAccepted} whether they are shown
 */
record CheckList(
        List<Row> rows,
        List<Elsewhere> elsewhere,
        Optional<CheckAct> pockets,
        int open,
        boolean isClean,
        int accepted,
        boolean showsAccepted) {

    private static final int MOST_ROWS = 60;

    /**
     * @param key by which it can be accepted
     * @param places the cells and strokes that it is about
     * @param at around the stroke that is shown, where it is about no cells
     */
    record Row(
            String key,
            boolean isAccepted,
            FindingWords.Said said,
            List<Integer> places,
            @Nullable Box at) {}

    /** @param layer its id for an address, {@code cell} the first that is concerned, or below 0 */
    record Elsewhere(UUID layer, String name, int cell, int count) {}

    static CheckList of(List<SheetFindings.Found> everywhere, UUID layer, FindingWords words, boolean showsAccepted) {
        List<SheetFindings.Found> here = new ArrayList<>();
        Map<UUID, List<SheetFindings.Found>> beside = new LinkedHashMap<>();
        int open = 0;
        for (SheetFindings.Found found : everywhere) {
            open += found.isToCheck() ? 1 : 0;
            if (found.layer().id().equals(layer)) {
                here.add(found);
            } else if (!found.isAccepted()) {
                beside.computeIfAbsent(found.layer().id(), any -> new ArrayList<>())
                        .add(found);
            }
        }
        int accepted =
                (int) here.stream().filter(SheetFindings.Found::isAccepted).count();
        return new CheckList(
                here.stream()
                        .filter(found -> showsAccepted || !found.isAccepted())
                        .limit(MOST_ROWS)
                        .map(found -> row(found, words))
                        .toList(),
                beside.values().stream().map(CheckList::elsewhere).toList(),
                pockets(here),
                open,
                here.size() == accepted,
                accepted,
                showsAccepted);
    }

    private static Row row(SheetFindings.Found found, FindingWords words) {
        Finding finding = found.finding();
        Box at = finding.cells().isEmpty() ? finding.strokes().get(0).box() : null;
        return new Row(finding.key(), found.isAccepted(), words.of(finding), FindingWords.places(finding), at);
    }

    private static Elsewhere elsewhere(List<SheetFindings.Found> found) {
        SheetFindings.Found first = found.get(0);
        int cell = first.finding().cells().stream().findFirst().orElse(-1);
        return new Elsewhere(
                first.layer().standing().layer(), first.layer().standing().name(), cell, found.size());
    }

    private static Optional<CheckAct> pockets(List<SheetFindings.Found> here) {
        List<Finding.Unfilled> pockets = here.stream()
                .filter(found -> !found.isAccepted())
                .map(SheetFindings.Found::finding)
                .filter(Finding.Unfilled.class::isInstance)
                .map(Finding.Unfilled.class::cast)
                .filter(unfilled -> unfilled.size() == Finding.Size.POCKET)
                .filter(unfilled -> unfilled.likely().isPresent())
                .toList();
        Function<Finding.Unfilled, String> fill =
                pocket -> Fill.flat(pocket.likely().orElseThrow()).text();
        Map<String, List<Integer>> lays = pockets.stream()
                .collect(Collectors.groupingBy(
                        fill,
                        LinkedHashMap::new,
                        Collectors.flatMapping(pocket -> pocket.cells().stream(), Collectors.toList())));
        String label = pockets.size() == 1 ? "Fill the pocket" : "Fill all " + pockets.size() + " pockets";
        return pockets.isEmpty() ? Optional.empty() : Optional.of(CheckAct.lay(label, lays));
    }
}
