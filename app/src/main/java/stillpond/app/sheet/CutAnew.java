package stillpond.app.sheet;

import java.util.UUID;
import stillpond.core.ink.Placing;

/**
 * A layer has other cells now. Published within the transaction that changes it.
 *
 * @param standing of the layer
 * @param placing where the pixels of the new drawing lie in the one before
 */
public record CutAnew(UUID standing, Placing placing) {}
