package stillpond.core.blockin;

import stillpond.core.cell.Box;

/** The pixels of a box that a shape covers. */
record ShapeMask(Box box, int[] covered) {

    static ShapeMask of(Shape shape, Box box) {
        int[] covered = new int[box.widthPx() * box.heightPx()];
        Rows.paint(shape.polygons(), 1, box, covered);
        return new ShapeMask(box, covered);
    }

    /** Whether another shape covers a pixel that this one does. */
    boolean meets(Shape other) {
        Box common = box.common(other.box());
        if (!common.hasPixels()) {
            return false;
        }
        int[] there = of(other, common).covered;
        for (int y = 0; y < common.heightPx(); y++) {
            int here = (common.yStart() - box.yStart() + y) * box.widthPx() + common.xStart() - box.xStart();
            for (int x = 0; x < common.widthPx(); x++) {
                if (there[y * common.widthPx() + x] != 0 && covered[here + x] != 0) {
                    return true;
                }
            }
        }
        return false;
    }
}
