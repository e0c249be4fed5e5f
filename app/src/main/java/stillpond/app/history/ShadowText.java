package stillpond.app.history;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import stillpond.core.colour.BlendMode;
import stillpond.core.shadow.Base;
import stillpond.core.shadow.Form;
import stillpond.core.shadow.Shadow;

/** A shadow in the form in which the log keeps it, and in which it is sent. docs/formats.md describes the texts. */
public record ShadowText(
        int number,
        double rank,
        @NotNull @Size(max = 200) String name,

        @NotNull @Size(max = 400_000, message = "This base has too many regions. Make a group of them, and take that.")
        String base,

        @NotNull @Size(max = 200_000, message = "This shape has too many points. Draw it in parts.")
        String form,

        @NotNull String mode,
        int darker,
        int strength,
        double edgePx) {

    public static ShadowText of(Shadow shadow) {
        return new ShadowText(
                shadow.number(),
                shadow.rank(),
                shadow.name(),
                shadow.base().text(),
                shadow.form().text(),
                shadow.mode().standardName(),
                shadow.darker(),
                shadow.strength(),
                shadow.edgePx());
    }

    /** @throws stillpond.core.refusal.Refusal if it is none */
    public Shadow asShadow() {
        return new Shadow(
                number,
                rank,
                name,
                Base.ofText(base),
                Form.ofText(form),
                BlendMode.ofName(mode),
                darker,
                strength,
                edgePx);
    }
}
