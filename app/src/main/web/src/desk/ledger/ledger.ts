import { Ledgers } from "rules";
import type { Fills } from "../model/fills";
import type { Regions } from "../model/regions";
import { hexOf } from "../model/looks";
import { placeOfStroke } from "../model/places";
import { NO_FILL, type Fill } from "../model/state";

/** A colour in use on the sheet. */
export interface Row {
  readonly fill: Fill;
  readonly name: string;
  readonly colour: string;
  /** Whether it is one swatch all over; else a gradient, a pattern, or what the paper shows through. */
  readonly isSwatch: boolean;
  /** The cells or strokes that wear it. */
  readonly places: number[];
  readonly regions: number;
  /** 0 for what regions wear. */
  readonly strokes: number;
  /** 0 for what regions and ink wear. */
  readonly shadows: number;
  /** Of the sheet, 0 to 1. */
  readonly share: number;
}

/**
 * The colours in use on a sheet, in regions, on ink and in shadows, in an order; what has no fill comes first.
 *
 * @param order as the core calls it
 * @param isMeant which cells and strokes are looked at
 * @param cellsUnder the cells that a shadow is seen on, which stand for it
 */
export function ledgerOf(
  regions: Regions,
  fills: Fills,
  order: string,
  isMeant: (place: number) => boolean,
  cellsUnder: (shadow: number) => number[],
): Row[] {
  const flats = regions
    .ledger(fills.all, isMeant)
    .map((row) => ({ ...row, places: row.cells, strokes: 0, shadows: 0 }));
  const ink = Ledgers.ink(
    fills.ofInk.map((fill, stroke) => (isMeant(placeOfStroke(stroke)) ? fill : NO_FILL)),
  );
  const onInk = ink.map(({ swatch, strokes }) => ({
    fill: swatch,
    places: [...strokes].map(placeOfStroke),
    regions: 0,
    strokes: strokes.length,
    shadows: 0,
    share: 0,
  }));
  const inShadows = [...fills.shadows()].map(([fill, shadows]) => ({
    fill,
    places: [...new Set(shadows.flatMap(cellsUnder))].filter(isMeant),
    regions: 0,
    strokes: 0,
    shadows: shadows.length,
    share: 0,
  }));
  const all = [...flats, ...onInk, ...inShadows.filter(({ places }) => places.length > 0)].map(
    (row): Row => ({
      ...row,
      name: row.fill === NO_FILL ? "No fill yet" : fills.nameOf(row.fill),
      colour: row.fill === NO_FILL ? "" : hexOf(fills.colour(row.fill)),
      isSwatch: fills.swatch(row.fill) !== undefined,
    }),
  );
  const rows = all.filter((row) => row.fill !== NO_FILL);
  const ordered = Ledgers.ordered(
    order,
    rows.map((row) => row.name),
    rows.map((row) => fills.placeOfCard(row.fill)),
    rows.map((row) => row.colour),
    rows.map((row) => row.share),
    rows.map((row) => row.regions + row.strokes + row.shadows),
  );
  return [...all.filter((row) => row.fill === NO_FILL), ...[...ordered].map((i) => rows[i]!)];
}

/** Two colours of a sheet that are hard to tell apart, by eye or by name. */
export interface Twins {
  readonly first: Row;
  readonly second: Row;
  readonly away: number;
}

/** Pairs of rows of other swatches, nearest first. @param threshold CIEDE2000 */
export function nearTwins(rows: readonly Row[], threshold: number): Twins[] {
  const firstOf = new Map(rows.filter((row) => row.isSwatch).map((row) => [row.fill, row] as const));
  const filled = [...firstOf.values()];
  return Ledgers.nearTwins(
    filled.map((row) => row.name),
    filled.map((row) => row.colour),
    threshold,
  ).map(({ first, second, difference }) => ({
    first: filled[first]!,
    second: filled[second]!,
    away: difference,
  }));
}
