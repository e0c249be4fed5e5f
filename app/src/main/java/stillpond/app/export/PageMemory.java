package stillpond.app.export;

import org.springframework.stereotype.Component;
import stillpond.app.reading.WorkingMemory;
import stillpond.app.sheet.Sheet;
import stillpond.core.refusal.Refusal;

/** The memory that a sheet takes while it is written or sent. */
@Component
public class PageMemory {

    private static final double GIGABYTE = 1 << 30;

    private final WorkingMemory memory;

    PageMemory(WorkingMemory memory) {
        this.memory = memory;
    }

    /** @param <E> how the work fails */
    public interface Work<T, E extends Exception> {
        T done() throws E;
    }

    /**
     * Does some work on a sheet while there is memory for it.
     *
     * @param what the sheet becomes, for people, to follow "as"
     * @throws Refusal if the sheet is too large for this server
     */
    public <T, E extends Exception> T during(Sheet sheet, String what, int bytesPerPixel, Work<T, E> work) throws E {
        WorkingMemory.Hold held = hold(sheet, what, bytesPerPixel);
        try {
            return work.done();
        } finally {
            held.close();
        }
    }

    <T, E extends Exception> T during(Sheet sheet, FileForm form, Work<T, E> work) throws E {
        return during(sheet, form.words(), form.bytesPerPixel(), work);
    }

    private WorkingMemory.Hold hold(Sheet sheet, String what, int bytesPerPixel) {
        long pixels = (long) sheet.widthPx() * sheet.heightPx();
        return memory.hold(
                pixels * bytesPerPixel,
                most -> new Refusal(String.format(
                        "'%s' has %d megapixels. As %s it takes %.1f GB of memory, and this server has %.1f GB for that; hand it on in another form.",
                        sheet.title(), pixels / 1_000_000, what, pixels * bytesPerPixel / GIGABYTE, most / GIGABYTE)));
    }
}
