package stillpond.app.reading;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import stillpond.app.settings.PondSettings;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.UnreadableFile;
import stillpond.core.ink.Picture;

/**
 * Reads pictures within budgets: each in a process that is stopped when it takes too long and that has a heap of its own, so many at a time;
 * and of all that are worked on at once no more pixels than this process has memory for. What waits is taken in turn.
 */
@Component
public class PictureFiles {

    /** A decoded picture, and as much again for what is made of it here. */
    private static final int BYTES_PER_PIXEL = 8;

    private final PondSettings.Reading settings;
    private final ProcessBuilder command;
    private final ScheduledExecutorService watch = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "reading-watch");
        thread.setDaemon(true);
        return thread;
    });
    private final BlockingQueue<Reader> idle;
    private final Semaphore readers;
    private final WorkingMemory memory;

    @Autowired
    PictureFiles(PondSettings settings, WorkingMemory memory) {
        this(settings.reading(), memory);
    }

    PictureFiles(PondSettings.Reading settings, WorkingMemory memory) {
        this.settings = settings;
        this.memory = memory;
        this.command = command(settings);
        this.idle = new ArrayBlockingQueue<>(settings.readers());
        this.readers = new Semaphore(settings.readers(), true);
    }

    /**
     * A picture, and what of its file is not in it.
     *
     * @param leftOut for the user to read, each to follow "without"
     */
    public record Read(Picture picture, List<String> leftOut) {}

    /**
     * Reads a picture and has something done with it here, while there is memory for it.
     *
     * @throws UnreadableFile with a message for the user
     */
    public <T> T with(byte[] file, ImageLimits limits, Function<Read, T> use) {
        List<WorkingMemory.Hold> held = new ArrayList<>();
        try {
            Read read = talk(reader -> {
                Reader.Found found = reader.open(file, limits, settings.time());
                held.add(hold(found.pixels()));
                return new Read(reader.decode(settings.time()), found.leftOut());
            });
            return use.apply(read);
        } finally {
            held.forEach(WorkingMemory.Hold::close);
        }
    }

    /** What came of some work, and what of the file the picture did not hold; see {@link Read}. */
    public record Worked(byte[] result, List<String> leftOut) {}

    /** How long some work may take, for a picture of so many pixels. */
    public interface Budget {
        Duration of(long pixels);
    }

    /**
     * Reads a picture and has some work done where it is read.
     *
     * @param argument for the work
     * @throws UnreadableFile with a message for the user
     */
    public Worked work(
            byte[] file, ImageLimits limits, Class<? extends PictureWork> work, byte[] argument, Budget budget) {
        return talk(reader -> {
            Reader.Found found = reader.open(file, limits, settings.time());
            return new Worked(reader.work(work, argument, budget.of(found.pixels())), found.leftOut());
        });
    }

    /**
     * Tells the layers of a file apart: its width and height, how many layers it has, and of each its name, its picture as a length and bytes, where it lies, its opacity in percent
     * and whether it is hidden.
     *
     * @throws UnreadableFile with a message for the user
     */
    public byte[] takeApart(byte[] file, ImageLimits limits, Budget budget) {
        return talk(reader -> {
            Reader.Found found = reader.open(file, limits, settings.time());
            return reader.takeApart(budget.of(found.pixels()));
        });
    }

    private <T> T talk(Function<Reader, T> talk) {
        acquire(readers, 1);
        try {
            Reader reader = reader();
            try {
                return talk.apply(reader);
            } finally {
                giveBack(reader);
            }
        } finally {
            readers.release();
        }
    }

    private WorkingMemory.Hold hold(long pixels) {
        return memory.hold(
                pixels * BYTES_PER_PIXEL,
                most -> new UnreadableFile(
                        "The picture is " + pixels / 1_000_000 + " megapixels; this server has memory for "
                                + most / BYTES_PER_PIXEL / 1_000_000 + ". Bring it smaller, or in parts."));
    }

    private void acquire(Semaphore from, int permits) {
        try {
            if (!from.tryAcquire(permits, settings.patience().toMillis(), TimeUnit.MILLISECONDS)) {
                throw new NotNow(
                        "Other large files are being read just now. Nothing was taken; bring it again in a minute.");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new NotNow("The server is about to stop. Nothing was taken; bring it again in a minute.");
        }
    }

    private Reader reader() {
        for (Reader known = idle.poll(); known != null; known = idle.poll()) {
            if (known.isUsable()) {
                return known;
            }
            known.close();
        }
        try {
            return new Reader(command, watch);
        } catch (IOException e) {
            throw new UncheckedIOException("The process that reads pictures could not be started", e);
        }
    }

    private void giveBack(Reader reader) {
        if (!reader.isUsable() || !idle.offer(reader)) {
            reader.close();
        }
    }

    /**
     * From the packed application the class is found through its own launcher. Who brings a file waits for it anyway; whoever lays a fill
     * meanwhile goes first, so the process is nice.
     */
    private static ProcessBuilder command(PondSettings.Reading settings) {
        String java = ProcessHandle.current().info().command().orElse("java");
        String classPath = ManagementFactory.getRuntimeMXBean().getClassPath();
        String main = ReaderMain.class.getName();
        String launcher = "org.springframework.boot.loader.launch.PropertiesLauncher";
        boolean isPacked = ClassLoader.getSystemResource(launcher.replace('.', '/') + ".class") != null;
        return new ProcessBuilder(
                "nice",
                java,
                "-Xmx" + settings.memory().toMegabytes() + "m",
                "-XX:+UseSerialGC",
                "-XX:MinHeapFreeRatio=10",
                "-XX:MaxHeapFreeRatio=30",
                "-Xss2m",
                "-Djava.awt.headless=true",
                "-Dloader.main=" + main,
                "-cp",
                classPath,
                isPacked ? launcher : main);
    }

    @PreDestroy
    void stop() {
        watch.shutdownNow();
        idle.forEach(Reader::close);
    }
}
