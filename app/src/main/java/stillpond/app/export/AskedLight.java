package stillpond.app.export;

import java.util.Optional;
import org.springframework.stereotype.Component;
import stillpond.app.palette.Stagings;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Showing;
import stillpond.core.palette.Staging;
import stillpond.core.refusal.Refusal;

/** The light that somebody asks for a sheet to be handed on under: its own, or none. */
@Component
class AskedLight {

    static final String OWN = "own";
    private static final String PLAIN = "plain";

    private final Stagings stagings;

    AskedLight(Stagings stagings) {
        this.stagings = stagings;
    }

    /** @param light {@code own}, or {@code plain} for as drawn */
    static Showing showing(String light) {
        return switch (light) {
            case OWN -> Showing.OWN;
            case PLAIN -> Showing.AS_DRAWN;
            default -> throw new Refusal("A sheet is handed on under its own light or as drawn, not '" + light + "'.");
        };
    }

    /** The name of the light that is asked for; empty where the sheet has none, or as drawn is asked for. */
    Optional<String> name(Sheet sheet, String light) {
        Staging staging = stagings.of(sheet.project());
        return light.equals(OWN) && staging.lightOn(sheet.scene(), sheet.id()).isPresent()
                ? Optional.of(staging.lit(sheet.scene(), sheet.id()).name())
                : Optional.empty();
    }

    /** The title of a sheet; where it has a light, with what it is shown under. */
    String title(Sheet sheet, String light) {
        return stagings.of(sheet.project()).lightOn(sheet.scene(), sheet.id()).isEmpty()
                ? sheet.title()
                : sheet.title() + " - " + name(sheet, light).orElse("as drawn");
    }
}
