package stillpond.app.carry;

import jakarta.persistence.Embeddable;

/**
 * Where a region is seen, as shares of the width and the height of its sheet.
 *
 * @param x of its deepest point, as {@code y}
 * @param boxLeft of the box around it, as {@code boxTop}, {@code boxWidth} and {@code boxHeight}
 */
@Embeddable
record Seen(double x, double y, double boxLeft, double boxTop, double boxWidth, double boxHeight) {}
