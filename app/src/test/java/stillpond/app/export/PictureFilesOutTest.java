package stillpond.app.export;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.format.PngWriter;
import stillpond.core.format.Resolution;
import stillpond.core.ink.Picture;

/** Pictures as they are handed on. */
class PictureFilesOutTest {

    private static final int SIDE = 200;
    private static final Resolution PRINT = new Resolution(23622, 23622);

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);

    @Test
    void flatsAndSheetGoOutAsDenseAsTheLineArtCameIn() throws IOException {
        int[] page = new int[SIDE * SIDE];
        for (int i = 0; i < page.length; i++) {
            page[i] = i % SIDE < 100 ? 0xffffffff : i % SIDE < 104 ? 0xff000000 : 0xffffffff;
        }
        ByteArrayOutputStream lineArt = new ByteArrayOutputStream();
        PngWriter.write(new Picture(SIDE, SIDE, page), Optional.of(PRINT), lineArt);
        Sheet sheet = work.bringSmall(lineArt.toByteArray());
        Visitor visitor = Visitor.signedIn(pond, work.person());
        for (String what : new String[] {"flats", "composed"}) {
            byte[] png = visitor.download(work.address(sheet) + "/export/" + what + ".png");
            assertThat(Resolution.of(png)).as(what).contains(PRINT);
            assertThat(new String(png, StandardCharsets.ISO_8859_1)).contains("sRGB");
        }
    }
}
