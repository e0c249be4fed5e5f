import { Layer } from "rules";
import type { Point } from "../view/camera";
import { fetchBytes } from "./planes";
import { NumberReader } from "./numbers";

/** A place where two cells meet with no ink between; see docs/formats.md. */
export interface Opening {
  readonly index: number;
  readonly first: number;
  readonly second: number;
  readonly widthPx: number;
  /** 0 to 1: how surely a dam should stand there. */
  readonly strength: number;
  /** Whether it was drawn by hand. */
  readonly byHand: boolean;
  readonly line: Point[];
  readonly middle: Point;
}

export interface Openings {
  readonly strokePx: number;
  readonly defaultReach: number;
  /** Whether there were more possible gaps than are looked at. */
  readonly isLimited: boolean;
  readonly all: Opening[];
}

/** Place of "drawn by hand" in the kinds that the format numbers. */
const BY_HAND = 7;

export const NO_OPENINGS: Openings = { strokePx: 1, defaultReach: 1, isLimited: false, all: [] };

export async function fetchOpenings(path: string | null): Promise<Openings> {
  if (path === null) {
    return NO_OPENINGS;
  }
  const reader = new NumberReader(await fetchBytes(path));
  const strokePx = reader.number() / 1000;
  const defaultReach = reader.number() / 1e6;
  const isLimited = reader.number() === 1;
  const all = Array.from({ length: reader.number() }, (_, index) => readOpening(reader, index));
  return { strokePx, defaultReach, isLimited, all };
}

export function readOpening(reader: NumberReader, index: number): Opening {
  const first = reader.number();
  const second = reader.number();
  const byHand = reader.number() === BY_HAND;
  const widthPx = reader.number() / 10;
  reader.number();
  const strength = reader.number() / 1e6;
  const line = Array.from({ length: reader.number() }, () => {
    const x = reader.signed() / 10;
    return { x, y: reader.signed() / 10 };
  });
  return { index, first, second, widthPx, strength, byHand, line, middle: middleOf(line) };
}

function middleOf(line: readonly Point[]): Point {
  const [x, y] = Layer.middleOf(line.flatMap((point) => [point.x, point.y]));
  return { x: x!, y: y! };
}
