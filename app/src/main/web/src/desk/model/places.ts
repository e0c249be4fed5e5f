/** What can wear a fill, as one number: a cell; a stroke by the numbers from -1 down; the width of a stroke by those from -2^29 down; a shadow by those from -2^30 down. */
const FIRST_WIDTH = -(2 ** 29);
const FIRST_SHADOW = -(2 ** 30);

export function placeOfStroke(stroke: number): number {
  return -1 - stroke;
}

export function placeOfShadow(shadow: number): number {
  return FIRST_SHADOW - shadow;
}

export function isCell(place: number): boolean {
  return place >= 0;
}

export function isStroke(place: number): boolean {
  return place < 0 && place > FIRST_WIDTH;
}

export function placeOfWidth(stroke: number): number {
  return FIRST_WIDTH - stroke;
}

export function isWidth(place: number): boolean {
  return place <= FIRST_WIDTH && place > FIRST_SHADOW;
}

export function strokeOfWidth(place: number): number {
  return FIRST_WIDTH - place;
}

export function isShadow(place: number): boolean {
  return place <= FIRST_SHADOW;
}

export function strokesAmong(places: readonly number[]): number[] {
  return places.filter(isStroke).map(strokeOf);
}

export function cellsAmong(places: readonly number[]): number[] {
  return places.filter(isCell);
}

/** Such as "3 regions, 1 stroke and 2 shadows"; empty if there are none. */
export function countedPlaces(
  regions: number,
  strokes: number,
  shadows = 0,
  { gaps, groups } = { gaps: 0, groups: 0 },
): string {
  const all = [
    counted(regions, "region"),
    counted(strokes, "stroke"),
    counted(shadows, "shadow"),
    counted(gaps, "gap"),
    counted(groups, "group"),
  ].filter((each) => each !== "");
  return all.length < 2 ? (all[0] ?? "") : `${all.slice(0, -1).join(", ")} and ${all.at(-1)}`;
}

function counted(count: number, what: string): string {
  return count === 0 ? "" : `${count} ${what}${count === 1 ? "" : "s"}`;
}

/** The number of a stroke in its map. */
export function strokeOf(place: number): number {
  return -1 - place;
}

/** The number of a shadow on its layer. */
export function shadowOf(place: number): number {
  return FIRST_SHADOW - place;
}
