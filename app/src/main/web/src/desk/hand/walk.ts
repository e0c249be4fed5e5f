import type { Regions } from "../model/regions";

export type Direction = "left" | "right" | "up" | "down";

const UNIT: Record<Direction, readonly [number, number]> = {
  left: [-1, 0],
  right: [1, 0],
  up: [0, -1],
  down: [0, 1],
};

/** A region twice as far off the axis as along it is not "to the right" of anything. */
const WIDEST_SLOPE = 2;
const OFF_AXIS_COST = 2;

/**
 * The region that somebody would call the next one in a direction: of all regions whose deepest points lie that way, the one that is nearest,
 * counting steps aside double; neighbours count half, since they are seen to touch. Where no region lies that way, a neighbour that reaches
 * further out that way, such as the page around a figure; and the same region if there is none either.
 */
export function towards(regions: Regions, from: number, direction: Direction): number {
  const [ux, uy] = UNIT[direction];
  const { deepestX, deepestY } = regions.shape(from);
  const neighbours = neighboursOf(regions, from);
  let best = from;
  let bestCost = Infinity;
  for (let number = 0; number < regions.count; number++) {
    const shape = regions.shape(number);
    const dx = shape.deepestX - deepestX;
    const dy = shape.deepestY - deepestY;
    const along = dx * ux + dy * uy;
    const aside = Math.abs(dx * uy - dy * ux);
    if (number === from || along <= 0 || aside > along * WIDEST_SLOPE) {
      continue;
    }
    const cost = (along + OFF_AXIS_COST * aside) * (neighbours.has(number) ? 0.5 : 1);
    if (cost < bestCost) {
      bestCost = cost;
      best = number;
    }
  }
  return best === from ? (furtherOut(regions, from, ux, uy) ?? from) : best;
}

/** Rows of a sheet in which empty regions are gone through from left to right. */
const ROWS = 8;

/** The next region after a place, in reading order and round to the start, that has a cell without a fill; undefined if every one is filled. */
export function nextEmpty(
  regions: Regions,
  from: number | undefined,
  isEmpty: (cell: number) => boolean,
): number | undefined {
  const rowHeight = regions.map.plane.height / ROWS;
  const order = (region: number) => {
    const { deepestX, deepestY } = regions.shape(region);
    return Math.floor(deepestY / rowHeight) * regions.map.plane.width + deepestX;
  };
  const start = from === undefined ? -1 : order(from);
  const empty = [...Array(regions.count).keys()]
    .filter((region) => region !== from && regions.shape(region).cells.some(isEmpty))
    .sort((a, b) => order(a) - order(b));
  return empty.find((region) => order(region) > start) ?? empty[0];
}

function neighboursOf(regions: Regions, region: number): Set<number> {
  const cells = regions.shape(region).cells;
  const around = cells.flatMap((cell) =>
    [...regions.map.neighbours[cell]!.keys()].map((each) => regions.of(each)),
  );
  return new Set(around.filter((each) => each !== region));
}

function furtherOut(regions: Regions, from: number, ux: number, uy: number): number | undefined {
  const reach = (number: number) => {
    const { x, y, width, height } = regions.shape(number);
    return Math.max(ux * x, ux * (x + width)) + Math.max(uy * y, uy * (y + height));
  };
  return [...neighboursOf(regions, from)].find((number) => reach(number) > reach(from));
}
