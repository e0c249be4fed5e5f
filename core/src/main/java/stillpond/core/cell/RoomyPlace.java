package stillpond.core.cell;

/**
 * A place of one cell with much room around it, and how much: the greatest chessboard distance from whatever is not the cell (A. Rosenfeld, J. Pfaltz, "Sequential operations in digital picture
 * processing", 1966), two passes over the pixels of its box, of large cells over every second, third ... of them.
 */
record RoomyPlace(int x, int y, double depthPx) {

    private static final int MOST_LOOKED_AT = 1 << 16;

    /** @param box of the cell, which has a pixel at the least */
    static RoomyPlace of(int number, CellPlane plane, Box box) {
        int step = 1;
        while ((long) (box.widthPx() / step + 1) * (box.heightPx() / step + 1) > MOST_LOOKED_AT) {
            step++;
        }
        RoomyPlace place = of(number, plane, box, step);
        while (place == null) {
            // Thinner than the steps.
            step = Math.max(1, step / 2);
            place = of(number, plane, box, step);
        }
        return place;
    }

    private static RoomyPlace of(int number, CellPlane plane, Box box, int step) {
        int width = (box.widthPx() + step - 1) / step;
        int height = (box.heightPx() + step - 1) / step;
        int stride = width + 2;
        int[] room = new int[stride * (height + 2)];
        for (int y = 0; y < height; y++) {
            int page = (box.yStart() + y * step) * plane.widthPx() + box.xStart();
            for (int x = 0, i = (y + 1) * stride + 1; x < width; x++, i++, page += step) {
                if (plane.numbers()[page] == number) {
                    room[i] = 1
                            + Math.min(
                                    Math.min(room[i - 1], room[i - stride]),
                                    Math.min(room[i - stride - 1], room[i - stride + 1]));
                }
            }
        }
        int best = 0;
        int most = 0;
        for (int y = height; y > 0; y--) {
            for (int x = width, i = y * stride + width; x > 0; x--, i--) {
                if (room[i] > 0) {
                    int behind = 1
                            + Math.min(
                                    Math.min(room[i + 1], room[i + stride]),
                                    Math.min(room[i + stride + 1], room[i + stride - 1]));
                    room[i] = Math.min(room[i], behind);
                    if (room[i] >= most) {
                        most = room[i];
                        best = i;
                    }
                }
            }
        }
        return most == 0
                ? null
                : new RoomyPlace(
                        box.xStart() + (best % stride - 1) * step,
                        box.yStart() + (best / stride - 1) * step,
                        most * step);
    }
}
