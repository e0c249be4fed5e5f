package stillpond.app.shelf;

import java.util.UUID;
import stillpond.app.sheet.Progress;

/** A sheet as a small picture with its progress. */
public record SheetTile(UUID id, String title, long revision, Progress progress) {}
