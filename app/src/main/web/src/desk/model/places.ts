/** What can wear a fill, as one number: a cell, or a stroke by the numbers from -1 down. */
export function placeOfStroke(stroke: number): number {
  return -1 - stroke;
}

export function isStroke(place: number): boolean {
  return place < 0;
}

/** The number of a stroke in its map. */
export function strokeOf(place: number): number {
  return -1 - place;
}
