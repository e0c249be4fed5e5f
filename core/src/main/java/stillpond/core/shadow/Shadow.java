package stillpond.core.shadow;

import stillpond.core.colour.BlendMode;
import stillpond.core.refusal.Refusal;

/**
 * A shadow, a light or a rim on a layer. What swatch it wears is not said here: that is a fill of its {@link stillpond.core.fill.Places place}.
 *
 * @param number on its layer, 0 to {@link #MOST_NUMBER}; whoever makes it draws one that is free
 * @param rank further in front, where it lies on others, the higher it is
 * @param mode how the swatch acts on what lies under it; for {@link #darker} it means nothing
 * @param darker by so many hundredths of OKLab lightness what lies under it is darkened (or lightened, below 0) while it wears no swatch; -80 to 80. A rim without a swatch is black, and a grain or a soft edge lets the paper through
 * @param strength 0 to 100
 * @param edgePx over how many pixels of the page it fades out at its edge; 0: not at all
 */
public record Shadow(
        int number,
        double rank,
        String name,
        Base base,
        Form form,
        BlendMode mode,
        int darker,
        int strength,
        double edgePx) {

    public static final int MOST_NUMBER = (1 << 29) - 1;

    private static final int LONGEST_NAME = 120;
    private static final int MOST_DARKER = 80;
    private static final double MOST_EDGE_PX = 400;

    public Shadow {
        name = name == null ? "" : name.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw new Refusal("A shadow has a name of up to " + LONGEST_NAME + " characters.");
        }
        if (number < 0 || number > MOST_NUMBER) {
            throw new Refusal("There is no shadow with the number " + number + ".");
        }
        if (!Double.isFinite(rank)) {
            throw new Refusal("A shadow has a place among the others.");
        }
        if (darker < -MOST_DARKER || darker > MOST_DARKER) {
            throw new Refusal("A shadow is darker, or lighter, by up to 80.");
        }
        if (strength < 0 || strength > 100) {
            throw new Refusal("The strength of a shadow is 0 to 100 %.");
        }
        edgePx = Tenths.of(edgePx);
        if (!(edgePx >= 0 && edgePx <= MOST_EDGE_PX)) {
            throw new Refusal("The edge of a shadow is soft over up to 400 pixels.");
        }
    }

    public boolean isRim() {
        return form instanceof Form.Rim;
    }

    /** Whether it thins out what it lies on, so that the paper shows, while it wears no swatch. */
    public boolean isOfSurface() {
        return form instanceof Form.Grain || form instanceof Form.SoftEdge;
    }

    /** Whether it lies over colours to change them: what is done to all shadows at once is done to these alone. */
    public boolean isShading() {
        return !isRim() && !isOfSurface();
    }

    Shadow ranked(double other) {
        return new Shadow(number, other, name, base, form, mode, darker, strength, edgePx);
    }

    /** @param by percent points of strength; as far as it goes */
    Shadow stronger(int by) {
        int wanted = Math.max(0, Math.min(100, strength + by));
        return new Shadow(number, rank, name, base, form, mode, darker, wanted, edgePx);
    }

    Shadow on(Base other) {
        return new Shadow(number, rank, name, other, form, mode, darker, strength, edgePx);
    }

    /** On a picture of another size, or on another drawing. */
    public Shadow placed(Form.Placed placed) {
        double edge = Math.min(MOST_EDGE_PX, edgePx * placed.scale());
        return new Shadow(number, rank, name, base, form.placed(placed), mode, darker, strength, edge);
    }

    /** A copy on another layer. */
    public Shadow copied(int number, double rank, Base base) {
        return new Shadow(number, rank, name, base, form, mode, darker, strength, edgePx);
    }
}
