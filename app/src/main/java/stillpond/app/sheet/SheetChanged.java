package stillpond.app.sheet;

import java.util.UUID;

/** Somebody has changed a sheet. */
public record SheetChanged(UUID project, UUID sheet, UUID author) {}
