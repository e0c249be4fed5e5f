package stillpond.app.page;

import java.util.function.Supplier;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import stillpond.core.refusal.Refusal;

/** Tells on the page that follows what was taken back, or why it was not. */
public final class TakenBack {

    private TakenBack() {}

    /** @param step takes something back, and says in words what it was */
    public static void tell(RedirectAttributes told, Supplier<String> step) {
        try {
            told.addFlashAttribute("said", "Taken back: " + step.get() + ".");
        } catch (Refusal refusal) {
            told.addFlashAttribute("said", refusal.getMessage());
        }
    }
}
