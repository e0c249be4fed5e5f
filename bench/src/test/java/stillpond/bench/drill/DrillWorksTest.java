package stillpond.bench.drill;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;
import stillpond.bench.ServedDemo;
import stillpond.bench.ServedProcess;

/** Each part of the drill does its work once, small; they fail by themselves when a promise is broken. */
@EnabledIfEnvironmentVariable(named = "POND_TEST", matches = "all")
class DrillWorksTest {

    private static ServedProcess pond;

    @BeforeAll
    static void serve() throws Exception {
        pond = ServedDemo.start();
        pond.url();
    }

    @AfterAll
    static void stop() {
        pond.close();
    }

    @Test
    void nothingIsLostWhenTheServerIsKilled() throws Exception {
        KillDrill.Figures figures = new KillDrill(pond, 1, () -> {
                    pond.kill();
                    pond.start();
                })
                .run();
        assertThat(figures.acknowledged()).isGreaterThan(5);
        assertThat(figures.replayed().changes()).isGreaterThanOrEqualTo(figures.acknowledged());
        assertThat(figures.replayed().lines()).isGreaterThan(1);
    }

    @Test
    void hostileFilesAreAnswered() throws Exception {
        FileDrill.Figures figures = new FileDrill(pond, false, 24).run();
        assertThat(figures.answers().values().stream()
                        .mapToInt(Integer::intValue)
                        .sum())
                .isEqualTo(24);
        assertThat(figures.answers()).containsKeys("2xx", "4xx");
    }

    @Test
    void strangersGetNowhere() throws Exception {
        assertThat(new StrangerDrill(pond).run().tried()).isGreaterThan(15);
    }

    @Test
    void anAbusiveMemberIsMeasured() throws Exception {
        AbuseDrill.Figures figures = new AbuseDrill(pond, 1, 4).run();
        assertThat(figures.fills()).isPositive();
        assertThat(figures.asked()).isPositive();
    }

    @Test
    void whatIsHeldIsMeasuredWhilePeopleWork() throws Exception {
        SoakDrill.Figures figures = new SoakDrill(pond, 3, Duration.ofSeconds(30), Duration.ofSeconds(2)).run();
        assertThat(figures.fills()).isGreaterThan(30);
        assertThat(figures.late().heapMb()).isPositive();
        assertThat(figures.late().threads()).isPositive();
        assertThat(figures.late().sessions()).isGreaterThanOrEqualTo(3);
    }
}
