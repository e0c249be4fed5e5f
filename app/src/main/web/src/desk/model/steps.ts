import type { Opening } from "./openings";
import { Sets } from "./sets";

/** How many dams one step up may lift one after the other, and how many one step down may raise. */
const MOST_MERGES = 9;

/**
 * The openings to leave open so that a cell's region becomes the next larger one that stands out: of the regions that it grows through as its weakest dams are lifted one by
 * one, the one which the strongest rise of level holds together. The same rule as in the core's regions.
 */
export function bigger(all: readonly Opening[], regionOfCell: readonly number[], cell: number): number[] {
  const sets = new Sets(regionOfCell.length);
  const firstOf = new Map<number, number>();
  regionOfCell.forEach((region, each) => {
    sets.join(each, firstOf.get(region) ?? each);
    firstOf.set(region, firstOf.get(region) ?? each);
  });
  let [best, rise] = [[] as number[], -1];
  let level = weakestAround(all, sets, cell);
  for (let step = 0; level !== undefined && step < MOST_MERGES; step++) {
    takeIn(all, sets, cell, level);
    const next = weakestAround(all, sets, cell);
    if ((next ?? 1) - level > rise) {
      rise = (next ?? 1) - level;
      const own = sets.find(cell);
      best = all
        .filter((each) => sets.find(each.first) === own && sets.find(each.second) === own)
        .filter((each) => regionOfCell[each.first] !== regionOfCell[each.second])
        .map((each) => each.index);
    }
    level = next;
  }
  return best;
}

/** The openings to dam so that a cell's region becomes the next smaller one that stands out. */
export function smaller(all: readonly Opening[], regionOfCell: readonly number[], cell: number): number[] {
  const inside = all.filter(
    (each) =>
      regionOfCell[each.first] === regionOfCell[cell] &&
      regionOfCell[each.second] === regionOfCell[cell] &&
      each.first !== each.second,
  );
  let [best, fall] = [undefined as Sets | undefined, -1];
  let level = strongest(inside);
  for (let step = 0; level !== undefined && step < MOST_MERGES; step++) {
    const pieces = new Sets(regionOfCell.length);
    const below = level;
    inside.filter((each) => each.strength < below).forEach((each) => pieces.join(each.first, each.second));
    const own = pieces.find(cell);
    const next = strongest(
      inside.filter((each) => pieces.find(each.first) === own && pieces.find(each.second) === own),
    );
    if (level - (next ?? 0) > fall) {
      [best, fall] = [pieces, level - (next ?? 0)];
    }
    level = next;
  }
  if (!best) {
    return [];
  }
  const [kept, own] = [best, best.find(cell)];
  return inside
    .filter((each) => (kept.find(each.first) === own) !== (kept.find(each.second) === own))
    .map((each) => each.index);
}

function strongest(openings: readonly Opening[]): number | undefined {
  return openings.length === 0 ? undefined : Math.max(...openings.map((each) => each.strength));
}

function weakestAround(all: readonly Opening[], sets: Sets, cell: number): number | undefined {
  const own = sets.find(cell);
  let weakest: number | undefined;
  for (const each of all) {
    const bounds = (sets.find(each.first) === own) !== (sets.find(each.second) === own);
    if (bounds && (weakest === undefined || each.strength < weakest)) {
      weakest = each.strength;
    }
  }
  return weakest;
}

/** Joins all that lies behind openings of at most a strength around a cell's set. */
function takeIn(all: readonly Opening[], sets: Sets, cell: number, level: number): void {
  for (let grows = true; grows;) {
    grows = false;
    for (const each of all) {
      const own = sets.find(cell);
      const bounds = (sets.find(each.first) === own) !== (sets.find(each.second) === own);
      if (bounds && each.strength <= level) {
        sets.join(each.first, each.second);
        grows = true;
      }
    }
  }
}
