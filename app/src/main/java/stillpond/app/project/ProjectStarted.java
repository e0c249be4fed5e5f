package stillpond.app.project;

import java.util.UUID;

/** A project was started; whoever listens takes part in the same transaction. */
public record ProjectStarted(UUID project) {}
