package stillpond.core.colour;

/**
 * How people see whose eyes tell fewer colours apart: G. M. Machado, M. M. Oliveira, L. A. F. Fernandes, "A physiologically-based model for simulation of
 * color vision deficiency", IEEE Trans. Visualization and Computer Graphics 15, 2009, at its full severity, on linear light.
 */
public enum ColourVision {
    RED_WEAK(0.152286, 1.052583, -0.204868, 0.114503, 0.786281, 0.099216, -0.003882, -0.048116, 1.051998),
    GREEN_WEAK(0.367322, 0.860646, -0.227968, 0.280085, 0.672501, 0.047413, -0.011820, 0.042940, 0.968881),
    BLUE_WEAK(1.255528, -0.076749, -0.178779, -0.078411, 0.930809, 0.147602, 0.004733, 0.691367, 0.303900);

    private final double[] matrix;

    ColourVision(double... matrix) {
        this.matrix = matrix;
    }

    public Srgb seen(Srgb colour) {
        LinearRgb light = LinearRgb.of(colour);
        return new LinearRgb(row(0, light), row(3, light), row(6, light)).clipped();
    }

    private double row(int start, LinearRgb light) {
        return matrix[start] * light.red() + matrix[start + 1] * light.green() + matrix[start + 2] * light.blue();
    }
}
