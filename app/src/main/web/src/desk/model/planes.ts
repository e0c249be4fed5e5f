import { Refusal } from "../../shared/http";
import { NumberReader } from "./numbers";

/** How much ink lies on each pixel, 0 to 255, row by row. */
export interface InkPlane {
  readonly width: number;
  readonly height: number;
  readonly threshold: number;
  readonly density: Uint8Array;
}

export type CellNumbers = Uint16Array | Uint32Array;

/** The number of the cell of each pixel, row by row. */
export interface CellPlane {
  readonly width: number;
  readonly height: number;
  readonly numbers: CellNumbers;
}

/** What is known of one cell; see docs/formats.md. */
export interface Cell {
  readonly area: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly deepestX: number;
  readonly deepestY: number;
  readonly depth: number;
}

export interface CellMap {
  readonly plane: CellPlane;
  readonly cells: Cell[];
  /** The neighbours of each cell, by number, with the length of the border they share. */
  readonly neighbours: Map<number, number>[];
}

const MAX_SHORT_CELLS = 65536;

export async function fetchInk(path: string): Promise<InkPlane> {
  const reader = new NumberReader(await fetchBytes(path));
  const width = reader.number();
  const height = reader.number();
  const threshold = reader.number();
  return { width, height, threshold, density: reader.rest() };
}

/** @param cellCount how many cells the plane has */
export async function fetchCells(path: string, cellCount: number): Promise<CellPlane> {
  return readPlane(new NumberReader(await fetchBytes(path)), cellCount);
}

export async function fetchCellMap(path: string, cellCount: number): Promise<CellMap> {
  const reader = new NumberReader(await fetchBytes(path));
  const plane = readPlane(reader, cellCount);
  const cells = Array.from({ length: reader.number() }, () => readCell(reader));
  const neighbours = cells.map(() => new Map<number, number>());
  for (let borders = reader.number(); borders > 0; borders--) {
    const first = reader.number();
    const second = reader.number();
    const length = reader.number();
    neighbours[first]!.set(second, length);
    neighbours[second]!.set(first, length);
  }
  return { plane, cells, neighbours };
}

export async function fetchBytes(path: string): Promise<Uint8Array> {
  // Without headers of ours, so that the browser takes what the page had it fetch ahead.
  const response = await fetch(path);
  if (!response.ok || response.redirected) {
    throw new Refusal(response.status, response.redirected ? "You are signed out." : response.statusText);
  }
  return new Uint8Array(await response.arrayBuffer());
}

function readPlane(reader: NumberReader, cellCount: number): CellPlane {
  const width = reader.number();
  const height = reader.number();
  const size = width * height;
  const numbers = cellCount <= MAX_SHORT_CELLS ? new Uint16Array(size) : new Uint32Array(size);
  let cell = 0;
  for (let at = 0; at < size;) {
    const end = at + reader.number();
    cell += reader.signed();
    numbers.fill(cell, at, end);
    at = end;
  }
  return { width, height, numbers };
}

export function readCell(reader: NumberReader): Cell {
  return {
    area: reader.number(),
    x: reader.number(),
    y: reader.number(),
    width: reader.number(),
    height: reader.number(),
    deepestX: reader.number(),
    deepestY: reader.number(),
    depth: Math.sqrt(reader.number()),
  };
}
