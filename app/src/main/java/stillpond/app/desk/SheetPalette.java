package stillpond.app.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import stillpond.app.palette.CardState;
import stillpond.app.palette.CardView;
import stillpond.core.palette.Light;
import stillpond.core.palette.LitPalette;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Staging;

/**
 * The colours of a sheet as its desk is told.
 *
 * @param cards as drawn, in the wardrobes worn on the sheet
 * @param lights "as drawn" first, then those of the project, the sheet's own before the others
 * @param light the sheet's own, by its place among them
 * @param kept gradients and patterns on cards, to be worn like swatches
 */
record SheetPalette(List<CardState> cards, List<LightState> lights, int light, List<Staging.KeptFill> kept) {

    /** @param id empty for as drawn @param colours what each swatch shows, by its id; none where it shows what it is */
    record LightState(String id, String name, Map<UUID, String> colours) {}

    static SheetPalette of(Palette dressed, Staging staging, UUID scene, UUID sheet) {
        List<LightState> lights = new ArrayList<>();
        lights.add(new LightState("", Light.AS_DRAWN.name(), Map.of()));
        String own = staging.lightOn(scene, sheet).map(UUID::toString).orElse("");
        for (Staging.NamedLight light : staging.lights()) {
            LightState state =
                    new LightState(light.id().toString(), light.light().name(), colours(dressed, light.light()));
            lights.add(state.id().equals(own) ? 1 : lights.size(), state);
        }
        return new SheetPalette(
                CardView.of(dressed).stream().map(CardState::of).toList(),
                lights,
                own.isEmpty() ? 0 : 1,
                staging.kept());
    }

    private static Map<UUID, String> colours(Palette dressed, Light light) {
        LitPalette lit = new LitPalette(dressed, light);
        Map<UUID, String> colours = new TreeMap<>();
        dressed.cards().stream()
                .flatMap(card -> card.swatches().stream())
                .forEach(swatch -> colours.put(
                        swatch.id(), lit.colourOf(swatch.id()).orElseThrow().hex()));
        return colours;
    }
}
