package stillpond.app.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.export.SheetCuts;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.TestPond;
import stillpond.core.cut.CutJob;
import stillpond.core.cut.CutSettings;
import stillpond.core.handon.Arrangement;

class DemoCutTest {

    private final TestPond pond = TestPond.sharedDemo();

    @Test
    void theScarfOfTheCrossingIsTheScarfAndAMitten() {
        Sheet sheet = pond.bean(JdbcClient.class)
                .sql("select project_id, id from sheet where title = 'The crossing'")
                .query((row, number) ->
                        pond.bean(Sheets.class).get(row.getObject(1, UUID.class), row.getObject(2, UUID.class)))
                .single();
        CutJob scarf = pond.bean(SheetCuts.class).of(sheet, Arrangement.COLOUR, "Juniper, Scarf", CutSettings.USUAL);
        assertThat(scarf.pieces()).isEqualTo(2);
        assertThat(scarf.widthMm()).as("A4 at 300 to an inch, nearly").isBetween(200.0, 300.0);
    }
}
