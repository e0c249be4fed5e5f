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

/** Half way along a line. */
function middleOf(line: Point[]): Point {
  const lengths = line.slice(1).map((point, i) => Math.hypot(point.x - line[i]!.x, point.y - line[i]!.y));
  let left = lengths.reduce((sum, length) => sum + length, 0) / 2;
  for (let i = 0; i < lengths.length; i++) {
    if (left <= lengths[i]! && lengths[i]! > 0) {
      const part = left / lengths[i]!;
      const [from, to] = [line[i]!, line[i + 1]!];
      return { x: from.x + part * (to.x - from.x), y: from.y + part * (to.y - from.y) };
    }
    left -= lengths[i]!;
  }
  return line[0]!;
}
