import type { Point } from "./camera";

/** X, then y, of each. */
export function wayOf(points: readonly Point[]): number[] {
  return points.flatMap(({ x, y }) => [x, y]);
}

/** @param way x, then y */
export function pointsOf(way: ArrayLike<number>): Point[] {
  return Array.from({ length: way.length / 2 }, (_, i) => ({ x: way[2 * i]!, y: way[2 * i + 1]! }));
}
