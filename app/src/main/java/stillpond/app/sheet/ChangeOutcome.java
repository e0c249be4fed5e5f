package stillpond.app.sheet;

import java.util.Optional;
import java.util.UUID;

/** What became of a request. */
public sealed interface ChangeOutcome {

    /** It stands in the log, now or since an earlier time the same was asked. @param leftAlone what stays, since it was changed since, in words */
    record Made(MadeChange change, Optional<String> leftAlone) implements ChangeOutcome {}

    /** There was nothing to change; the log is as it was. */
    record Unneeded(UUID request) implements ChangeOutcome {}

    /** It was not made; the sheet is as it was. */
    record Refused(UUID request, String reason) implements ChangeOutcome {}
}
