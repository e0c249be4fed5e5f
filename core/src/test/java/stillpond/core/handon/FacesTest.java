package stillpond.core.handon;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.ledger.CellGroup;
import stillpond.core.ledger.CellGroups;
import stillpond.core.palette.Card;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

class FacesTest {

    private static final Swatch COAT = swatch("Coat", "oilskins", "#2f6f5e");
    private static final Swatch LINING = swatch("Lining", "oilskins", "#d8a030");
    private static final Swatch SAND = swatch("Sand", "", "#e8d8b0");
    private static final Palette PALETTE = new Palette(List.of(
            new Card(UUID.randomUUID(), "Juniper", "", List.of(COAT, LINING)),
            new Card(UUID.randomUUID(), "Marsh", "", List.of(SAND))));

    /** Cells 0 and 1 are one region. */
    private static final int[] REGIONS = {0, 0, 2, 3, 4, 5};

    private static final Fills FILLS = Fills.of(Map.of(
            0, Fill.flat(SAND.id()),
            1, Fill.flat(SAND.id()),
            2, Fill.flat(COAT.id()),
            3, Fill.flat(LINING.id()),
            4, Fill.flat(COAT.id())));

    @Test
    void byColourEachSwatchIsAGroupInTheOrderOfTheCards() {
        Faces faces = faces(Arrangement.COLOUR, CellGroups.NONE);
        assertThat(faces.groups()).containsExactly("Juniper, Coat", "Juniper, Lining", "Marsh, Sand");
        assertThat(faces.of(2)).isEqualTo(faces.of(4)).isNotEqualTo(faces.of(3));
        assertThat(faces.of(5)).isEqualTo(Faces.UNFILLED);
    }

    @Test
    void byPartSwatchesOfOnePartAreTogetherAndStayShapesOfTheirOwn() {
        Faces faces = faces(Arrangement.PART, CellGroups.NONE);
        assertThat(faces.groups()).containsExactly("Juniper, oilskins", "Marsh, Sand");
        assertThat(faces.in("Juniper, oilskins")).hasSize(2);
    }

    @Test
    void keptGroupsComeInTheirOrderAndWhatIsInNoneFollows() {
        CellGroups groups = new CellGroups(List.of(
                new CellGroup(UUID.randomUUID(), "Sleeve", false, false, List.of(4)),
                new CellGroup(UUID.randomUUID(), "Front", false, false, List.of(0, 2)),
                new CellGroup(UUID.randomUUID(), "Sleeve", false, false, List.of(3))));
        Faces faces = faces(Arrangement.GROUP, groups);
        assertThat(faces.groups()).containsExactly("Sleeve", "Front", "Sleeve 2", "Marsh, Sand");
        assertThat(faces.in("Front")).as("coat and sand").hasSize(2);
        assertThat(faces.in("Marsh, Sand")).containsExactly(faces.of(1));
    }

    @Test
    void separateShapesAreRegionsWithNumbers() {
        Faces faces = faces(Arrangement.SEPARATE, CellGroups.NONE);
        assertThat(faces.of(0)).isEqualTo(faces.of(1));
        assertThat(faces.of(2)).isNotEqualTo(faces.of(4));
        assertThat(faces.all().stream().map(Face::name))
                .containsExactlyInAnyOrder("Sand 1", "Coat 1", "Lining 1", "Coat 2");
    }

    @Test
    void aToneOfASwatchIsNamedAfterItAndApart() {
        Fills fills = Fills.of(Map.of(0, Fill.flat(COAT.id()), 2, new Fill.Tone(COAT.id(), 40)));
        Faces faces = Faces.of(Arrangement.PART, new Faces.Laid(fills, REGIONS, CellGroups.NONE), PALETTE);
        assertThat(faces.groups()).hasSize(1);
        assertThat(faces.all().stream().map(Face::name)).containsExactly("Coat", "Coat at 40 %");
    }

    @Test
    void aPaletteOfWhatIsWornIsInTheOrderOfAreaAndFollowsItsSwatches() {
        UUID gone = UUID.randomUUID();
        WornPalette worn = WornPalette.of(
                List.of(
                        new WornPalette.Worn(COAT.id(), 0.1),
                        new WornPalette.Worn(SAND.id(), 0.5),
                        new WornPalette.Worn(COAT.id(), 0.2),
                        new WornPalette.Worn(gone, 0.9)),
                2,
                PALETTE);
        assertThat(worn.worn())
                .containsExactly(
                        new WornPalette.Worn(SAND.id(), 0.25), new WornPalette.Worn(COAT.id(), 0.15000000000000002));
        Card card = worn.following("Worn", PALETTE);
        assertThat(card.swatches().stream().map(Swatch::name)).containsExactly("Sand, Marsh", "Coat, Juniper");
        assertThat(card.swatches().get(1).paint())
                .isInstanceOfSatisfying(
                        Paint.Tied.class, tied -> assertThat(tied.source()).isEqualTo(COAT.id()));
        assertThat(worn.settled("Worn", PALETTE).swatches().get(1).paint())
                .isEqualTo(new Paint.Process(Srgb.ofHex("#2f6f5e")));
    }

    private static Faces faces(Arrangement arrangement, CellGroups groups) {
        return Faces.of(arrangement, new Faces.Laid(FILLS, REGIONS, groups), PALETTE);
    }

    private static Swatch swatch(String name, String part, String hex) {
        return new Swatch(UUID.randomUUID(), name, part, "", new Paint.Process(Srgb.ofHex(hex)));
    }
}
