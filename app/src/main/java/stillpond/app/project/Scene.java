package stillpond.app.project;

import java.util.UUID;

/** A scene as others see it. */
public record Scene(UUID id, UUID project, String title) {}
