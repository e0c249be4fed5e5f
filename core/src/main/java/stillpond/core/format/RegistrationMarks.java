package stillpond.core.format;

/** Marks in the border around a page by which plates are laid on each other: a cross in a ring in the middle of each side, and lines at the corners where the page is cut. */
final class RegistrationMarks {

    private static final byte INK = 0;

    private RegistrationMarks() {}

    /** @param grey of the whole film, row by row @param margin how wide the border is, on all sides */
    static void draw(byte[] grey, int width, int height, int margin) {
        Film film = new Film(grey, width, height, Math.max(1, margin / 60));
        film.cross(width / 2, margin / 2, margin / 3);
        film.cross(width / 2, height - 1 - margin / 2, margin / 3);
        film.cross(margin / 2, height / 2, margin / 3);
        film.cross(width - 1 - margin / 2, height / 2, margin / 3);
        int length = margin / 2;
        for (int x : new int[] {margin, width - margin}) {
            film.upright(x, 0, length);
            film.upright(x, height - length, height);
        }
        for (int y : new int[] {margin, height - margin}) {
            film.level(y, 0, length);
            film.level(y, width - length, width);
        }
    }

    private record Film(byte[] grey, int width, int height, int thick) {

        private void cross(int x, int y, int radius) {
            level(y, x - radius, x + radius + 1);
            upright(x, y - radius, y + radius + 1);
            double ring = radius * 0.6;
            for (int row = y - radius; row <= y + radius; row++) {
                for (int column = x - radius; column <= x + radius; column++) {
                    if (Math.abs(Math.hypot(column - x, row - y) - ring) <= thick / 2.0) {
                        set(column, row);
                    }
                }
            }
        }

        private void level(int y, int from, int to) {
            for (int x = from; x < to; x++) {
                for (int i = 0; i < thick; i++) {
                    set(x, y - thick / 2 + i);
                }
            }
        }

        private void upright(int x, int from, int to) {
            for (int y = from; y < to; y++) {
                for (int i = 0; i < thick; i++) {
                    set(x - thick / 2 + i, y);
                }
            }
        }

        private void set(int x, int y) {
            if (x >= 0 && y >= 0 && x < width && y < height) {
                grey[y * width + x] = INK;
            }
        }
    }
}
