package stillpond.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Duration;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.mockito.Mockito;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.background.Background;
import stillpond.app.background.BackgroundTask;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.UnreadableFile;

/** The gaps of sheets, found in the background. */
class SharpeningTest {

    private static final BackgroundTask.Node GOES_ON = () -> {};

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Sheet sheet = work.bringSmall(Drawings.threeBoxes());
    private final Sheets sheets = mock(Sheets.class);
    private final Analyses analyses = mock(Analyses.class);
    private final LayerCuts cuts = mock(LayerCuts.class);
    private final Sharpening sharpening = sharpening();

    private Sharpening sharpening() {
        when(sheets.wherever(any())).thenReturn(sheet);
        Planes planes = mock(Planes.class);
        ObjectProvider<Background> background = Mockito.mock();
        return new Sharpening(sheets, cuts, planes, analyses, ImageLimits.DEFAULT, new VisibleInks(planes), background);
    }

    @Test
    void aSheetThatIsOpenedGetsItsGapsWhileItIsWorkedOn() {
        assertThat(isSharp()).isFalse();
        Visitor.signedIn(pond, work.person()).get(work.address(sheet));
        await().atMost(Duration.ofSeconds(60)).until(this::isSharp);
    }

    @Test
    void whatANodeThatDiedHadBegunIsTakenUpByAnother() {
        assertThat(isSharp()).isFalse();
        pond.bean(JdbcClient.class).sql("""
                        insert into scheduled_prompt_tasks (task_name, task_instance, execution_time, picked, picked_by, last_heartbeat, version)
                        values ('sharpening', ?, now() - interval '1 hour', true, 'a node that died', now() - interval '1 hour', 1)""").param(sheet.id().toString()).update();
        await().atMost(Duration.ofSeconds(60)).until(this::isSharp);
    }

    private boolean isSharp() {
        return pond.bean(Sheets.class).wherever(sheet.id()).layers().stream().allMatch(Layer::isSharp);
    }

    @Test
    void aSheetWhoseAnalysisWasStoppedIsNotTriedEachTimeItIsOpened() {
        when(analyses.whole(any(), any(), any(), any(), any())).thenThrow(new UnreadableFile("It takes too long."));
        sharpening.run(sheet.id(), GOES_ON);
        sharpening.run(sheet.id(), GOES_ON);
        verify(analyses, times(1)).whole(any(), any(), any(), any(), any());
        verify(cuts, never()).sharpen(any(), any(), any());
    }

    @Test
    void anAnalysisThatWasStoppedWithItsNodeIsTriedAgain() {
        AtomicBoolean isStopping = new AtomicBoolean();
        when(analyses.whole(any(), any(), any(), any(), any())).thenAnswer(call -> {
            isStopping.set(true);
            throw new UnreadableFile("The reader was stopped.");
        });
        assertThatThrownBy(() -> sharpening.run(sheet.id(), () -> {
                    if (isStopping.get()) {
                        throw new CancellationException();
                    }
                }))
                .isInstanceOf(CancellationException.class);
        sharpening.run(sheet.id(), GOES_ON);
        verify(analyses, times(2)).whole(any(), any(), any(), any(), any());
    }
}
