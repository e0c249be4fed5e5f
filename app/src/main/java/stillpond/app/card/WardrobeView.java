package stillpond.app.card;

import java.util.List;
import java.util.UUID;
import stillpond.app.palette.CardView;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Wardrobe;

/** A wardrobe as the page of its card shows it: all parts in the colours that they have in it, tied ones among them. */
record WardrobeView(UUID id, String name, List<Part> parts) {

    /** @param isOwn whether the wardrobe says so, and not the card */
    record Part(CardView.SwatchView swatch, boolean isOwn) {}

    static WardrobeView of(Wardrobe wardrobe, Palette palette) {
        Palette worn = palette.wearing(List.of(wardrobe));
        return new WardrobeView(
                wardrobe.id(),
                wardrobe.name(),
                CardView.of(worn.card(wardrobe.card()).orElseThrow(), worn).swatches().stream()
                        .map(swatch -> new Part(swatch, wardrobe.colours().containsKey(swatch.id())))
                        .toList());
    }
}
