package stillpond.app.palette;

import java.util.UUID;

/** The palette of a project is another now. */
public record PaletteChanged(UUID project) {}
