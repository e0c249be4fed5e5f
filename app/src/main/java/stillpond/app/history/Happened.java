package stillpond.app.history;

import java.util.Optional;
import java.util.UUID;

/**
 * A part of a project is another now. Published within the transaction that changes it, once it is known that something changed.
 *
 * @param sheet empty if it is about the whole project
 * @param change the row of the log; empty if nobody asked for it, so that there is none
 * @param author likewise
 */
public record Happened(UUID project, Optional<UUID> sheet, Part part, Optional<UUID> change, Optional<UUID> author) {}
