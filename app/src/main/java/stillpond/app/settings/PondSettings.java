package stillpond.app.settings;

import java.lang.management.ManagementFactory;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.util.unit.DataSize;
import stillpond.core.format.ImageLimits;

/**
 * Everything that can be set.
 *
 * @param hosts the names by which the server may be called, without ports
 * @param quiet how long nobody may have worked on a sheet before it is compared with others
 * @param metricsToken what whoever reads metrics must know; empty: nobody reads them
 * @param demo whether the demo is loaded into an empty database, and its sign-in offered
 */
@ConfigurationProperties("pond")
public record PondSettings(
        Set<String> hosts,
        boolean demo,
        @DefaultValue("1m") Duration quiet,
        Print print,
        Limits limits,
        Reading reading,
        @DefaultValue Mail mail,
        @DefaultValue("") String metricsToken) {

    /**
     * The way by which letters leave.
     *
     * @param host of the mail server; empty: none is sent
     * @param from whom they come from
     * @param tls whether the server must offer STARTTLS
     * @param standIn whether letters are kept and shown where there is no server: only where everybody who signs in may read everything
     */
    public record Mail(
            @DefaultValue("") String host,
            @DefaultValue("587") int port,
            @DefaultValue("") String user,
            @DefaultValue("") String password,
            @DefaultValue("still-pond@localhost") String from,
            @DefaultValue("true") boolean tls,
            @DefaultValue("false") boolean standIn) {}

    /** @param profile an ICC profile of printing inks, by which colours are judged where a project has none of its own */
    public record Print(Path profile) {}

    /**
     * How large what people send may be.
     *
     * @param maxProject a whole project as a file
     * @param maxFiles line art brought in at once
     * @param vectorLongSidePx how large a vector drawing is drawn
     * @see ImageLimits
     */
    public record Limits(
            DataSize maxFile, DataSize maxProject, long maxPixels, int maxSidePx, int maxFiles, int vectorLongSidePx) {

        public ImageLimits ofImages() {
            return new ImageLimits(maxFile.toBytes(), maxPixels, maxSidePx, vectorLongSidePx);
        }
    }

    /**
     * What reading pictures may cost.
     *
     * @param readers how many files are read at once
     * @param time for looking at one file and for decoding it, each
     * @param memory of the process that reads one; left out: a part of the machine's
     * @param heap of this process, from which follows how many pixels are worked on at once; left out: as much as it has
     * @param patience how long a file waits for its turn
     */
    public record Reading(
            @DefaultValue("2") int readers,
            @DefaultValue("9s") Duration time,
            @Nullable DataSize memory,
            @Nullable DataSize heap,
            @DefaultValue("2m") Duration patience) {

        private static final long LEAST_MEMORY = 1L << 30;
        private static final long MOST_MEMORY = 4L << 30;
        private static final int PART_OF_MACHINE = 5;

        public Reading {
            memory = memory == null ? DataSize.ofBytes(partOfMachine()) : memory;
            heap = heap == null ? DataSize.ofBytes(Runtime.getRuntime().maxMemory()) : heap;
        }

        private static long partOfMachine() {
            var machine = (com.sun.management.OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
            return Math.max(LEAST_MEMORY, Math.min(MOST_MEMORY, machine.getTotalMemorySize() / PART_OF_MACHINE));
        }
    }
}
