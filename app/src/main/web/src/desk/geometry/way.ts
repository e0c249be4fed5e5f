import type { Point } from "./camera";

/** X, then y, of each. */
export function wayOf(points: readonly Point[]): number[] {
  return points.flatMap(({ x, y }) => [x, y]);
}

/** @param way x, then y */
export function pointsOf(way: ArrayLike<number>): Point[] {
  return Array.from({ length: way.length / 2 }, (_, i) => ({ x: way[2 * i]!, y: way[2 * i + 1]! }));
}

/** From a place to the nearest side of a polygon. */
export function distance({ x, y }: Point, polygon: readonly Point[]): number {
  const away = polygon.map((a, i) => {
    const b = polygon[(i + 1) % polygon.length]!;
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const along = ((x - a.x) * dx + (y - a.y) * dy) / Math.max(1e-9, dx * dx + dy * dy);
    const share = Math.min(1, Math.max(0, along));
    return Math.hypot(a.x + share * dx - x, a.y + share * dy - y);
  });
  return Math.min(...away);
}
