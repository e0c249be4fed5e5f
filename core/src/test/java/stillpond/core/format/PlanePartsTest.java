package stillpond.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.gap.Openings;
import stillpond.core.ink.InkPlane;
import stillpond.core.refusal.Refusal;
import stillpond.core.stroke.StrokeMap;

class PlanePartsTest {

    private static final int SIDE = 60;
    private static final InkPlane INK = boxes();

    /** Two boxes side by side, the line between them with a gap, in soft lines. */
    private static InkPlane boxes() {
        byte[] density = new byte[SIDE * SIDE];
        Random random = new Random(4);
        for (int i = 0; i < density.length; i++) {
            int x = i % SIDE;
            int y = i / SIDE;
            boolean isFrame = x < 4 || y < 4 || x >= SIDE - 4 || y >= SIDE - 4;
            boolean isMiddle = x >= 28 && x < 32 && (y < 27 || y > 33);
            density[i] = (byte) (isFrame || isMiddle ? 200 + random.nextInt(55) : random.nextInt(20));
        }
        return new InkPlane(SIDE, SIDE, density, 128);
    }

    @Test
    void everyPlaneIsTheSameToTheByteWhenItIsPutTogetherAgain() {
        Openings openings = Openings.of(INK);
        same(PlaneParts.Kind.INK, PlaneCodec.encode(INK));
        same(PlaneParts.Kind.NUMBERED, PlaneCodec.encode(openings.cells()));
        same(PlaneParts.Kind.NUMBERED, PlaneCodec.encode(openings.cells().plane()));
        same(PlaneParts.Kind.NUMBERED, PlaneCodec.encode(StrokeMap.of(INK)));
        same(PlaneParts.Kind.LIST, OpeningsCodec.encode(openings));
    }

    private static void same(PlaneParts.Kind kind, byte[] stored) {
        assertThat(PlaneParts.of(kind, stored).stored(kind, pixels -> {})).isEqualTo(stored);
    }

    @Test
    void picturesShowWhatTheDocumentationSays() throws IOException {
        PlaneParts ink = PlaneParts.of(PlaneParts.Kind.INK, PlaneCodec.encode(INK));
        assertThat(ink.numbers()).containsExactly(128);
        BufferedImage grey = ImageIO.read(new ByteArrayInputStream(ink.png()));
        assertThat(grey.getRaster().getSample(1, 1, 0)).isEqualTo(INK.density()[SIDE + 1] & 0xff);

        int[] numbers = new int[6];
        numbers[4] = 70_000;
        CellPlane plane = new CellPlane(3, 2, numbers);
        PlaneParts cells = PlaneParts.of(PlaneParts.Kind.NUMBERED, PlaneCodec.encode(plane));
        BufferedImage coloured = ImageIO.read(new ByteArrayInputStream(cells.png()));
        assertThat(coloured.getRGB(1, 1)).isEqualTo(0xff000000 | 70_001);
        assertThat(coloured.getRGB(0, 0)).isEqualTo(0xff000001);
    }

    @Test
    void whatIsNoSuchPictureIsRefusedBeforeItIsRead() {
        byte[] cells = PlaneParts.of(PlaneParts.Kind.NUMBERED, PlaneCodec.encode(CellMap.of(INK)))
                .png();
        assertThatThrownBy(
                        () -> new PlaneParts(new byte[] {1, 2}, new int[0]).stored(PlaneParts.Kind.NUMBERED, any -> {}))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new PlaneParts(cells, new int[] {128}).stored(PlaneParts.Kind.INK, any -> {}))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("grey");
        assertThatThrownBy(() -> new PlaneParts(cells, new int[0]).stored(PlaneParts.Kind.NUMBERED, pixels -> {
                    assertThat(pixels).isEqualTo(SIDE * SIDE);
                    throw new Refusal("too many");
                }))
                .hasMessage("too many");
    }
}
