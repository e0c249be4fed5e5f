package stillpond.core.plate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.function.IntBinaryOperator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Cmyk;
import stillpond.core.colour.PrintCondition;
import stillpond.core.colour.Srgb;
import stillpond.core.format.PlateFiles;
import stillpond.core.format.Resolution;
import stillpond.core.format.Unzipped;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;

/** Two fields side by side, a light and a dark one, with a black line over both and paper below. */
class SeparationTest {

    private static final Path PROFILE = Path.of("/usr/share/color/icc/ghostscript/default_cmyk.icc");
    private static final int WIDTH = 60;
    private static final int HEIGHT = 40;
    private static final int LIGHT = 0xfff0d070;
    private static final int DARK = 0xff305080;
    private static final int BLACK = 0xff000000;
    private static final Picture FLATS = picture((x, y) -> y >= 30 ? 0 : x < 30 ? LIGHT : DARK);
    private static final Picture LINE = picture((x, y) -> y == 15 ? BLACK : 0);
    private static final Separation.SpotAreas NO_SPOTS = Separation.SpotAreas.NONE;
    private static final Inking PLAIN = new Inking(true, 0, 300);

    @Test
    void eachPlatePrintsTheShareThatTheConditionTellsAndNothingOnPaper() throws IOException {
        Plates plates = separate(NO_SPOTS, PLAIN);
        Cmyk inks = condition().inks(Srgb.ofPacked(LIGHT & 0xffffff));
        assertThat(plates.plates().stream().map(Plate::ink)).containsExactly("Cyan", "Magenta", "Yellow", "Black");
        assertThat(at(plates, "Yellow", 5, 5)).isEqualTo((int) Math.round(255 * inks.yellow()));
        assertThat(at(plates, "Cyan", 5, 5)).isEqualTo((int) Math.round(255 * inks.cyan()));
        plates.plates()
                .forEach(plate -> assertThat(plate.coverage()[35 * WIDTH + 5])
                        .as(plate.ink())
                        .isZero());
    }

    @Test
    void blackLineArtIsPrintedFromBlackAloneOverOrInThePlaceOfWhatLiesThere() throws IOException {
        Plates over = separate(NO_SPOTS, PLAIN);
        assertThat(at(over, "Black", 5, 15)).isEqualTo(255);
        assertThat(at(over, "Yellow", 5, 15))
                .isEqualTo(at(over, "Yellow", 5, 5))
                .isPositive();
        Plates inPlace = separate(NO_SPOTS, new Inking(false, 0, 300));
        assertThat(at(inPlace, "Black", 5, 15)).isEqualTo(255);
        assertThat(at(inPlace, "Yellow", 5, 15)).isZero();
    }

    /** The left field printed from an ink of its own. */
    private static Separation.SpotAreas tideGreen(Picture plain, int solid) {
        return new Separation.SpotAreas(
                picture((x, y) -> y < 30 && x < 30 ? 1 : 0).argb(),
                plain,
                List.of(new Separation.Spot("Tide green", Srgb.ofPacked(solid & 0xffffff))));
    }

    @Test
    void aSpotInkHasAPlateOfItsOwnInThePlaceOfProcessInks() throws IOException {
        Plates plates = separate(tideGreen(FLATS, LIGHT), PLAIN);
        assertThat(at(plates, "Tide green", 5, 5)).isEqualTo(255);
        assertThat(at(plates, "Yellow", 5, 5)).isZero();
        assertThat(at(plates, "Black", 5, 5)).isZero();
        assertThat(at(plates, "Tide green", 50, 5)).isZero();
        assertThat(at(plates, "Cyan", 50, 5)).isPositive();
    }

    @Test
    void aTintOfASpotInkCoversAsMuchAsSwallowsItsLight() throws IOException {
        double solid = Srgb.ofPacked(DARK & 0xffffff).relativeLuminance();
        double tone = Srgb.ofPacked(LIGHT & 0xffffff).relativeLuminance();
        Plates plates = separate(tideGreen(FLATS, DARK), PLAIN);
        assertThat(at(plates, "Tide green", 5, 5)).isEqualTo((int) Math.round(255 * (1 - tone) / (1 - solid)));
    }

    @Test
    void aShadowOnASpotInkIsPrintedFromBlackOverIt() throws IOException {
        Picture brighter = picture((x, y) -> y >= 30 ? 0 : x < 30 ? 0xffffe890 : DARK);
        double shadowed = Srgb.ofPacked(LIGHT & 0xffffff).relativeLuminance();
        double plain = Srgb.ofHex("#ffe890").relativeLuminance();
        Plates plates = separate(tideGreen(brighter, 0xffffe890), PLAIN);
        assertThat(at(plates, "Tide green", 5, 5)).isEqualTo(255);
        assertThat(at(plates, "Black", 5, 5)).isEqualTo((int) Math.round(255 * (1 - shadowed / plain)));
        assertThat(at(plates, "Yellow", 5, 5)).isZero();
    }

