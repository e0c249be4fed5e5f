package stillpond.app.sheet;

import java.util.UUID;

/** How many of a sheet's regions are filled: all their regions wear a fill. */
public record Progress(UUID sheet, long filledRegions, long regions) {

    /** 0 to 100, and 100 only when nothing is left. */
    public int percent() {
        return regions == 0 ? 0 : (int) (100 * filledRegions / regions);
    }

    public long left() {
        return regions - filledRegions;
    }
}
