package stillpond.core.palette;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.colour.Srgb;
import stillpond.core.refusal.Refusal;

/** A change of how cards appear that reaches some sheets, as from one page of a book on, and no others. */
public sealed interface Reaching {

    /** A sheet, and the scene that it follows. */
    record Place(UUID scene, UUID sheet) {}

    /**
     * The staging with the change on these sheets; every other sheet appears as before.
     *
     * @throws Refusal if it names what is not there
     */
    Staging on(Staging staging, List<Place> places);

    /** The light of the sheets. */
    record Lighting(Staging.Choice light) implements Reaching {
        @Override
        public Staging on(Staging staging, List<Place> places) {
            if (light instanceof Staging.Choice.Named named
                    && staging.light(named.id()).isEmpty()) {
                throw new Refusal("This light is not there any more.");
            }
            Staging lit = staging;
            for (Place place : places) {
                lit = lit.lighting(place.sheet(), light);
            }
            return lit;
        }
    }

    /** What a card wears on the sheets. */
    record Wearing(UUID card, Staging.Choice wardrobe) implements Reaching {
        @Override
        public Staging on(Staging staging, List<Place> places) {
            if (wardrobe instanceof Staging.Choice.Named named
                    && staging.wardrobes(card).stream()
                            .noneMatch(each -> each.id().equals(named.id()))) {
                throw new Refusal("This wardrobe is not there any more.");
            }
            Staging worn = staging;
            for (Place place : places) {
                worn = worn.dressing(place.sheet(), card, wardrobe);
            }
            return worn;
        }
    }

    /**
     * Another colour for one part of a card. On each sheet it is added to what the card wears there already: sheets that wear different wardrobes get different ones made of them, and one that is
     * there already is worn again.
     *
     * @param name of the wardrobes that are made of it
     */
    record Colouring(UUID card, UUID swatch, Srgb colour, String name) implements Reaching {
        @Override
        public Staging on(Staging staging, List<Place> places) {
            Map<Optional<Wardrobe>, List<Place>> byWorn = new LinkedHashMap<>();
            for (Place place : places) {
                Optional<Wardrobe> worn = staging.worn(place.scene(), place.sheet()).stream()
                        .filter(each -> each.card().equals(card))
                        .findFirst();
                byWorn.computeIfAbsent(worn, any -> new ArrayList<>()).add(place);
            }
            Staging coloured = staging;
            for (Map.Entry<Optional<Wardrobe>, List<Place>> each : byWorn.entrySet()) {
                Wardrobe made = made(coloured, each.getKey());
                coloured =
                        new Wearing(card, new Staging.Choice.Named(made.id())).on(coloured.with(made), each.getValue());
            }
            return coloured;
        }

        private Wardrobe made(Staging staging, Optional<Wardrobe> base) {
            String called = base.map(each -> each.name() + ", " + name).orElse(name);
            Wardrobe made = new Wardrobe(
                            UUID.randomUUID(),
                            card,
                            called,
                            base.map(Wardrobe::colours).orElse(Map.of()))
                    .colouring(swatch, colour);
            return staging.wardrobes(card).stream()
                    .filter(each -> each.colours().equals(made.colours()))
                    .findFirst()
                    .orElse(made);
        }
    }
}
