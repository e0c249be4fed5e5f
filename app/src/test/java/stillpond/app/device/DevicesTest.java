package stillpond.app.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.app.background.BackgroundTask;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Unzipped;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Paint;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Swatch;

/** Sheets are sent to the press and the cutter, and watched there. */
class DevicesTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final DeviceJobs jobs = pond.bean(DeviceJobs.class);
    private final Sheet sheet = work.bring(Drawings.threeBoxes());
    private final String devices = "/projects/" + work.project() + "/devices";

    private DeviceJobs.View over(int index) {
        await().atMost(Duration.ofMinutes(1))
                .until(() -> jobs.of(work.project()).get(index).isOver());
        return jobs.of(work.project()).get(index);
    }

    private HttpResponse<String> cut(String... fields) {
        return visitor.submit(work.address(sheet) + "/cutter", fields);
    }

    @Test
    void thePressPrintsPlatesAndShowsWhatCameOfThem() throws IOException {
        work.lay(sheet, work.coat().id(), 500, 1000);
        HttpResponse<String> said = visitor.submit(work.address(sheet) + "/press", "black", "false");
        assertThat(said.body()).contains("Sent to the press");
        DeviceJobs.View job = over(0);
        assertThat(job.state()).as(job.said()).isEqualTo("done");
        assertThat(job.said()).contains("4 plates");
        BufferedImage print = visitor.picture(devices + "/jobs/" + job.id() + "/files/print.png");
        int coat = print.getRGB(print.getWidth() / 6, print.getHeight() / 2);
        assertThat((coat >> 8 & 0xff) - (coat >> 16 & 0xff)).as("green").isGreaterThan(20);
        assertThat(Unzipped.of(visitor.download(devices + "/jobs/" + job.id() + "/files/plates.zip")))
                .hasSizeGreaterThanOrEqualTo(5);
        assertThat(visitor.get(devices).body()).contains("press, done", "difference.png");
    }

    @Test
    void thePressRefusesAnInkThatItIsNotLoadedWithUntilItIs() {
        Swatch spot = new Swatch(work.scarf().id(), "Scarf", "", "", new Paint.Spot("Ember", Srgb.ofHex("#d2603f")));
        pond.bean(Palettes.class).change(work.project(), work.account(), List.of(new PaletteEdit.Change(spot)));
        work.lay(sheet, spot.id(), 500, 1000);
        visitor.submit(work.address(sheet) + "/press", "black", "false");
        DeviceJobs.View refused = over(0);
        assertThat(refused.state()).isEqualTo("refused");
        assertThat(refused.said()).contains("not loaded with Ember");
        assertThat(refused.files()).isEmpty();

        assertThat(visitor.get(devices).body()).contains("Ember");
        visitor.submit(devices + "/press/inks", "ink", "Ember");
        visitor.submit(work.address(sheet) + "/press", "black", "false");
        assertThat(over(0).said()).contains("5 plates");
        assertThat(visitor.submit(devices + "/press/inks", "ink", "a", "ink", "b", "ink", "c", "ink", "d", "ink", "e")
                        .statusCode())
                .isEqualTo(400);
    }

    @Test
    void theCutterCutsOneGroupOrEachOfThem() {
        work.lay(sheet, work.coat().id(), 500, 1000);
        work.lay(sheet, work.scarf().id(), 1500, 1000);
        assertThat(cut("group", "Juniper, Coat").body()).contains("Juniper, Coat");
        DeviceJobs.View coat = over(0);
        assertThat(coat.state()).as(coat.said()).isEqualTo("done");
        assertThat(coat.said()).startsWith("1 piece, ");
        String program = text(coat, "program.nc");
        assertThat(program).startsWith("%\n").contains("G21", "G2 ", "M2\n%");
        assertThat(text(coat, "drawing.svg")).contains("class=\"piece\"", "class=\"weed\"");

        assertThat(cut("group", "", "printed", "true").body()).contains("2 jobs");
        assertThat(over(0).files()).contains("print.png", "way.svg");
        assertThat(over(1).files()).contains("program.nc");
        assertThat(visitor.get(work.address(sheet) + "/export/cut.nc?group=Juniper,%20Coat")
                        .body())
                .isEqualTo(program);
        assertThat(visitor.get(work.address(sheet) + "/hand-on?cut="
                                + work.scarf().id())
                        .body())
                .containsPattern("value=\"Juniper, Scarf\" checked");
    }

    private String text(DeviceJobs.View job, String name) {
        return new String(visitor.download(devices + "/jobs/" + job.id() + "/files/" + name), StandardCharsets.UTF_8);
    }

    @Test
    void whatCannotBeCutIsSaidBeforeItIsSent() {
        assertThat(cut("group", "").body()).contains("nothing to cut");
        work.lay(sheet, work.coat().id(), 500, 1000);
        assertThat(cut("group", "Juniper, Hat").body()).contains("nothing to cut");
        assertThat(cut("group", "Juniper, Coat", "blade", "9").body()).contains("0 to 2 mm");
        assertThat(jobs.of(work.project())).isEmpty();
        cut("group", "Juniper, Coat", "smallest", "10000", "small", "LEFT_OUT");
        assertThat(over(0).said()).contains("large enough to cut");
    }

    @Test
    void aJobWaitsWhileItIsHeldAndNeverComesWhenItIsTakenBack() {
        work.lay(sheet, work.coat().id(), 500, 1000);
        cut("group", "Juniper, Coat", "held", "true");
        UUID held = jobs.of(work.project()).get(0).id();
        BackgroundTask.Node node = () -> {};
        pond.bean(DeviceWork.class).run(held, node);
        assertThat(jobs.of(work.project()).get(0).state()).isEqualTo("held");
        visitor.submit(devices + "/jobs/" + held + "/release");
        assertThat(over(0).state()).isEqualTo("done");

        cut("group", "Juniper, Coat", "held", "true");
        UUID other = jobs.of(work.project()).get(0).id();
        visitor.submit(devices + "/jobs/" + other + "/cancel");
        visitor.submit(devices + "/jobs/" + other + "/release");
        pond.bean(DeviceWork.class).run(other, node);
        assertThat(jobs.of(work.project()).get(0).state()).isEqualTo("taken back");
        assertThat(jobs.of(work.project()).get(0).files()).isEmpty();
    }

    @Test
    void aJobThatANodeStoppedInTheMiddleOfIsDoneByAnotherAndOnce() {
        work.lay(sheet, work.coat().id(), 500, 1000);
        cut("group", "Juniper, Coat", "held", "true");
        UUID job = jobs.of(work.project()).get(0).id();
        jobs.release(work.project(), job);
        jobs.begin(job);
        assertThat(jobs.of(work.project()).get(0).state()).isEqualTo("cutting");
        assertThat(jobs.unfinished()).contains(job);
        pond.bean(DeviceWork.class).run(job, () -> {});
        assertThat(jobs.of(work.project()).get(0).state()).isEqualTo("done");
        assertThat(jobs.begin(job)).as("it is not sent a second time").isEmpty();
    }

    @Test
    void jobsOfOthersAreNotThere() {
        work.lay(sheet, work.coat().id(), 500, 1000);
        cut("group", "Juniper, Coat", "held", "true");
        UUID job = jobs.of(work.project()).get(0).id();
        Work other = Work.begin(pond);
        Visitor stranger = Visitor.signedIn(pond, other.person());
        String there = "/projects/" + other.project() + "/devices/jobs/" + job;
        assertThat(stranger.submit(there + "/cancel").statusCode()).isEqualTo(404);
        assertThat(stranger.get(there + "/files/program.nc").statusCode()).isEqualTo(404);
        assertThat(jobs.of(work.project()).get(0).state()).isEqualTo("held");
    }
}
