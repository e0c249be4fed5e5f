import type { Layer } from "rules";
import type { Point } from "../geometry/camera";

/** A place where two cells meet with no ink between. */
export interface Opening {
  readonly index: number;
  readonly first: number;
  readonly second: number;
  readonly widthPx: number;
  /** 0 to 1: how surely a dam should stand there. */
  readonly strength: number;
  /** Whether it was drawn by hand. */
  readonly byHand: boolean;
  readonly line: Point[];
  readonly middle: Point;
}

/** The openings of a layer, as they are drawn again and again. */
export function openingsOf(layer: Layer): Opening[] {
  return Array.from({ length: layer.openingCount() }, (_, index) => {
    const { first, second, widthPx, strength, byHand, line, middleX, middleY } = layer.opening(index);
    const points = Array.from({ length: line.length / 2 }, (_, i) => ({
      x: line[2 * i]!,
      y: line[2 * i + 1]!,
    }));
    const middle = { x: middleX, y: middleY };
    return { index, first, second, widthPx, strength, byHand, line: points, middle };
  });
}
