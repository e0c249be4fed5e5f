import type { Opening } from "../model/openings";
import type { Regions } from "../model/regions";

/** All openings between the same two pieces: one gap, or several of one outline, dammed or left open together. */
export interface Gap {
  readonly openings: Opening[];
  /** At how many places they lie. */
  readonly places: number;
  readonly strength: number;
  /** Of the narrowest. */
  readonly widthPx: number;
  readonly isShut: boolean;
  /** Whether somebody has said so, rather than reach. */
  readonly isSaid: boolean;
  /** A cell of each piece, and the area of each. */
  readonly sides: readonly [GapSide, GapSide];
  /** How much would run or is kept from running: the area of the smaller piece. */
  readonly effect: number;
}

export interface GapSide {
  readonly cell: number;
  readonly area: number;
}

/** Weaker openings are no gaps that anybody would think of. */
const LEAST_STRENGTH = 0.05;
/** Open ones from this share of the reach on, and dammed ones this little above it, are worth a look. */
const DOUBTFUL_BELOW = 0.4;
const DOUBTFUL_ABOVE = 0.12;
/** Pieces of fewer square stroke widths hardly show. */
const LEAST_EFFECT_STROKES = 12;
const MOST_OPEN = 250;
/** Openings nearer to each other than this share of the wider one are one place. */
const SAME_PLACE = 0.8;
const CRUMB_STROKES = 0.45;

/** The gaps of a sheet, those with the largest effect first, then the wider ones. */
export function listGaps(regions: Regions): Gap[] {
  const gaps = [...dammed(regions), ...open(regions)];
  const least = LEAST_EFFECT_STROKES * regions.openings.strokePx ** 2;
  return gaps
    .filter((gap) => gap.effect >= least || gap.isSaid)
    .sort((a, b) => b.effect - a.effect || b.widthPx - a.widthPx);
}

/** Without the crumbs where closures cross each other; all, if there are only crumbs. */
export function withoutCrumbs(openings: Opening[], strokePx: number): Opening[] {
  const whole = openings.filter((each) => each.widthPx >= CRUMB_STROKES * strokePx);
  return whole.length > 0 ? whole : openings;
}

/** How many places some openings lie at: closures across one gap, only a little apart, are one place. */
export function countPlaces(openings: readonly Opening[]): number {
  const places: Opening[] = [];
  for (const opening of [...openings].sort((a, b) => a.widthPx - b.widthPx)) {
    const isNew = places.every((place) => {
      const away = Math.hypot(place.middle.x - opening.middle.x, place.middle.y - opening.middle.y);
      return away > SAME_PLACE * Math.max(place.widthPx, opening.widthPx);
    });
    if (isNew) {
      places.push(opening);
    }
  }
  return places.length;
}

export function isDoubtful(gap: Gap, reach: number): boolean {
  if (gap.isSaid) {
    return false;
  }
  return gap.isShut ? gap.strength < reach + DOUBTFUL_ABOVE : gap.strength >= reach * DOUBTFUL_BELOW;
}

function dammed(regions: Regions): Gap[] {
  const groups = new Map<string, Opening[]>();
  for (const opening of regions.openings.all) {
    const [a, b] = [regions.of(opening.first), regions.of(opening.second)];
    if (a !== b) {
      add(groups, `${Math.min(a, b)}/${Math.max(a, b)}`, opening);
    }
  }
  return [...groups.values()].map((openings) => {
    const first = openings[0]!;
    return gap(regions, openings, true, [
      { cell: first.first, area: regions.shape(regions.of(first.first)).area },
      { cell: first.second, area: regions.shape(regions.of(first.second)).area },
    ]);
  });
}

/** For each open one the two pieces that its region would fall into if it and all stronger ones were dammed. */
function open(regions: Regions): Gap[] {
  const candidates = regions.openings.all
    .filter((each) => each.strength >= LEAST_STRENGTH && !regions.isShut(each) && each.first !== each.second)
    .sort((a, b) => b.strength - a.strength)
    .slice(0, MOST_OPEN);
  const gaps: Gap[] = [];
  const taken = new Set<number>();
  for (const opening of candidates) {
    if (taken.has(opening.index)) {
      continue;
    }
    const pieces = regions.piecesBelow(opening.strength, regions.of(opening.first));
    const [a, b] = [pieces.of(opening.first), pieces.of(opening.second)];
    if (a === b) {
      continue;
    }
    const same = candidates.filter((each) => {
      const [c, d] = [pieces.of(each.first), pieces.of(each.second)];
      return (c === a && d === b) || (c === b && d === a);
    });
    same.forEach((each) => taken.add(each.index));
    gaps.push(
      gap(regions, same, false, [
        { cell: opening.first, area: pieces.area(a) },
        { cell: opening.second, area: pieces.area(b) },
      ]),
    );
  }
  return gaps;
}

function gap(regions: Regions, openings: Opening[], isShut: boolean, sides: [GapSide, GapSide]): Gap {
  const whole = withoutCrumbs(openings, regions.openings.strokePx);
  const narrowest = whole.reduce((best, each) => (each.widthPx < best.widthPx ? each : best));
  return {
    openings: [narrowest, ...openings.filter((each) => each !== narrowest)],
    places: countPlaces(whole),
    strength: Math.max(...openings.map((each) => each.strength)),
    widthPx: narrowest.widthPx,
    isShut,
    isSaid: openings.some((each) => regions.stateOf(each.index) !== "BY_REACH"),
    sides,
    effect: Math.min(sides[0].area, sides[1].area),
  };
}

function add(groups: Map<string, Opening[]>, key: string, opening: Opening): void {
  const group = groups.get(key);
  if (group) {
    group.push(opening);
  } else {
    groups.set(key, [opening]);
  }
}
