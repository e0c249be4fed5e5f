package stillpond.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.CellMap;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.ink.InkPlane;
import stillpond.core.refusal.Refusal;
import stillpond.core.render.Motif;

/** A page of 120 x 60 pixels in four columns of 30, parted by lines of ink 2 pixels wide. */
class MotifOfCellsTest {

    private static final UUID COAT = new UUID(0, 1);
    private static final UUID SCARF = new UUID(0, 2);

    private final CellMap map = columns();

    @Test
    void cellsBecomeOneRepeatWithAColourForEachSwatch() {
        int first = cell(10);
        int second = cell(45);
        int third = cell(75);
        Fills fills = Fills.of(Map.of(first, Fill.flat(COAT), third, Fill.flat(SCARF)));
        MotifOfCells made = MotifOfCells.of(map, List.of(first, second, third), fills);
        assertThat(made.box().widthPx()).isEqualTo(90);
        assertThat(made.heightPercent()).isEqualTo(67);
        Motif motif = MotifReader.read(made.svg());
        assertThat(motif.inks()).isEqualTo(3);
        LineArtReader reader = new LineArtReader(MotifReader.limits());
        int[] colours = MotifReader.coloursOf(reader.read(made.svg()));
        assertThat(IntStream.of(colours).mapToObj(made.swatchByColour()::get).toList())
                .containsExactlyInAnyOrder(COAT, SCARF, null);
        assertThat(reader.read(made.svg()).argbAt(512, 512) >>> 24)
                .as("what is empty lies between")
                .isZero();
        int left = reader.read(made.svg()).argbAt(100, 512) & 0xffffff;
        assertThat(made.swatchByColour()).containsEntry(left, COAT);
    }

    @Test
    void nothingFilledAndTooManySwatchesAreRefused() {
        List<Integer> all = map.cells().stream().map(each -> each.number()).toList();
        assertThatThrownBy(() -> MotifOfCells.of(map, all, Fills.none()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("wears a swatch");
        Map<Integer, Fill> four = new HashMap<>();
        all.forEach(each -> four.put(each, Fill.flat(new UUID(1, each))));
        assertThatThrownBy(() -> MotifOfCells.of(map, all, Fills.of(four)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("this wears 4");
    }

    private int cell(int x) {
        return map.cellAt(x, 30).number();
    }

    private static CellMap columns() {
        byte[] density = new byte[120 * 60];
        for (int i = 0; i < density.length; i++) {
            int x = i % 120;
            density[i] = (byte) (x % 30 >= 29 && x < 119 || x % 30 == 0 && x > 0 ? 255 : 0);
        }
        return CellMap.of(new InkPlane(120, 60, density, 128));
    }
}
