package stillpond.core.gap;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import org.junit.jupiter.api.Test;
import stillpond.core.ink.InkPlane;

class FiguresTest {

    private static final double SCALE = 1.5;

    /** A box parted in two with a disc in it, a ring beside it, and a line that runs off the page. */
    private final InkPlane ink = Drawn.of(
            new Rectangle2D.Double(40, 40, 150, 200),
            new Line2D.Double(40, 140, 190, 140),
            new Ellipse2D.Double(80, 60, 50, 50),
            new Ellipse2D.Double(230, 80, 90, 90),
            new Line2D.Double(0, 270, 600, 270));

    private final Openings openings = Openings.of(ink);
    private final Regions regions = Regions.of(openings, Dams.at(openings.defaultReach()));
    private final List<List<Integer>> figures = Figures.of(openings.cells(), regions);

    @Test
    void figuresAreToldApartAndTheLargestComesFirst() {
        assertThat(figures).hasSize(2);
        assertThat(figures.get(0)).contains(cell(60, 60), cell(105, 85), cell(100, 200));
        assertThat(figures.get(1)).contains(cell(275, 125));
    }

    @Test
    void whatReachesTheEdgeOfThePageIsOutside() {
        assertThat(figures.stream().flatMap(List::stream)).doesNotContain(cell(210, 30), cell(210, 285));
    }

    /** With its dam lifted a figure is open to the outside, and none of it. */
    @Test
    void anOpenFigureIsNone() {
        InkPlane open = Drawn.of(new Line2D.Double(60, 60, 60, 200), new Line2D.Double(60, 200, 200, 200));
        Openings none = Openings.of(open);
        assertThat(Figures.of(none.cells(), Regions.of(none, Dams.at(1)))).isEmpty();
    }

    private int cell(double x, double y) {
        return openings.cells().plane().numberAt((int) (x * SCALE), (int) (y * SCALE));
    }
}
