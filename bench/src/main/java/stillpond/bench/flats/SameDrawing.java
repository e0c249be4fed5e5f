package stillpond.bench.flats;

import java.awt.image.BufferedImage;

/** Tells whether two files of line art are one drawing, perhaps at another size or with other margins: by how ink lies over the box that holds all of it. */
final class SameDrawing {

    private static final int SIDE = 24;
    private static final int DARK = 128;
    private static final double LEAST_CORRELATION = 0.9;
    private static final double MOST_STRETCH = 0.05;

    private final double[] ink = new double[SIDE * SIDE];
    private final double slender;

    SameDrawing(BufferedImage line) {
        int width = line.getWidth();
        int height = line.getHeight();
        int[] grey = line.getRaster().getSamples(0, 0, width, height, 0, (int[]) null);
        int left = width;
        int right = 0;
        int top = height;
        int bottom = 0;
        for (int i = 0; i < grey.length; i++) {
            if (grey[i] < DARK) {
                left = Math.min(left, i % width);
                right = Math.max(right, i % width + 1);
                top = Math.min(top, i / width);
                bottom = i / width + 1;
            }
        }
        for (int i = 0; i < grey.length; i++) {
            if (grey[i] < DARK) {
                int x = (i % width - left) * SIDE / (right - left);
                int y = (i / width - top) * SIDE / (bottom - top);
                ink[y * SIDE + x]++;
            }
        }
        slender = (right - left) / (double) Math.max(1, bottom - top);
        standardise();
    }

    private void standardise() {
        double mean = 0;
        for (double each : ink) {
            mean += each / ink.length;
        }
        double squares = 0;
        for (int i = 0; i < ink.length; i++) {
            ink[i] -= mean;
            squares += ink[i] * ink[i];
        }
        for (int i = 0; i < ink.length; i++) {
            ink[i] /= Math.sqrt(squares) + 1e-9;
        }
    }

    boolean isLike(SameDrawing other) {
        if (Math.abs(Math.log(slender / other.slender)) > MOST_STRETCH) {
            return false;
        }
        double correlation = 0;
        for (int i = 0; i < ink.length; i++) {
            correlation += ink[i] * other.ink[i];
        }
        return correlation > LEAST_CORRELATION;
    }
}
