package stillpond.app.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.util.unit.DataSize;
import stillpond.app.settings.PondSettings;
import stillpond.app.support.Drawings;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.UnreadableFile;

class PictureFilesTest {

    private static final Duration LONG = Duration.ofSeconds(60);
    /** Long enough for a good file, and for a process that reads it to come up, on a busy machine. */
    private static final Duration SHORT = Duration.ofSeconds(3);

    private PictureFiles files;

    private PictureFiles files(Duration time, int memoryMb, int heapMb, Duration patience) {
        PondSettings.Reading settings = new PondSettings.Reading(
                1, time, DataSize.ofMegabytes(memoryMb), DataSize.ofMegabytes(heapMb), patience);
        files = new PictureFiles(settings, WorkingMemory.of(settings));
        return files;
    }

    @AfterEach
    void stop() {
        files.stop();
    }

    private static byte[] square(int side) {
        return Drawings.png(side, side, pen -> {
            pen.setColor(Color.RED);
            pen.fillRect(0, 0, side / 2, side);
        });
    }

    @Test
    void aPictureComesOutAsItWasAndAGoodOneFollowsABadOne() {
        files(LONG, 256, 512, LONG);
        for (int i = 0; i < 2; i++) {
            int[] seen = files.with(square(300), ImageLimits.DEFAULT, read -> {
                assertThat(read.picture().widthPx()).isEqualTo(300);
                return new int[] {read.picture().argbAt(10, 299), read.picture().argbAt(200, 0)};
            });
            assertThat(seen).containsExactly(0xffff0000, 0);
            assertThatThrownBy(() -> files.with("no picture".getBytes(), ImageLimits.DEFAULT, read -> 0))
                    .isInstanceOf(UnreadableFile.class)
                    .hasMessageContaining("not a picture");
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<path d='M0 0 H600 V400 H0 Z' stroke='#000' stroke-width='3' stroke-dasharray='0.00001'/>",
                "<defs><pattern id='p' width='0.01' height='0.01' patternUnits='userSpaceOnUse'>"
                        + "<circle r='0.004'/></pattern></defs><rect width='600' height='400' fill='url(#p)'/>",
            })
    void whatTakesForEverIsStoppedOrRefusedInTime(String body) {
        files(SHORT, 256, 512, LONG);
        try {
            files.with(Drawings.svg(body), ImageLimits.DEFAULT, read -> 0);
        } catch (UnreadableFile refusal) {
            assertThat(refusal).hasMessageMatching(".*(longer than 3 seconds|cannot be drawn|more memory).*");
        }
        assertThat(files.<Integer>with(
                        square(20), ImageLimits.DEFAULT, read -> read.picture().widthPx()))
                .isEqualTo(20);
    }

    @Test
    void whatNeedsMoreMemoryThanOneFileIsGivenIsRefused() {
        files(LONG, 64, 8192, LONG);
        assertThatThrownBy(() -> files.with(square(6000), ImageLimits.DEFAULT, read -> 0))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("more memory");
        assertThat(files.<Integer>with(
                        square(20), ImageLimits.DEFAULT, read -> read.picture().widthPx()))
                .isEqualTo(20);
    }

    @Test
    void whatIsLargerThanAllThatIsWorkedOnAtOnceIsRefusedByItsSize() {
        files(LONG, 256, 64, LONG);
        assertThatThrownBy(() -> files.with(square(3000), ImageLimits.DEFAULT, read -> 0))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("9 megapixels; this server has memory for 5");
    }

    @Test
    void oneWaitsForTheMemoryThatAnotherHasAndIsToldWhenItTakesTooLong() throws Exception {
        files(LONG, 256, 64, Duration.ofMillis(300));
        CountDownLatch isAtWork = new CountDownLatch(1);
        CountDownLatch mayEnd = new CountDownLatch(1);
        ExecutorService other = Executors.newSingleThreadExecutor();
        Future<Integer> first = other.submit(() -> files.<Integer>with(square(1900), ImageLimits.DEFAULT, read -> {
            isAtWork.countDown();
            await(mayEnd);
            return 1;
        }));
        assertThat(isAtWork.await(60, TimeUnit.SECONDS)).isTrue();
        assertThatThrownBy(() -> files.with(square(1900), ImageLimits.DEFAULT, read -> 2))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("try again in a minute");
        mayEnd.countDown();
        assertThat(first.get()).isEqualTo(1);
        assertThat(files.<Integer>with(square(1900), ImageLimits.DEFAULT, read -> 3))
                .isEqualTo(3);
        other.shutdown();
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
