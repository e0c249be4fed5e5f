package stillpond.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.Random;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.InkPlane;

class PlaneCodecTest {

    private final InkPlane ink = streaks();

    @Test
    void inkComesBackAsItWas() {
        InkPlane back = PlaneCodec.decodeInk(PlaneCodec.encode(ink));
        assertThat(back.widthPx()).isEqualTo(ink.widthPx());
        assertThat(back.threshold()).isEqualTo(ink.threshold());
        assertThat(back.density()).isEqualTo(ink.density());
    }

    @Test
    void cellsComeBackWithMeasuresAndBorders() {
        CellMap map = CellMap.of(ink);
        byte[] stored = PlaneCodec.encode(map);
        CellMap back = PlaneCodec.decodeMap(stored);
        assertThat(back.plane().numbers()).isEqualTo(map.plane().numbers());
        assertThat(back.cells()).isEqualTo(map.cells());
        assertThat(back.borders()).isEqualTo(map.borders());
        assertThat(PlaneCodec.decodeCells(stored).numbers())
                .isEqualTo(map.plane().numbers());
    }

    @Test
    void inkBeginsWithItsMeasures() throws IOException {
        byte[] sent = new GZIPInputStream(new ByteArrayInputStream(PlaneCodec.encode(ink))).readAllBytes();
        PlaneCodec.InkHeader header = PlaneCodec.readInkHeader(Arrays.copyOf(sent, 16));
        assertThat(header.widthPx()).isEqualTo(211);
        assertThat(header.heightPx()).isEqualTo(97);
        assertThat(header.threshold()).isEqualTo(130);
        assertThat(Arrays.copyOfRange(sent, header.length(), sent.length)).isEqualTo(ink.density());
    }

    @Test
    void theSamePlaneGivesTheSameBytes() {
        assertThat(PlaneCodec.encode(CellMap.of(ink))).isEqualTo(PlaneCodec.encode(CellMap.of(streaks())));
    }

    private static InkPlane streaks() {
        Random random = new Random(11);
        byte[] density = new byte[211 * 97];
        for (int i = 0; i < density.length; i++) {
            boolean streak = i % 211 % 17 == 0 || i / 211 % 13 == 0;
            density[i] = (byte) (streak ? 200 + random.nextInt(56) : random.nextInt(20));
        }
        return new InkPlane(211, 97, density, 130);
    }

    @Test
    void theCellAtAPixelIsFoundWithoutThePlane() {
        CellPlane plane = new CellPlane(3, 2, new int[] {4, 4, 1, 1, 0, 7});
        byte[] stored = PlaneCodec.encode(plane);
        for (int y = 0; y < 2; y++) {
            for (int x = 0; x < 3; x++) {
                assertThat(PlaneCodec.cellAt(stored, x, y)).isEqualTo(plane.numberAt(x, y));
            }
        }
        assertThatThrownBy(() -> PlaneCodec.cellAt(stored, 3, 0)).isInstanceOf(IndexOutOfBoundsException.class);
    }
}
