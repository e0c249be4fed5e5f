package stillpond.app.bring;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

/** What cannot be taken is refused as a whole, with a message to act on, and leaves nothing behind. */
class BadFilesTest {

    /** Of its own, so that sheets are counted that nobody else brings. */
    private static TestPond pond;

    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());

    @BeforeAll
    static void open() {
        pond = TestPond.start();
    }

    @AfterAll
    static void close() {
        pond.close();
    }

    @Test
    void notAPicture() {
        assertRefused(
                "letter.png",
                "Dear Bram,".getBytes(StandardCharsets.UTF_8),
                "PNG, JPEG, TIFF, WebP, SVG or OpenRaster");
    }

    @Test
    void empty() {
        assertRefused("nothing.png", new byte[0], "empty");
    }

    @Test
    void truncated() throws IOException {
        byte[] whole = png(page(400, 300, Color.WHITE));
        assertRefused("cut.png", Arrays.copyOf(whole, whole.length - 60), "damaged or cut off");
    }

    @Test
    void declaresSixtyThousandSquared() throws IOException {
        byte[] file = png(page(1, 1, Color.WHITE));
        ByteBuffer header = ByteBuffer.wrap(file).putInt(16, 60_000).putInt(20, 60_000);
        CRC32 checksum = new CRC32();
        checksum.update(file, 12, 17);
        header.putInt(29, (int) checksum.getValue());
        assertRefused("bomb.png", file, "60000 x 60000");
    }

    @Test
    void svgWithAScript() {
        assertRefused("script.svg", Drawings.svg("<script>fetch('/')</script>"), "script");
    }

    @Test
    void svgThatReachesOutside() {
        assertRefused("outside.svg", Drawings.svg("<use href='http://127.0.0.1:9/a.svg#b'/>"), "outside itself");
    }

    @Test
    void svgWithAnEntityBomb() {
        String bomb = "<!DOCTYPE svg [<!ENTITY a 'tide'><!ENTITY b '&a;&a;&a;&a;&a;&a;&a;&a;'>]>"
                + "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 9 9'><text>&b;&b;</text></svg>";
        assertRefused("entities.svg", bomb.getBytes(StandardCharsets.UTF_8), "entities");
    }

    @Test
    void emptyPageAndPageAllInk() throws IOException {
        assertRefused("white.png", png(page(60, 40, Color.WHITE)), "no ink");
        assertRefused("black.png", png(page(60, 40, Color.BLACK)), "all ink");
    }

    /** Neither is a drawing to be proud of, but both are pages, and the desk must open on them. */
    @Test
    void noiseAndAThinStripAreTaken() throws IOException {
        BufferedImage noise = page(500, 400, Color.WHITE);
        Random random = new Random(4);
        for (int i = 0; i < 500 * 400; i++) {
            noise.setRGB(i % 500, i / 500, random.nextBoolean() ? 0 : 0xffffff);
        }
        BufferedImage strip = page(1, 30_000, Color.WHITE);
        strip.setRGB(0, 15_000, 0);
        for (BufferedImage page : List.of(noise, strip)) {
            HttpResponse<String> answer = visitor.upload(scenePath(), "page.png", png(page));
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
            Matcher address = Pattern.compile("\"address\":\"([^\"]+)\"").matcher(answer.body());
            assertThat(address.find()).isTrue();
            assertThat(visitor.get(address.group(1) + "/desk").statusCode()).isEqualTo(200);
            assertThat(visitor.get(address.group(1) + "/small.png").statusCode())
                    .isEqualTo(200);
        }
    }

    /** The sender announces a megabyte and hangs up after a few bytes. */
    @Test
    void anUploadThatBreaksOffLeavesNothing() throws IOException {
        long sheets = pond.count("sheet");
        String head = "--x\r\nContent-Disposition: form-data; name=\"file\"; filename=\"a.png\"\r\n\r\n\u0089PNG";
        String answer = visitor.sendAndHangUp(scenePath(), "multipart/form-data; boundary=x", head, 1 << 20);
        assertThat(answer).doesNotContain(" 201");
        assertThat(pond.count("sheet")).isEqualTo(sheets);
        assertThat(visitor.get("/projects/" + work.project()).statusCode()).isEqualTo(200);
    }

    private String scenePath() {
        return "/projects/" + work.project() + "/scenes/" + work.scene() + "/sheets";
    }

    private void assertRefused(String name, byte[] file, String reason) {
        long sheets = pond.count("sheet");
        HttpResponse<String> answer = visitor.upload(scenePath(), name, file);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(reason);
        assertThat(isKept(file)).isFalse();
        assertThat(pond.count("sheet")).isEqualTo(sheets);
    }

    /** Whole files are kept under the SHA-256 of their bytes. */
    private static boolean isKept(byte[] file) {
        try {
            String name = HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(file));
            return pond.bean(JdbcClient.class)
                    .sql("select exists (select 1 from plane where sha256 = ?)")
                    .param(name)
                    .query(Boolean.class)
                    .single();
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static BufferedImage page(int width, int height, Color colour) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setColor(colour);
        pen.fillRect(0, 0, width, height);
        pen.dispose();
        return image;
    }

    private static byte[] png(BufferedImage image) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }
}
