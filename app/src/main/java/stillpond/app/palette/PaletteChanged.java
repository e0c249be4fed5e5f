package stillpond.app.palette;

import java.util.UUID;

/** The palette of a project, or how its scenes are staged, is another now. Published within the transaction that changes it. */
public record PaletteChanged(UUID project, UUID author) {}
