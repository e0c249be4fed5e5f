package stillpond.core.gap;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.Arc2D;
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
    private final List<Figure> figures = Figures.of(openings.cells().graph(), regions);

    @Test
    void figuresAreToldApartAndTheLargestComesFirst() {
        assertThat(figures).hasSize(2);
        assertThat(figures.get(0).cells()).contains(cell(60, 60), cell(105, 85), cell(100, 200));
        assertThat(figures.get(1).cells()).contains(cell(275, 125));
    }

    @Test
    void whatReachesTheEdgeOfThePageIsOutside() {
        assertThat(figures.stream().flatMap(figure -> figure.cells().stream()))
                .doesNotContain(cell(210, 30), cell(210, 285));
    }

    /** A cup with a handle, and a pupil in an eye on the cup. */
    @Test
    void whatAHandleGoesAroundMayBeAHoleAndAnEyeIsNone() {
        Openings cup = Openings.of(Drawn.of(
                new Rectangle2D.Double(60, 60, 150, 180),
                new Ellipse2D.Double(100, 110, 30, 30),
                new Arc2D.Double(150, 90, 120, 120, -90, 180, Arc2D.OPEN),
                new Arc2D.Double(168, 108, 84, 84, -90, 180, Arc2D.OPEN)));
        List<Figure> found = Figures.of(cup.cells().graph(), Regions.of(cup, Dams.at(cup.defaultReach())));
        assertThat(found).hasSize(1);
        int inTheHandle = cup.cells().plane().numberAt((int) (225 * SCALE), (int) (150 * SCALE));
        assertThat(found.get(0).holes()).hasSize(1);
        assertThat(found.get(0).holes().get(0)).contains(inTheHandle);
    }

    /** With its dam lifted a figure is open to the outside, and none of it. */
    @Test
    void anOpenFigureIsNone() {
        InkPlane open = Drawn.of(new Line2D.Double(60, 60, 60, 200), new Line2D.Double(60, 200, 200, 200));
        Openings none = Openings.of(open);
        assertThat(Figures.of(none.cells().graph(), Regions.of(none, Dams.at(1))))
                .isEmpty();
    }

    private int cell(double x, double y) {
        return openings.cells().plane().numberAt((int) (x * SCALE), (int) (y * SCALE));
    }
}
