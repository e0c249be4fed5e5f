package stillpond.app.shelf;

import java.util.List;
import java.util.UUID;

/** A scene with its sheets in order. */
public record SceneView(UUID id, String title, List<SheetTile> sheets) {}
