package stillpond.app.desk;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import stillpond.app.sheet.HandDams;
import stillpond.core.refusal.Refusal;
import tools.jackson.databind.json.JsonMapper;

/** Answers a line drawn by hand in two lines of JSON: what it has cut at once, and that it is stored when it is. */
@Component
class LineAnswers {

    private static final Logger LOG = LoggerFactory.getLogger(LineAnswers.class);

    private final JsonMapper json;

    LineAnswers(JsonMapper json) {
        this.json = json;
    }

    /** @param changed whether the line parts or joins anything; else nothing was changed, and no other line comes */
    record Seen(boolean changed, @Nullable UUID layer, byte @Nullable [] patch) {}

    /** @param reason why not; null if it is */
    record Stored(boolean stored, @Nullable String reason) {}

    /**
     * Has a line drawn. What goes wrong before anything is answered is thrown on.
     *
     * @param drawing tells what it has cut, and returns whether it has changed anything
     */
    void write(HttpServletResponse response, Predicate<Consumer<HandDams.Cut>> drawing) throws IOException {
        response.setContentType("application/x-ndjson");
        try {
            boolean changed = drawing.test(cut -> tell(response, new Seen(true, cut.layer(), cut.patch())));
            tell(response, changed ? new Stored(true, null) : new Seen(false, null, null));
        } catch (RuntimeException e) {
            if (!response.isCommitted()) {
                response.reset();
                throw e;
            }
            LOG.warn("A line that was drawn could not be stored", e);
            String reason = e instanceof Refusal ? e.getMessage() : "The line could not be stored.";
            tell(response, new Stored(false, reason));
        }
    }

    /** Whoever has gone away meanwhile still wants the line stored. */
    private void tell(HttpServletResponse response, Object answer) {
        try {
            OutputStream out = response.getOutputStream();
            out.write((json.writeValueAsString(answer) + "\n").getBytes(StandardCharsets.UTF_8));
            out.flush();
        } catch (IOException e) {
            LOG.debug("Nobody listens any more", e);
        }
    }
}
