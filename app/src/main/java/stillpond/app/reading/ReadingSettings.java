package stillpond.app.reading;

import java.lang.management.ManagementFactory;
import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.util.unit.DataSize;

/**
 * What reading pictures may cost.
 *
 * @param readers how many files are read at once
 * @param time for looking at one file and for decoding it, each
 * @param memory of the process that reads one; left out: a part of the machine's
 * @param heap of this process, from which follows how many pixels are worked on at once; left out: as much as it has
 * @param patience how long a file waits for its turn
 */
@ConfigurationProperties("pond.reading")
record ReadingSettings(
        @DefaultValue("2") int readers,
        @DefaultValue("9s") Duration time,
        DataSize memory,
        DataSize heap,
        @DefaultValue("2m") Duration patience) {

    private static final long LEAST_MEMORY = 1L << 30;
    private static final long MOST_MEMORY = 4L << 30;
    private static final int PART_OF_MACHINE = 5;

    ReadingSettings {
        memory = memory == null ? DataSize.ofBytes(partOfMachine()) : memory;
        heap = heap == null ? DataSize.ofBytes(Runtime.getRuntime().maxMemory()) : heap;
    }

    private static long partOfMachine() {
        var machine = (com.sun.management.OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
        return Math.max(LEAST_MEMORY, Math.min(MOST_MEMORY, machine.getTotalMemorySize() / PART_OF_MACHINE));
    }
}
