package stillpond.core.plate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Cmyk;
import stillpond.core.colour.PrintCondition;
import stillpond.core.colour.Srgb;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;

class PressRunTest {

    private static final int SIDE = 10;
    private static final Srgb WHITE = new Srgb(255, 255, 255);
    private static final Picture WHITE_PAGE = page(0xffffffff);

    private static Picture page(int argb) {
        int[] pixels = new int[SIDE * SIDE];
        Arrays.fill(pixels, argb);
        return new Picture(SIDE, SIDE, pixels);
    }

    private static PrintCondition condition() throws IOException {
        return PrintCondition.of(Files.readAllBytes(Path.of("/usr/share/color/icc/ghostscript/default_cmyk.icc")));
    }

    private static Plates plates(int... shares) {
        List<String> names = List.of("Cyan", "Magenta", "Yellow", "Black", "Reed");
        List<Plate> all = new java.util.ArrayList<>();
        for (int ink = 0; ink < shares.length; ink++) {
            byte[] coverage = new byte[SIDE * SIDE];
            Arrays.fill(coverage, (byte) Math.round(2.55 * shares[ink]));
            all.add(new Plate(names.get(ink), coverage));
        }
        return new Plates(SIDE, SIDE, all, Arrays.stream(shares).sum(), 0);
    }

    private static PressRun.Paper paper(int gain) throws IOException {
        return new PressRun.Paper(condition(), gain, WHITE);
    }

    @Test
    void aHalfCoveredPlaceIsCoveredMoreByAsMuchAsItsDotsGain() throws IOException {
        PressRun.Printed printed = PressRun.of(plates(0, 0, 0, 50), WHITE_PAGE, List.of(), paper(20), SIDE);
        Srgb wanted = condition().shown(new Cmyk(0, 0, 0, Math.round(255 * (0.502 + 0.2)) / 255.0));
        Srgb came = Srgb.ofPacked(printed.print().argb()[55] & 0xffffff);
        assertThat(Math.abs(came.green() - wanted.green())).isLessThanOrEqualTo(1);
        PressRun.Printed solid = PressRun.of(plates(0, 0, 0, 100), WHITE_PAGE, List.of(), paper(20), SIDE);
        assertThat(solid.print().argb()[0] & 0xff)
                .isEqualTo(condition().shown(new Cmyk(0, 0, 0, 1)).blue());
    }

    @Test
    void bareWhitePaperIsWhatTheScreenShowedAndInkWhereNoneBelongsIsNot() throws IOException {
        PressRun.Printed bare = PressRun.of(plates(0, 0, 0, 0), WHITE_PAGE, List.of(), paper(10), SIDE);
        assertThat(bare.meanDifference()).isLessThan(0.5);
        assertThat(bare.tellable()).isZero();
        PressRun.Printed inked = PressRun.of(plates(100, 0, 0, 0), WHITE_PAGE, List.of(), paper(10), SIDE);
        assertThat(inked.meanDifference()).isGreaterThan(PressRun.STARK);
        assertThat(inked.tellable()).isEqualTo(1);
        assertThat(inked.difference().argb()[3]).isEqualTo(0xff000000);
    }

    @Test
    void yellowPaperIsSeenInThePrintButIsNoDifferenceToAnEyeThatTakesItForWhite() throws IOException {
        PressRun.Paper yellow = new PressRun.Paper(condition(), 0, Srgb.ofHex("#f0e0b0"));
        PressRun.Printed printed = PressRun.of(plates(0, 0, 0, 0), WHITE_PAGE, List.of(), yellow, SIDE);
        assertThat(printed.print().argb()[0] & 0xff).isLessThan(0xb2);
        assertThat(printed.meanDifference()).isLessThan(0.5);
    }

    @Test
    void anInkOfItsOwnShowsItsOwnColour() throws IOException {
        Srgb reed = Srgb.ofHex("#809040");
        PressRun.Printed printed =
                PressRun.of(plates(0, 0, 0, 0, 100), page(reed.opaqueArgb()), List.of(reed), paper(0), SIDE);
        assertThat(printed.meanDifference()).isLessThan(1);
        assertThatThrownBy(() -> PressRun.of(plates(0, 0, 0, 0, 100), WHITE_PAGE, List.of(), paper(0), SIDE))
                .isInstanceOf(Refusal.class);
    }

    @Test
    void aPressSaysWhyItDoesNotPrint() {
        PressLimits limits = new PressLimits(300, 150, 1200, Set.of("Reed"));
        assertThat(limits.refusal(plates(100, 100, 0, 100), List.of(), 300)).isEmpty();
        assertThat(limits.refusal(plates(100, 100, 0, 100), List.of("Reed"), 300))
                .isEmpty();
        assertThat(limits.refusal(plates(100, 100, 20, 100), List.of(), 300).orElseThrow())
                .contains("320 %", "300 %");
        assertThat(limits.refusal(plates(0, 0, 0, 0), List.of("Reed", "Brass"), 300)
                        .orElseThrow())
                .contains("Brass")
                .doesNotContain("Reed");
        assertThat(limits.refusal(plates(0, 0, 0, 0), List.of(), 72).orElseThrow())
                .contains("72 pixels");
        assertThat(limits.refusal(plates(0, 0, 0, 0), List.of(), 2400).orElseThrow())
                .contains("1200");
    }

    @Test
    void whereThereIsTooMuchInkIsSeenHoweverThinItIs() {
        Plates plates = plates(100, 100, 50, 0);
        plates.plates().get(3).coverage()[5 * SIDE + 7] = (byte) 255;
        Picture heavy = HeavyInk.of(plates, 300, SIDE / 2);
        assertThat(heavy.widthPx()).isEqualTo(SIDE / 2);
        assertThat(Arrays.stream(heavy.argb()).filter(pixel -> pixel != 0)).hasSize(1);
        assertThat(heavy.argb()[2 * SIDE / 2 + 3]).isEqualTo(0xff000000);
    }
}
