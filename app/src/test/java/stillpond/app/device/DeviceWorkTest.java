package stillpond.app.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import stillpond.app.background.BackgroundTask.Node;
import stillpond.app.export.PageMemory;
import stillpond.app.sheet.Sheets;
import stillpond.core.refusal.Refusal;

/** What somebody is told when a device, or what leads to it, fails. */
class DeviceWorkTest {

    private final DeviceJobs jobs = mock(DeviceJobs.class);
    private final Sheets sheets = mock(Sheets.class);
    private final PageMemory memory = mock(PageMemory.class);
    private final Node node = mock(Node.class);
    private final DeviceWork work = new DeviceWork(jobs, sheets, mock(PressWork.class), mock(CutterWork.class), memory);
    private final DeviceJob job = new DeviceJob(
            UUID.randomUUID(),
            UUID.randomUUID(),
            UUID.randomUUID(),
            Instant.EPOCH,
            DeviceJob.Device.PRESS,
            "The crossing",
            "{}",
            false);

    @BeforeEach
    void aJobWaits() {
        when(jobs.begin(any())).thenReturn(Optional.of(job));
    }

    private void theDeviceAnswersWith(Throwable fault) {
        when(memory.during(any(), anyString(), anyInt(), any())).thenThrow(fault);
    }

    private String said() {
        work.run(UUID.randomUUID(), node);
        ArgumentCaptor<Came> came = ArgumentCaptor.forClass(Came.class);
        verify(jobs).end(any(), came.capture());
        assertThat(came.getValue().isDone()).isFalse();
        assertThat(came.getValue().files()).isEmpty();
        return came.getValue().words();
    }

    @Test
    void aRefusalIsToldInItsOwnWords() {
        theDeviceAnswersWith(new Refusal("The press is not loaded with Ember."));
        assertThat(said()).isEqualTo("The press is not loaded with Ember.");
    }

    @Test
    void aFaultEndsTheJobAndIsNoSecret() {
        theDeviceAnswersWith(new IllegalStateException("paper jam"));
        assertThat(said()).contains("Something went wrong here").doesNotContain("paper jam");
    }

    @Test
    void tooLargeASheetIsSaid() {
        theDeviceAnswersWith(new OutOfMemoryError());
        assertThat(said()).contains("more memory than there is");
    }

    @Test
    void aSheetThatIsGoneIsSaid() {
        when(sheets.get(job.projectId(), job.sheetId())).thenThrow(new NoSuchElementException());
        assertThat(said()).contains("not there any more");
    }

    @Test
    void aNodeThatStopsLeavesTheJobToAnother() {
        doThrow(new CancellationException()).when(node).requireGoingOn();
        assertThatThrownBy(() -> work.run(UUID.randomUUID(), node)).isInstanceOf(CancellationException.class);
        verify(jobs, never()).begin(any());
        verify(jobs, never()).end(any(), any());
    }

    @Test
    void aJobThatAnotherNodeTookIsLeftAlone() {
        when(jobs.begin(any())).thenReturn(Optional.empty());
        work.run(UUID.randomUUID(), node);
        verify(jobs, never()).end(any(), any());
    }
}
