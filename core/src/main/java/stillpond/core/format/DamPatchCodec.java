package stillpond.core.format;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.IntStream;
import stillpond.core.cell.Border;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.cell.CellSplit;
import stillpond.core.cell.PlanePatch;
import stillpond.core.gap.DamPatch;
import stillpond.core.gap.HandDam;
import stillpond.core.gap.Opening;

/** What a line drawn by hand has changed of cells and openings, for a desk that has them as they were before; see {@code docs/formats.md}. Not stored, not zipped. */
public final class DamPatchCodec {

    private static final int BUFFER_BYTES = 1 << 14;

    private DamPatchCodec() {}

    /** @param before the openings before the line was drawn */
    public static byte[] encode(List<Opening> before, HandDam.Parted parted) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        NumberWriter out = new NumberWriter(bytes, BUFFER_BYTES);
        CellMap cells = parted.openings().cells();
        try {
            out.number(parted.former().size());
            for (PlanePatch former : parted.former()) {
                writeBox(cells.plane(), former.box(), out);
            }
            writeCells(cells, parted.split(), out);
            writeOpenings(before, parted.openings().openings(), out);
            out.number(parted.dam().size());
            for (int opening : parted.dam()) {
                out.number(opening);
            }
            out.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    public static DamPatch decode(byte[] sent) {
        return PlaneCodec.reading(sent, in -> {
            List<PlanePatch> boxes = several(in, DamPatchCodec::readBox);
            Map<Integer, Cell> cells = new TreeMap<>();
            List<CellSplit.Parts> split = several(in, each -> readParts(each, cells));
            List<Border> borders = PlaneCodec.readBorders(in);
            Map<Integer, Opening> openings = new TreeMap<>();
            for (int count = in.number(); count > 0; count--) {
                openings.put(in.number(), OpeningsCodec.read(in));
            }
            return new DamPatch(boxes, split, cells, borders, openings, Set.copyOf(several(in, NumberReader::number)));
        });
    }

    private static <T> List<T> several(NumberReader in, PlaneCodec.Reading<T> reading) throws IOException {
        int count = in.number();
        List<T> all = new ArrayList<>(count);
        for (int i = 0; i < count; i++) {
            all.add(reading.from(in));
        }
        return all;
    }

    private static PlanePatch readBox(NumberReader in) throws IOException {
        int x = in.number();
        int y = in.number();
        Box box = new Box(x, y, x + in.number(), y + in.number());
        int[] numbers = new int[box.widthPx() * box.heightPx()];
        int at = 0;
        while (at < numbers.length) {
            int end = at + in.number();
            Arrays.fill(numbers, at, end, in.number());
            at = end;
        }
        return new PlanePatch(box, numbers);
    }

    private static CellSplit.Parts readParts(NumberReader in, Map<Integer, Cell> cells) throws IOException {
        int cell = in.number();
        return new CellSplit.Parts(cell, several(in, each -> {
            int part = each.number();
            cells.put(part, PlaneCodec.readCell(part, each));
            return part;
        }));
    }

    private static void writeBox(CellPlane plane, Box box, NumberWriter out) throws IOException {
        out.number(box.xStart());
        out.number(box.yStart());
        out.number(box.widthPx());
        out.number(box.heightPx());
        int[] numbers = plane.numbers();
        for (int y = box.yStart(); y < box.yEndExclusive(); y++) {
            int row = y * plane.widthPx();
            int start = row + box.xStart();
            int end = row + box.xEndExclusive();
            for (int i = start + 1; i <= end; i++) {
                if (i == end || numbers[i] != numbers[start]) {
                    out.number(i - start);
                    out.number(numbers[start]);
                    start = i;
                }
            }
        }
    }

    private static void writeCells(CellMap map, List<CellSplit.Parts> split, NumberWriter out) throws IOException {
        out.number(split.size());
        Set<Integer> changed = new TreeSet<>();
        for (CellSplit.Parts each : split) {
            out.number(each.cell());
            out.number(each.parts().size());
            for (int part : each.parts()) {
                out.number(part);
                PlaneCodec.writeCell(map.cells().get(part), out);
                changed.add(part);
            }
        }
        List<Border> borders = map.borders().stream()
                .filter(border -> changed.contains(border.first()) || changed.contains(border.second()))
                .toList();
        out.number(borders.size());
        for (Border border : borders) {
            PlaneCodec.writeBorder(border, out);
        }
    }

    private static void writeOpenings(List<Opening> before, List<Opening> after, NumberWriter out) throws IOException {
        int[] changed = IntStream.range(0, after.size())
                .filter(i -> i >= before.size() || !before.get(i).equals(after.get(i)))
                .toArray();
        out.number(changed.length);
        for (int index : changed) {
            out.number(index);
            OpeningsCodec.write(after.get(index), out);
        }
    }
}
