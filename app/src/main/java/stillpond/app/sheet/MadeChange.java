package stillpond.app.sheet;

import java.util.UUID;
import stillpond.core.fill.Change;

/** A change that stands in a sheet's log. */
public record MadeChange(UUID id, UUID layer, long revision, Change change) {}
