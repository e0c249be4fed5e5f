package stillpond.core.check;

import java.util.ArrayList;
import java.util.List;
import stillpond.core.fill.Fills;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.palette.Palette;
import stillpond.core.stroke.Stroke;

/** Looks a sheet over as somebody does before handing it on: what was missed, what ran out, and what is hard to see. */
public final class SheetCheck {

    private SheetCheck() {}

    /**
     * Regions without a fill first, then fills that ran out, colours hard to tell apart, those on no card, those that lost their swatch, and line colours too light.
     *
     * @param strokes of the ink; none if nothing of it is coloured
     */
    public static List<Finding> of(
            Openings openings, Regions regions, Fills fills, Palette palette, List<Stroke> strokes) {
        SheetToCheck sheet = new SheetToCheck(openings, regions, fills, palette, strokes);
        List<Finding> findings = new ArrayList<>(MissedRegions.find(sheet));
        findings.addAll(RunningOut.find(sheet));
        findings.addAll(ColourFindings.tooNear(sheet));
        findings.addAll(ColourFindings.twins(sheet));
        findings.addAll(ColourFindings.offCard(sheet));
        findings.addAll(ColourFindings.lostStops(sheet));
        findings.addAll(LineFindings.lighter(sheet));
        return List.copyOf(findings);
    }
}
