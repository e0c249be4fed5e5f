/** What can wear a fill, as one number: a cell, or a stroke by the numbers from -1 down. */
export function placeOfStroke(stroke: number): number {
  return -1 - stroke;
}

export function isStroke(place: number): boolean {
  return place < 0;
}

export function strokesAmong(places: readonly number[]): number[] {
  return places.filter(isStroke).map(strokeOf);
}

export function cellsAmong(places: readonly number[]): number[] {
  return places.filter((place) => !isStroke(place));
}

/** Such as "3 regions and 1 stroke"; empty if there are none. */
export function countedPlaces(regions: number, strokes: number): string {
  return [counted(regions, "region"), counted(strokes, "stroke")].filter((each) => each !== "").join(" and ");
}

function counted(count: number, what: string): string {
  return count === 0 ? "" : `${count} ${what}${count === 1 ? "" : "s"}`;
}

/** The number of a stroke in its map. */
export function strokeOf(place: number): number {
  return -1 - place;
}
