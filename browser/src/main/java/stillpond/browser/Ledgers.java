package stillpond.browser;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.teavm.jso.JSExport;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.ledger.ColourOrder;
import stillpond.core.ledger.NearTwins;
import stillpond.core.ledger.SheetLedger;

/** Colours in use, as a ledger lists them. */
public final class Ledgers {

    private Ledgers() {}

    /**
     * The places of some rows in an order.
     *
     * @param order the name of one
     * @param cards the place of each row's card among the cards
     * @param shares of the sheet, 0 to 1
     */
    @JSExport
    public static int[] ordered(
            String order, String[] names, int[] cards, String[] hexes, double[] shares, int[] regions) {
        List<ColourOrder.Row> rows = new ArrayList<>();
        List<Integer> places = new ArrayList<>();
        for (int i = 0; i < names.length; i++) {
            rows.add(new ColourOrder.Row(names[i], cards[i], Srgb.ofHex(hexes[i]), shares[i], regions[i]));
            places.add(i);
        }
        places.sort(Comparator.comparing(rows::get, ColourOrder.valueOf(order).comparator()));
        return Numbers.of(places);
    }

    /** The swatches that ink wears, with their strokes. @param worn by stroke */
    @JSExport
    public static InkSource[] ink(String[] worn) {
        List<Fill> fills = Arrays.stream(worn).map(Fill::ofText).toList();
        return SheetLedger.ofInk(fills).entrySet().stream()
                .map(each -> new InkSource(each.getKey().text(), Numbers.of(each.getValue())))
                .toArray(InkSource[]::new);
    }

    /** Nearest first. @param threshold CIEDE2000, above 0 */
    @JSExport
    public static Twins[] nearTwins(String[] names, String[] hexes, double threshold) {
        List<NearTwins.Named> named = new ArrayList<>();
        for (int i = 0; i < names.length; i++) {
            named.add(new NearTwins.Named(names[i], Srgb.ofHex(hexes[i])));
        }
        return NearTwins.amongNamed(named, threshold).stream()
                .map(pair -> new Twins(pair.first(), pair.second(), pair.difference()))
                .toArray(Twins[]::new);
    }
}
