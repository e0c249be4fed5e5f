package stillpond.app.device;

import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import stillpond.core.colour.Srgb;
import stillpond.core.plate.PressLimits;
import stillpond.core.plate.PressRun;
import stillpond.core.plate.Separation;

/** A sheet-fed press with uncoated paper that is a little yellow, and dots that gain more than the profile has of it. */
@Component
class SimulatedPress implements Press {

    private static final int MOST_INK_PERCENT = 320;
    private static final int LEAST_PER_INCH = 150;
    private static final int MOST_PER_INCH = 1300;
    private static final int GAIN_PERCENT = 8;
    private static final Srgb PAPER = Srgb.ofHex("#faf7ef");
    private static final int PRINT_PX = 1200;

    private final PressInks inks;

    SimulatedPress(PressInks inks) {
        this.inks = inks;
    }

    @Override
    public PressLimits limits(UUID project) {
        return new PressLimits(MOST_INK_PERCENT, LEAST_PER_INCH, MOST_PER_INCH, Set.copyOf(inks.of(project)));
    }

    @Override
    public Optional<String> refusal(UUID project, PressSheet sheet) {
        return limits(project)
                .refusal(
                        sheet.plates(),
                        sheet.spotInks().stream().map(Separation.Spot::ink).toList(),
                        sheet.perInch());
    }

    @Override
    public PressRun.Printed print(PressSheet sheet) {
        return PressRun.of(
                sheet.plates(),
                sheet.screen(),
                sheet.spotInks().stream().map(Separation.Spot::solid).toList(),
                new PressRun.Paper(sheet.condition(), GAIN_PERCENT, PAPER),
                PRINT_PX);
    }
}
