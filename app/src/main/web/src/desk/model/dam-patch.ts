import type { Box } from "../view/tiles";
import { NumberReader } from "./numbers";
import { readOpening, type Opening, type Openings } from "./openings";
import { readCell, type Cell, type CellMap, type CellPlane } from "./planes";

/** What a line drawn by hand has changed; see docs/formats.md. */
export interface DamPatch {
  /** The boxes, with their cell numbers row by row. */
  readonly boxes: readonly { readonly box: Box; readonly numbers: Uint32Array }[];
  readonly split: readonly { readonly cell: number; readonly parts: ReadonlyMap<number, Cell> }[];
  /** Of all parts. */
  readonly borders: readonly { readonly first: number; readonly second: number; readonly length: number }[];
  /** New ones, and those that are others now. */
  readonly openings: readonly Opening[];
  /** Indices of the dam's own. */
  readonly dam: readonly number[];
}

/** @param base64 as the server sends it */
export function readDamPatch(base64: string): DamPatch {
  const reader = new NumberReader(Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0)));
  return {
    boxes: several(reader, () => readBox(reader)),
    split: several(reader, () => ({
      cell: reader.number(),
      parts: new Map(several(reader, () => [reader.number(), readCell(reader)] as const)),
    })),
    borders: several(reader, () => ({
      first: reader.number(),
      second: reader.number(),
      length: reader.number(),
    })),
    openings: several(reader, () => readOpening(reader, reader.number())),
    dam: several(reader, () => reader.number()),
  };
}

/** Whether a plane's numbers are long enough for the new cells. */
export function hasRoomFor(plane: CellPlane, patch: DamPatch): boolean {
  const newest = Math.max(0, ...patch.split.flatMap(({ parts }) => [...parts.keys()]));
  return newest < 2 ** (8 * plane.numbers.BYTES_PER_ELEMENT);
}

/** Changes a map in place, and returns it as it is then. */
export function patchMap(map: CellMap, patch: DamPatch): CellMap {
  const { plane, neighbours } = map;
  const cells = [...map.cells];
  for (const { box, numbers } of patch.boxes) {
    for (let y = 0; y < box.height; y++) {
      const row = numbers.subarray(y * box.width, (y + 1) * box.width);
      plane.numbers.set(row, (box.y + y) * plane.width + box.x);
    }
  }
  for (const { parts } of patch.split) {
    for (const [number, cell] of parts) {
      cells[number] = cell;
      neighbours[number]?.forEach((_, other) => neighbours[other]!.delete(number));
      neighbours[number] = new Map();
    }
  }
  for (const { first, second, length } of patch.borders) {
    neighbours[first]!.set(second, length);
    neighbours[second]!.set(first, length);
  }
  return { plane, cells, neighbours };
}

export function patchOpenings(openings: Openings, patch: DamPatch): Openings {
  const all = [...openings.all];
  patch.openings.forEach((opening) => (all[opening.index] = opening));
  return { ...openings, all };
}

function several<T>(reader: NumberReader, read: () => T): T[] {
  return Array.from({ length: reader.number() }, read);
}

function readBox(reader: NumberReader): DamPatch["boxes"][number] {
  const box = {
    x: reader.number(),
    y: reader.number(),
    width: reader.number(),
    height: reader.number(),
  };
  const numbers = new Uint32Array(box.width * box.height);
  for (let at = 0; at < numbers.length;) {
    const end = at + reader.number();
    numbers.fill(reader.number(), at, end);
    at = end;
  }
  return { box, numbers };
}
