package stillpond.app.device;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.colour.PrintCondition;
import stillpond.core.ink.Picture;
import stillpond.core.plate.Plates;
import stillpond.core.plate.PressLimits;
import stillpond.core.plate.PressRun;
import stillpond.core.plate.Separation;

/** A press that prints plates. Its jobs and their states are kept by {@link DeviceJobs}, as the Internet Printing Protocol has them (RFC 8011). */
interface Press {

    /**
     * Plates, and what is known of them.
     *
     * @param screen what they are meant to look like
     * @param spotInks the inks of their own, in the order of their plates
     * @param perInch pixels of a plate to an inch
     */
    record PressSheet(
            Plates plates, Picture screen, List<Separation.Spot> spotInks, int perInch, PrintCondition condition) {}

    PressLimits limits(UUID project);

    /** Why it does not take a sheet; empty if it does. */
    Optional<String> refusal(UUID project, PressSheet sheet);

    PressRun.Printed print(PressSheet sheet);
}
