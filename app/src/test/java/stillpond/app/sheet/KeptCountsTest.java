package stillpond.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;

class KeptCountsTest {

    private final TestPond pond = TestPond.shared();
    private final Sheets sheets = pond.bean(Sheets.class);
    private final WornSwatches worn = pond.bean(WornSwatches.class);
    private final JdbcClient database = pond.bean(JdbcClient.class);
    private Work work;
    private Sheet sheet;
    private Sheet other;

    @BeforeEach
    void bring() {
        work = Work.begin(pond);
        sheet = work.bringSmall(Drawings.threeBoxes());
        other = work.bringSmall(Drawings.threeBoxesLower());
    }

    private Progress progress(Sheet of) {
        return sheets.progress(work.project()).get(of.id());
    }

    private Map<UUID, Long> regions(Sheet of) {
        return worn.inUse(work.project(), Optional.empty()).stream()
                .filter(use -> use.sheet().equals(of.id()))
                .filter(use -> use.regions() > 0)
                .collect(Collectors.toMap(WornSwatches.Use::swatch, WornSwatches.Use::regions));
    }

    @Test
    void whatIsLaidAndTakenBackIsCounted() {
        assertThat(progress(sheet).filledRegions()).isZero();
        work.lay(sheet, work.coat().id(), 50, 100);
        work.lay(sheet, work.scarf().id(), 150, 100);
        assertThat(progress(sheet).filledRegions()).isEqualTo(2);
        assertThat(regions(sheet))
                .isEqualTo(Map.of(work.coat().id(), 1L, work.scarf().id(), 1L));
        work.lay(sheet, work.scarf().id(), 50, 100);
        assertThat(regions(sheet)).isEqualTo(Map.of(work.scarf().id(), 2L));
        UUID latest = work.line(sheet.id(), work.account()).undoable().get(0).id();
        pond.bean(SheetChanges.class)
                .make(sheet.id(), work.account(), new ChangeRequest.Undo(UUID.randomUUID(), latest));
        assertThat(regions(sheet))
                .isEqualTo(Map.of(work.coat().id(), 1L, work.scarf().id(), 1L));
        assertThat(regions(other)).isEmpty();
    }

    @Test
    void theShareOfASheetIsThatOfTheAreaThatWearsIt() {
        work.lay(sheet, work.coat().id(), 50, 100);
        double share =
                worn.inUse(work.project(), Optional.of(work.scene())).get(0).share();
        // A box of 120 x 200 in 600 x 400 units, less half of its lines of 6.
        assertThat(share).isBetween(0.08, 0.1);
    }

    @Test
    void onlyLayersThatHaveChangedAreCountedAgain() {
        work.lay(sheet, work.coat().id(), 50, 100);
        progress(sheet);
        database.sql("update layer_count set filled = 77 where layer_id in (:layers)")
                .param("layers", List.of(sheet.layer().id(), other.layer().id()))
                .update();
        work.lay(sheet, work.coat().id(), 150, 100);
        assertThat(progress(sheet).filledRegions()).as("counted").isEqualTo(2);
        assertThat(progress(other).filledRegions()).as("kept").isEqualTo(77);
    }

    @Test
    void aLayerThatIsGoneLeavesNothingBehind() {
        work.lay(sheet, work.coat().id(), 50, 100);
        progress(sheet);
        UUID layer = sheet.layer().id();
        assertThat(kept(layer)).isPositive();
        database.sql("delete from layer where id = ?").param(layer).update();
        assertThat(kept(layer)).isZero();
    }

    private int kept(UUID layer) {
        return database.sql("""
                select (select count(*) from layer_version where layer_id = :layer)
                     + (select count(*) from layer_count where layer_id = :layer)
                     + (select count(*) from layer_worn where layer_id = :layer)""").param("layer", layer).query(Integer.class).single();
    }
}
