package stillpond.app.history;

import java.util.Optional;
import java.util.UUID;

/**
 * A part of a project is another now. Published within the transaction that changes it, once it is known that something changed.
 *
 * @param sheet empty if it is about the whole project
 * @param author empty if nobody asked for it
 */
public record Happened(UUID project, Optional<UUID> sheet, Part part, Optional<UUID> author) {}
