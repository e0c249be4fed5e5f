package stillpond.core.handon;

import stillpond.core.fill.Fill;

/**
 * What of a layer is one shape when it is handed on.
 *
 * @param group what it is put to, such as "Juniper, coat"
 * @param name of its own in that group
 */
public record Face(String group, String name, Fill fill) {}
