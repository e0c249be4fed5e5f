package stillpond.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;

class PlaneClearingTest {

    private final TestPond pond = TestPond.shared();
    private final JdbcClient database = pond.bean(JdbcClient.class);
    private final Planes planes = pond.bean(Planes.class);

    private String keep() {
        return planes.keep(UUID.randomUUID().toString().getBytes());
    }

    private void grow(List<String> names) {
        database.sql("update plane set kept_at = now() - interval '8 days' where sha256 in (:names)")
                .param("names", names)
                .update();
    }

    private boolean isKept(String plane) {
        return database.sql("select exists (select from plane where sha256 = ?)")
                .param(plane)
                .query(Boolean.class)
                .single();
    }

    @Test
    void whatNothingNamesIsClearedSomeTimeLaterAndWhatASheetNamesStays() {
        Layer layer = Work.begin(pond).bring(Drawings.threeBoxes()).layer();
        String old = keep();
        String fresh = keep();
        String keptAgain = keep();
        List<String> ofSheet = layer.planes();
        grow(List.of(old, keptAgain));
        grow(ofSheet);
        planes.keep(planes.content(keptAgain));
        pond.bean(PlaneClearing.class).run();
        assertThat(isKept(old)).isFalse();
        assertThat(isKept(fresh)).isTrue();
        assertThat(isKept(keptAgain)).isTrue();
        assertThat(ofSheet).isNotEmpty().allMatch(this::isKept);
    }

    /** A column that is forgotten in the clearing would make every night's clearing fail. */
    @Test
    void everyColumnThatNamesPlanesIsLookedAt() {
        List<String> columns = database.sql("""
                        select a.attname from pg_constraint c
                        join pg_attribute a on a.attrelid = c.conrelid and a.attnum = any(c.conkey)
                        where c.confrelid = cast('plane' as regclass)""").query(String.class).list();
        assertThat(columns)
                .hasSize(12)
                .allSatisfy(column -> assertThat(PlaneClearing.UNUSED).contains("." + column));
    }
}
