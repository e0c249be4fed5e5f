package stillpond.core.check;

import java.util.ArrayList;
import java.util.List;
import stillpond.core.fill.Fills;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.palette.Palette;

/** Looks a sheet over as somebody does before handing it on: what was missed, what ran out, and what is hard to see. */
public final class SheetCheck {

    private SheetCheck() {}

    /** Regions without a fill first, then fills that ran out, colours hard to tell apart, those on no card, and those that lost their swatch. */
    public static List<Finding> of(Openings openings, Regions regions, Fills fills, Palette palette) {
        SheetToCheck sheet = new SheetToCheck(openings, regions, fills, palette);
        List<Finding> findings = new ArrayList<>(MissedRegions.find(sheet));
        findings.addAll(RunningOut.find(sheet));
        findings.addAll(ColourFindings.tooNear(sheet));
        findings.addAll(ColourFindings.twins(sheet));
        findings.addAll(ColourFindings.offCard(sheet));
        findings.addAll(ColourFindings.lostStops(sheet));
        return List.copyOf(findings);
    }
}
