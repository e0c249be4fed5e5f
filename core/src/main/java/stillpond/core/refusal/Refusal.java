package stillpond.core.refusal;

import java.util.NoSuchElementException;
import java.util.function.Supplier;

/**
 * What was asked for cannot be done, and nothing was changed. The message is for the user to read, word for word; everything else that is thrown is a
 * fault of ours, whose text nobody sees but us.
 */
public class Refusal extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    /** @param reason for the user to read */
    public Refusal(String reason) {
        super(reason);
    }

    /** @param cause what went wrong, which is not for the user */
    public Refusal(String reason, Throwable cause) {
        super(reason, cause);
    }

    /**
     * Reads a text that somebody has sent.
     *
     * @param otherwise what the user is told if it cannot be read
     * @param read reads it, and may fail in whatever way a text makes it fail
     * @throws Refusal if it cannot be read: its own if the reader has one, else {@code otherwise}
     */
    public static <T> T unlessRead(String otherwise, Supplier<T> read) {
        try {
            return read.get();
        } catch (Refusal told) {
            throw told;
        } catch (IllegalArgumentException | IndexOutOfBoundsException | NoSuchElementException unreadable) {
            throw new Refusal(otherwise);
        }
    }
}
