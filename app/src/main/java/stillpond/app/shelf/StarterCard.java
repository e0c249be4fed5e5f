package stillpond.app.shelf;

import java.util.List;
import java.util.UUID;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Swatch;

/** What a new project can be filled with before it has cards of its own. */
final class StarterCard {

    private StarterCard() {}

    static Card make() {
        return new Card(
                UUID.randomUUID(),
                "Starter",
                "for a first sheet",
                List.of(
                        swatch("Sky", "#c9dde0"),
                        swatch("Water", "#86aeb3"),
                        swatch("Leaf", "#7d9457"),
                        swatch("Sand", "#dcb983"),
                        swatch("Clay", "#c4694a"),
                        swatch("Skin", "#cf9672"),
                        swatch("Bark", "#6d4a37"),
                        swatch("Slate", "#5a626b"),
                        swatch("Chalk", "#f4f1ea"),
                        swatch("Soot", "#26262b")));
    }

    private static Swatch swatch(String name, String hex) {
        return new Swatch(UUID.randomUUID(), name, Srgb.ofHex(hex));
    }
}
