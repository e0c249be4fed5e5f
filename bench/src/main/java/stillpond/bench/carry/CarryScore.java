package stillpond.bench.carry;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import stillpond.core.carry.Carry;
import stillpond.core.carry.CarryWeights;
import stillpond.core.carry.Drawing;
import stillpond.core.cell.Cell;

/** How well carry does on cases, beside taking the swatch at the same relative place. */
record CarryScore(
        int regions,
        double area,
        int right,
        double rightArea,
        int sure,
        int sureRight,
        double sureArea,
        double sureRightArea,
        int placed,
        double placedArea,
        int laidOnNothing,
        int nothing) {

    private static final double WRONG = 10;

    static final CarryScore NONE = new CarryScore(0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0);

    static CarryScore of(CarryCase drawn) {
        return of(Prepared.of(drawn), CarryWeights.shipped());
    }

    /**
     * A case as far as no weights matter.
     *
     * @param labels by region of the first drawing
     * @param truth by region of the second, as {@code paper}
     * @param placed what each would get from the same relative place
     */
    record Prepared(Drawing from, int[] labels, Drawing to, int[] truth, int[] paper, int[] placed) {

        static Prepared of(CarryCase drawn) {
            int[] labels = drawn.from().byRegion();
            return new Prepared(
                    Drawing.of(drawn.from().openings().cells(), drawn.from().regions()),
                    labels,
                    Drawing.of(drawn.to().openings().cells(), drawn.to().regions()),
                    drawn.to().byRegion(),
                    drawn.to().paper(),
                    samePlace(drawn, labels));
        }
    }

    static CarryScore of(Prepared drawn, CarryWeights weights) {
        int[] truth = drawn.truth();
        int[] proposed = new int[truth.length];
        boolean[] isSure = new boolean[truth.length];
        List<Carry.Source> sources = List.of(new Carry.Source(drawn.from(), drawn.labels()));
        for (Carry.Proposal proposal : Carry.from(sources, drawn.to(), weights)) {
            proposed[proposal.region()] = proposal.choices().get(0).label();
            isSure[proposal.region()] = proposal.isSure();
        }
        CarryScore score = NONE;
        for (int region = 0; region < truth.length; region++) {
            score = score.with(
                    truth[region], proposed[region], isSure[region], drawn.placed()[region], drawn.paper()[region]);
        }
        return score;
    }

    private CarryScore with(int truth, int proposed, boolean isCalledSure, int placed, int paper) {
        boolean isSure = proposed > 0 && isCalledSure;
        if (truth < 0) {
            return new CarryScore(
                    regions,
                    area,
                    right,
                    rightArea,
                    sure,
                    sureRight,
                    sureArea,
                    sureRightArea,
                    placed(),
                    placedArea,
                    laidOnNothing + (isSure ? 1 : 0),
                    nothing + 1);
        }
        boolean isRight = truth == proposed;
        boolean isPlaced = truth == placed;
        return new CarryScore(
                regions + 1,
                area + paper,
                right + (isRight ? 1 : 0),
                rightArea + (isRight ? paper : 0),
                sure + (isSure ? 1 : 0),
                sureRight + (isSure && isRight ? 1 : 0),
                sureArea + (isSure ? paper : 0),
                sureRightArea + (isSure && isRight ? paper : 0),
                this.placed + (isPlaced ? 1 : 0),
                placedArea + (isPlaced ? paper : 0),
                laidOnNothing,
                nothing);
    }

    CarryScore plus(CarryScore other) {
        return new CarryScore(
                regions + other.regions,
                area + other.area,
                right + other.right,
                rightArea + other.rightArea,
                sure + other.sure,
                sureRight + other.sureRight,
                sureArea + other.sureArea,
                sureRightArea + other.sureRightArea,
                placed + other.placed,
                placedArea + other.placedArea,
                laidOnNothing + other.laidOnNothing,
                nothing + other.nothing);
    }

    /** What weights are found by: what is right, of regions and of area, and half of what is sure; wrong ones that are called sure weigh far more. */
    double merit() {
        double all = Math.max(1, regions);
        return right / all
                + rightArea / Math.max(1, area)
                + sure / all / 2
                - WRONG * (sure - sureRight) / all
                - WRONG * laidOnNothing / Math.max(1, nothing);
    }

    /** For each region of the second drawing the label at the same place of the first, both taken relative to the box of all that has a label. */
    private static int[] samePlace(CarryCase drawn, int[] labels) {
        int[] from = drawn.from().box();
        int[] to = drawn.to().box();
        int width = drawn.from().ink().widthPx();
        int[] placed = new int[drawn.to().regions().count()];
        List<Cell> deepest = new ArrayList<>();
        for (int i = 0; i < placed.length; i++) {
            deepest.add(null);
        }
        for (Cell cell : drawn.to().openings().cells().cells()) {
            int region = drawn.to().regions().of(cell.number());
            if (deepest.get(region) == null || deepest.get(region).depthPx() < cell.depthPx()) {
                deepest.set(region, cell);
            }
        }
        for (int region = 0; region < placed.length; region++) {
            Cell cell = deepest.get(region);
            double x = (cell.deepestX() + 0.5 - to[0]) / (to[2] - to[0]);
            double y = (cell.deepestY() + 0.5 - to[1]) / (to[3] - to[1]);
            int fromX = (int) Math.min(from[2] - 1, Math.max(from[0], from[0] + x * (from[2] - from[0])));
            int fromY = (int) Math.min(from[3] - 1, Math.max(from[1], from[1] + y * (from[3] - from[1])));
            int there = drawn.from()
                    .regions()
                    .of(drawn.from().openings().cells().plane().numberAt(fromX, fromY));
            placed[region] = labels[there];
        }
        return placed;
    }

    String line(String what) {
        return String.format(
                Locale.ROOT,
                "%-26s %5d regions: right %.3f of regions, %.3f of area; sure %.3f of regions, of these right %.3f (%.3f of area); same place %.3f, %.3f; sure where nothing is known %d of %d",
                what,
                regions,
                right / (double) regions,
                rightArea / area,
                sure / (double) regions,
                sureRight / (double) Math.max(1, sure),
                sureRightArea / Math.max(1, sureArea),
                placed / (double) regions,
                placedArea / area,
                laidOnNothing,
                nothing);
    }
}
