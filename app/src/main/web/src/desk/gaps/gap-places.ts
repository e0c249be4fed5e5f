import type { Opening } from "../model/openings";

/** Openings nearer to each other than this share of the wider one are one place. */
const SAME_PLACE = 0.8;
const CRUMB_STROKES = 0.45;

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
