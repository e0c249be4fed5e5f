import { Layer, Plane, SheetShadows, type PlaneBox } from "rules";
import { Refusal } from "../../shared/http";

/** How much ink lies on each pixel, 0 to 255, row by row. */
export interface InkPlane {
  readonly width: number;
  readonly height: number;
  readonly threshold: number;
  readonly density: Uint8Array;
}

/** The number of the cell of each pixel, row by row. */
export interface CellPlane {
  readonly width: number;
  readonly height: number;
  readonly numbers: Uint16Array | Uint32Array;
}

/** The plane of a layer, which is drawn, and all else that is known of the layer. */
export interface CellMap {
  readonly plane: CellPlane;
  readonly layer: Layer;
}

const INK_START_BYTES = 16;

export async function fetchInk(path: string): Promise<InkPlane> {
  const sent = await fetchBytes(path);
  const { width, height, threshold, length } = Plane.inkStart(sent.subarray(0, INK_START_BYTES));
  return { width, height, threshold, density: new Uint8Array(sent.buffer).subarray(length) };
}

/** @param cellCount how many cells the plane has */
export async function fetchCells(path: string, cellCount: number): Promise<CellPlane> {
  return laidOut(Plane.read(await fetchBytes(path)), cellCount);
}

/** The stroke of each pixel, in a plane of a size of its own. */
export interface StrokePlane extends CellPlane {
  /** By stroke, how dense its ink is where it is solid, 1 to 255. */
  readonly solids: Int32Array;
}

export async function fetchStrokes(path: string, count: number): Promise<StrokePlane> {
  const plane = Plane.readStrokes(await fetchBytes(path));
  return { ...laidOut(plane, count), solids: plane.solids() };
}

/** @param openings null while they are not known */
export async function fetchCellMap(
  path: string,
  openings: string | null,
  cellCount: number,
): Promise<CellMap> {
  const [cells, between] = await Promise.all([fetchBytes(path), openings ? fetchBytes(openings) : []]);
  return { plane: laidOut(Plane.read(cells), cellCount), layer: Layer.read(cells, between) };
}

async function fetchBytes(path: string): Promise<Int8Array> {
  // Without headers of ours, so that the browser takes what the page had it fetch ahead.
  const response = await fetch(path);
  if (!response.ok || response.redirected) {
    throw new Refusal(response.status, response.redirected ? "You are signed out." : response.statusText);
  }
  return new Int8Array(await response.arrayBuffer());
}

function laidOut(plane: Plane, cellCount: number): CellPlane {
  const [width, height] = [plane.widthPx(), plane.heightPx()];
  const numbers = new (hasShortNumbers(cellCount) ? Uint16Array : Uint32Array)(width * height);
  const [ends, cells] = [plane.ends(), plane.cells()];
  for (let i = 0, start = 0; i < ends.length; start = ends[i++]!) {
    numbers.fill(cells[i]!, start, ends[i]);
  }
  return { width, height, numbers };
}

/** Whether the numbers of so many cells, and of what shadows cut them into, are kept in two bytes each. */
export function hasShortNumbers(cellCount: number): boolean {
  return SheetShadows.keepsToTwoBytes(cellCount);
}

/** Puts boxes into a plane. */
export function putInto(plane: CellPlane, boxes: readonly PlaneBox[]): void {
  for (const { x, y, width, height, numbers } of boxes) {
    for (let row = 0; row < height; row++) {
      plane.numbers.set(numbers.subarray(row * width, (row + 1) * width), (y + row) * plane.width + x);
    }
  }
}