    @Test
    void theLighterIsSpreadUnderTheDarkerByTheTrapAndNotOntoPaper() throws IOException {
        int plain = at(separate(NO_SPOTS, PLAIN), "Yellow", 31, 5);
        Plates trapped = separate(NO_SPOTS, new Inking(true, 3, 300));
        int light = at(trapped, "Yellow", 5, 5);
        assertThat(light).isGreaterThan(plain);
        for (int x = 30; x < 33; x++) {
            assertThat(at(trapped, "Yellow", x, 5)).as("column %d", x).isEqualTo(light);
        }
        assertThat(at(trapped, "Yellow", 33, 5)).isEqualTo(plain);
        assertThat(at(trapped, "Cyan", 29, 5)).as("the dark one is not spread").isEqualTo(at(trapped, "Cyan", 5, 5));
        assertThat(at(trapped, "Yellow", 5, 30)).as("paper").isZero();
    }

    @Test
    void inkOverTheLimitIsCounted() throws IOException {
        Plates plates = separate(NO_SPOTS, new Inking(true, 0, 100));
        Cmyk dark = condition().inks(Srgb.ofPacked(DARK & 0xffffff));
        double most = 100 * (dark.cyan() + dark.magenta() + dark.yellow() + 1);
        assertThat((double) plates.mostInkPercent()).isBetween(most - 2, most + 2);
        assertThat(plates.overLimit()).isEqualTo(30L * 30 + 30);
        assertThat(separate(NO_SPOTS, new Inking(true, 0, 400)).overLimit()).isZero();
    }

    @Test
    void whatNoPressDoesIsRefused() {
        assertThatThrownBy(() -> new Inking(true, 21, 300)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Inking(true, 0, 50)).isInstanceOf(Refusal.class);
    }

    @Test
    void filmsAreBlackWhereInkIsAndHaveMarksInTheSamePlaces() throws IOException {
        Resolution resolution = new Resolution(11811, 11811);
        int margin = PlateFiles.marginPx(resolution);
        for (PlateFiles.Form form : PlateFiles.Form.values()) {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            PlateFiles.write("The crossing", separate(NO_SPOTS, PLAIN), resolution, form, out);
            Map<String, byte[]> files = Unzipped.of(out.toByteArray());
            String ending = form == PlateFiles.Form.TIFF ? ".tif" : ".png";
            assertThat(files.keySet()).contains("The crossing - Black" + ending, "index.json");
            BufferedImage black = read(files.get("The crossing - Black" + ending), form);
            BufferedImage yellow = read(files.get("The crossing - Yellow" + ending), form);
            assertThat(black.getWidth()).isEqualTo(WIDTH + 2 * margin);
            assertThat(black.getRaster().getSample(margin + 5, margin + 15, 0)).isZero();
            assertThat(black.getRaster().getSample(margin + 5, margin + 35, 0)).isEqualTo(255);
            int marks = 0;
            for (int x = 0; x < black.getWidth(); x++) {
                int sample = black.getRaster().getSample(x, margin / 2, 0);
                assertThat(yellow.getRaster().getSample(x, margin / 2, 0)).isEqualTo(sample);
                marks += sample == 0 ? 1 : 0;
            }
            assertThat(marks).as("the cross above the page").isPositive();
            assertThat(Resolution.of(files.get("The crossing - Black" + ending)))
                    .hasValueSatisfying(found -> assertThat(found.xPerMetre()).isBetween(11800, 11822));
        }
    }

    @Test
    void aResolutionThatCannotBeMakesNoFilmThatCannotBe() throws IOException {
        Resolution absurd = new Resolution(Integer.MAX_VALUE, Integer.MAX_VALUE);
        assertThat(PlateFiles.marginPx(absurd)).isLessThan(1000);
        assertThat(absurd.times(16).xPerMetre()).isEqualTo(Integer.MAX_VALUE);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PlateFiles.write("Page", separate(NO_SPOTS, PLAIN), absurd, PlateFiles.Form.TIFF, out);
        assertThat(Unzipped.of(out.toByteArray())).containsKey("Page - Black.tif");
    }

    private static BufferedImage read(byte[] file, PlateFiles.Form form) throws IOException {
        if (form == PlateFiles.Form.PNG) {
            return ImageIO.read(new ByteArrayInputStream(file));
        }
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> all = ImageIO.getImageReaders(in);
            ImageReader reader = all.next();
            while (!reader.getClass().getName().contains("twelvemonkeys")) {
                reader = all.next();
            }
            reader.setInput(in);
            return reader.read(0);
        }
    }

    private static Plates separate(Separation.SpotAreas spots, Inking inking) throws IOException {
        return Separation.of(new Separation.Page(FLATS, spots, LINE), condition(), inking);
    }

    private static PrintCondition condition() throws IOException {
        return PrintCondition.of(Files.readAllBytes(PROFILE));
    }

    private static int at(Plates plates, String ink, int x, int y) {
        return plates.plates().stream()
                        .filter(plate -> plate.ink().equals(ink))
                        .findFirst()
                        .orElseThrow()
                        .coverage()[y * WIDTH + x]
                & 0xff;
    }

    private static Picture picture(IntBinaryOperator argb) {
        int[] pixels = new int[WIDTH * HEIGHT];
        for (int i = 0; i < pixels.length; i++) {
            pixels[i] = argb.applyAsInt(i % WIDTH, i / WIDTH);
        }
        return new Picture(WIDTH, HEIGHT, pixels);
    }
}
