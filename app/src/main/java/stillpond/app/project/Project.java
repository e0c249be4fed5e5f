package stillpond.app.project;

import java.util.Optional;
import java.util.UUID;

/** A project as others see it. @param cover the sheet that stands for it; empty: whichever are furthest */
public record Project(UUID id, String title, Optional<UUID> cover) {}
