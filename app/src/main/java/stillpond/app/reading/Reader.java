package stillpond.app.reading;

import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.IntBuffer;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.UnreadableFile;
import stillpond.core.ink.Picture;

/** A process that reads pictures, see {@link ReaderMain}, and what is said to it. For one thread at a time. */
final class Reader implements AutoCloseable {

    private static final int CHUNK_PIXELS = 1 << 16;

    private final Process process;
    private final DataOutputStream out;
    private final DataInputStream in;
    private final ScheduledExecutorService watch;
    private volatile boolean isOverdue;
    private boolean isWaiting;

    /** @throws IOException if the process does not come up */
    Reader(ProcessBuilder command, ScheduledExecutorService watch) throws IOException {
        this.process = command.redirectError(ProcessBuilder.Redirect.DISCARD).start();
        this.out = new DataOutputStream(new BufferedOutputStream(process.getOutputStream(), 1 << 16));
        this.in = new DataInputStream(process.getInputStream());
        this.watch = watch;
        in.readByte();
    }

    /** What is known of a picture before it is decoded. */
    record Found(int widthPx, int heightPx, List<String> leftOut) {
        long pixels() {
            return (long) widthPx * heightPx;
        }
    }

    /** One that was left while it waits to be told to decode is of no more use. */
    boolean isUsable() {
        return process.isAlive() && !isOverdue && !isWaiting;
    }

    /** @throws UnreadableFile if it cannot be read, with a message for the user */
    Found open(byte[] file, ImageLimits limits, Duration budget) {
        return inTime(budget, () -> {
            out.writeInt(file.length);
            out.write(file);
            out.writeLong(limits.maxBytes());
            out.writeLong(limits.maxPixels());
            out.writeInt(limits.maxSidePx());
            out.writeInt(limits.vectorLongSidePx());
            out.flush();
            requireFine();
            int width = in.readInt();
            int height = in.readInt();
            List<String> leftOut = new ArrayList<>();
            for (int more = in.readInt(); more > 0; more--) {
                leftOut.add(in.readUTF());
            }
            isWaiting = true;
            return new Found(width, height, leftOut);
        });
    }

    /** What comes of some work on the picture that was opened last. @throws UnreadableFile as {@link #open} */
    byte[] work(Class<? extends PictureWork> work, byte[] argument, Duration budget) {
        return told(work.getName(), argument, budget);
    }

    /** The layers of the file that was opened last; see {@link PictureFiles#takeApart}. */
    byte[] takeApart(Duration budget) {
        return told(ReaderMain.APART, new byte[0], budget);
    }

    private byte[] told(String work, byte[] argument, Duration budget) {
        return inTime(budget, () -> {
            tell(work, argument);
            byte[] result = new byte[in.readInt()];
            in.readFully(result);
            return result;
        });
    }

    private void tell(String work, byte[] argument) throws IOException {
        isWaiting = false;
        out.writeUTF(work);
        out.writeInt(argument.length);
        out.write(argument);
        out.flush();
        requireFine();
    }

    /** The picture that was opened last. @throws UnreadableFile as {@link #open} */
    Picture decode(Duration budget) {
        return inTime(budget, () -> {
            tell("", new byte[0]);
            int width = in.readInt();
            int height = in.readInt();
            int[] argb = new int[Math.multiplyExact(width, height)];
            byte[] bytes = new byte[CHUNK_PIXELS * Integer.BYTES];
            IntBuffer pixels = ByteBuffer.wrap(bytes).asIntBuffer();
            for (int start = 0; start < argb.length; start += CHUNK_PIXELS) {
                int count = Math.min(CHUNK_PIXELS, argb.length - start);
                in.readFully(bytes, 0, count * Integer.BYTES);
                pixels.rewind().get(argb, start, count);
            }
            return new Picture(width, height, argb);
        });
    }

    private void requireFine() throws IOException {
        if (in.readByte() != ReaderMain.FINE) {
            throw new UnreadableFile(in.readUTF());
        }
    }

    /**
     * Stops the process when it has used up its time. That is time of its processor, since a file is not to blame for what else a machine does; but it ends in any case after some times as
     * long.
     */
    private final class Limit implements Runnable {

        private static final int MOST_TIMES = 4;
        private static final long LEAST_WAIT_MS = 100;

        private final Duration budget;
        private final Duration before = used();
        private final long started = System.nanoTime();
        private ScheduledFuture<?> next;
        private boolean isLifted;

        Limit(Duration budget) {
            this.budget = budget;
            waitFor(budget);
        }

        private synchronized void waitFor(Duration time) {
            if (!isLifted) {
                next = watch.schedule(this, Math.max(LEAST_WAIT_MS, time.toMillis()), TimeUnit.MILLISECONDS);
            }
        }

        private synchronized void lift() {
            isLifted = true;
            next.cancel(false);
        }

        @Override
        public void run() {
            Duration left = budget.minus(used().minus(before));
            boolean isLate = System.nanoTime() - started >= MOST_TIMES * budget.toNanos();
            if (isLate || left.isNegative() || left.isZero()) {
                isOverdue = true;
                process.destroyForcibly();
            } else {
                waitFor(left);
            }
        }
    }

    /** Where a system does not tell, no time is used; the limit by the clock holds there. */
    private Duration used() {
        return process.info().totalCpuDuration().orElse(Duration.ZERO);
    }

    private interface Talk<T> {
        T talk() throws IOException;
    }

    private <T> T inTime(Duration budget, Talk<T> talk) {
        Limit limit = new Limit(budget);
        try {
            return talk.talk();
        } catch (IOException e) {
            close();
            throw new UnreadableFile(
                    isOverdue
                            ? "The file takes longer than " + budget.toSeconds()
                                    + " seconds to take in, so that was stopped. Bring it simpler or smaller, or as PNG."
                            : "The file brought down what was to read it, so it was not taken. Bring it as PNG.",
                    e);
        } finally {
            limit.lift();
        }
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
