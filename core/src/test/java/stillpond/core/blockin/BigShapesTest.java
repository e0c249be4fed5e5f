package stillpond.core.blockin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Oklab;
import stillpond.core.colour.Srgb;
import stillpond.core.gap.Point;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;

class BigShapesTest {

    private static final UUID PICTURE = new UUID(0, 1);
    private static final int WIDTH = 480;
    private static final int HEIGHT = 360;
    private static final Srgb SKY = Srgb.ofHex("#9cc4dd");
    private static final Srgb HILL = Srgb.ofHex("#5b7a4a");
    private static final Srgb SUN = Srgb.ofHex("#e9b44c");
    private static final Srgb SAND = Srgb.ofHex("#c9ae86");

    /** A sky with a sun, a hill and sand, as noisy as a photograph, with pebbles on the sand. */
    private static Picture landscape() {
        Random random = new Random(7);
        int[] argb = new int[WIDTH * HEIGHT];
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                Srgb colour = SKY;
                if (Math.hypot(x - 360, y - 80) < 45) {
                    colour = SUN;
                }
                if (y > 200 - 60 * Math.sin(x * Math.PI / WIDTH)) {
                    colour = HILL;
                }
                if (y > 290) {
                    colour = Math.hypot(x % 60 - 30, y - 325) < 9 ? HILL : SAND;
                }
                argb[y * WIDTH + x] = noisy(colour, random);
            }
        }
        return new Picture(WIDTH, HEIGHT, argb);
    }

    private static int noisy(Srgb colour, Random random) {
        int noise = (int) (8 * random.nextGaussian());
        return new Srgb(clamp(colour.red() + noise), clamp(colour.green() + noise), clamp(colour.blue() + noise))
                        .packed()
                | 0xff000000;
    }

    private static int clamp(int value) {
        return Math.max(0, Math.min(255, value));
    }

    @Test
    void aLandscapeIsFourShapesInItsColours() {
        List<BigShapes.Suggested> shapes = BigShapes.of(landscape(), 4, 0.3);

        assertThat(shapes).hasSize(4);
        for (Srgb colour : List.of(SKY, HILL, SUN, SAND)) {
            assertThat(shapes).anyMatch(shape -> away(shape.colour(), colour) < 0.02);
        }
        BigShapes.Suggested sun = shapes.get(3);
        assertThat(sun.share()).isCloseTo(Math.PI * 45 * 45 / (WIDTH * HEIGHT), within(0.006));
        assertThat(sun.loops()).hasSize(1);
        assertThat(sun.loops().get(0).knots().size()).isLessThan(16);
    }

    private static double away(Srgb one, Srgb other) {
        return Oklab.of(one).distanceTo(Oklab.of(other));
    }

    @Test
    void smallThingsAreLeftOutUnlessDetailIsAskedFor() {
        assertThat(BigShapes.of(landscape(), 20, 0).size())
                .isLessThan(BigShapes.of(landscape(), 20, 1).size());
        assertThat(BigShapes.of(landscape(), 20, 0)).allMatch(shape -> shape.share() > 0.015);
    }

    @Test
    void neighboursLeaveNoPixelBetweenThem() {
        List<BigShapes.Suggested> shapes = BigShapes.of(landscape(), 6, 0.5);
        List<Shape> all = new ArrayList<>();
        shapes.forEach(each -> all.add(new Shape(all.size() + 1, each.loops(), Edge.NONE)));

        int[] areas = Pages.areas(new Shapes(all, List.of()), WIDTH, HEIGHT);
        assertThat(areas[0]).isZero();
    }

    @Test
    void onASheetTheyLieWhereThePictureLies() {
        Reference turned = new Reference(PICTURE, 1000, 500, 2, 90, 50, Reference.Look.COLOURS, 4, false);
        List<BigShapes.Suggested> shapes = BigShapes.onSheet(BigShapes.of(landscape(), 4, 0.3), turned, WIDTH, HEIGHT);

        Point sun = new Shape(1, shapes.get(3).loops(), Edge.NONE).middle();
        assertThat(sun.x()).isCloseTo(1000 + 2 * (180 - 80), within(8.0));
        assertThat(sun.y()).isCloseTo(500 + 2 * (360 - 240), within(8.0));
    }

    @Test
    void aPictureOfOnePixelIsRefusedInWords() {
        assertThatThrownBy(() -> BigShapes.of(new Picture(1, 1, new int[1]), 5, 0))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("only 1 x 1 pixels");
        assertThatThrownBy(() -> BigShapes.of(landscape(), 1000, 0)).isInstanceOf(Refusal.class);
    }

    @Test
    void aPictureOfOneColourIsOneShapeOrTwo() {
        int[] argb = new int[100 * 80];
        java.util.Arrays.fill(argb, 0xff336699);

        assertThat(BigShapes.of(new Picture(100, 80, argb), 8, 0.5))
                .hasSizeLessThan(3)
                .isNotEmpty();
    }

    @Test
    void placesOfAPictureGoToTheSheetAndBack() {
        Reference reference = new Reference(PICTURE, 300, 200, 1.7, 33, 60, Reference.Look.GREYS, 4, false);
        Point there = reference.onSheet(new Point(12, 90), 100, 120);
        Point back = reference.onPicture(there, 100, 120);

        assertThat(back.x()).isCloseTo(12, within(1e-9));
        assertThat(back.y()).isCloseTo(90, within(1e-9));
        assertThat(Reference.fitting(PICTURE, 4000, 1000, 2000, 2000).scale()).isEqualTo(0.5);
        assertThatThrownBy(() -> new Reference(PICTURE, 0, 0, 0, 0, 60, Reference.Look.GREYS, 4, false))
                .isInstanceOf(Refusal.class);
    }

    @Test
    void partsFollowEachOtherAroundAndAlong() {
        List<PartOrder.Part> compass =
                List.of(part(0, 100, 10), part(100, 0, 10), part(0, -100, 10), part(-100, 0, 10));
        assertThat(PartOrder.around(compass, new Point(0, 0))).containsExactly(2, 1, 0, 3);

        assertThat(PartOrder.along(List.of(part(50, 0, 5), part(10, 2, 5), part(90, -2, 5))))
                .containsExactly(1, 0, 2);
        assertThat(PartOrder.along(List.of(part(0, 0, 90), part(1, 0, 30), part(0, 1, 60))))
                .containsExactly(1, 2, 0);
    }

    private static PartOrder.Part part(double x, double y, int size) {
        return new PartOrder.Part(new Point(x, y), new stillpond.core.cell.Box(0, 0, size, size));
    }
}
