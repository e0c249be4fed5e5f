package stillpond.core.colour;

import java.util.Arrays;
import java.util.List;

/** Colours that go with one, by their angle on the circle of hues. */
public enum Related {
    OPPOSITE(180),
    NEIGHBOUR(-30, 30),
    THIRD(120, 240);

    private final double[] degrees;

    Related(double... degrees) {
        this.degrees = degrees;
    }

    /** Without the colour itself. */
    public List<Srgb> to(Srgb colour) {
        return Arrays.stream(degrees)
                .mapToObj(turn -> Mixing.turned(colour, turn))
                .toList();
    }
}
