import type { CellMap } from "../model/planes";

export type Direction = "left" | "right" | "up" | "down";

const UNIT: Record<Direction, readonly [number, number]> = {
  left: [-1, 0],
  right: [1, 0],
  up: [0, -1],
  down: [0, 1],
};

/** A cell twice as far off the axis as along it is not "to the right" of anything. */
const WIDEST_SLOPE = 2;
const OFF_AXIS_COST = 2;

/**
 * The cell that somebody would call the next one in a direction: of all cells whose deepest points lie that way, the one that is nearest,
 * counting steps aside double; neighbours count half, since they are seen to touch. Where no cell lies that way, a neighbour that reaches
 * further out that way, such as the page around a figure; and the same cell if there is none either.
 */
export function towards(map: CellMap, from: number, direction: Direction): number {
  const [ux, uy] = UNIT[direction];
  const { deepestX, deepestY } = map.cells[from]!;
  const neighbours = new Set(map.neighbours[from]);
  let best = from;
  let bestCost = Infinity;
  map.cells.forEach((cell, number) => {
    const dx = cell.deepestX - deepestX;
    const dy = cell.deepestY - deepestY;
    const along = dx * ux + dy * uy;
    const aside = Math.abs(dx * uy - dy * ux);
    if (number === from || along <= 0 || aside > along * WIDEST_SLOPE) {
      return;
    }
    const cost = (along + OFF_AXIS_COST * aside) * (neighbours.has(number) ? 0.5 : 1);
    if (cost < bestCost) {
      bestCost = cost;
      best = number;
    }
  });
  return best === from ? (furtherOut(map, from, ux, uy) ?? from) : best;
}

function furtherOut(map: CellMap, from: number, ux: number, uy: number): number | undefined {
  const reach = (number: number) => {
    const { x, y, width, height } = map.cells[number]!;
    return Math.max(ux * x, ux * (x + width)) + Math.max(uy * y, uy * (y + height));
  };
  return map.neighbours[from]!.find((number) => reach(number) > reach(from));
}
