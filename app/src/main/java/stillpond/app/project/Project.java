package stillpond.app.project;

import java.util.UUID;

/** A project as others see it. */
public record Project(UUID id, String title) {}
