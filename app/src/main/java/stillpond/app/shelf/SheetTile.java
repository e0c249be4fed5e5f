package stillpond.app.shelf;

import java.util.UUID;
import stillpond.app.sheet.Progress;
import stillpond.app.sheet.SheetState;

/**
 * A sheet as a small picture with its progress.
 *
 * @param inHand the name of who has it in hand, or empty
 */
public record SheetTile(UUID id, String title, long revision, Progress progress, SheetState state, String inHand) {}
