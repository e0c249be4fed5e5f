import { Ledgers } from "rules";
import type { Fills } from "../model/fills";
import type { Regions } from "../model/regions";
import { hexOf } from "../model/looks";
import { NO_FILL, type Fill } from "../model/state";

/** A colour in use on the sheet. */
export interface Row {
  readonly fill: Fill;
  readonly name: string;
  readonly colour: string;
  /** Whether it is one swatch all over; else a gradient, a pattern, or what the paper shows through. */
  readonly isSwatch: boolean;
  readonly cells: number[];
  readonly regions: number;
  /** Of the sheet, 0 to 1. */
  readonly share: number;
}

/**
 * The colours in use on a sheet, in an order; what has no fill comes first.
 *
 * @param order as the core calls it
 * @param isMeant which cells are looked at
 */
export function ledgerOf(
  regions: Regions,
  fills: Fills,
  order: string,
  isMeant: (cell: number) => boolean,
): Row[] {
  const all = regions.ledger(fills.all, isMeant).map((row): Row => ({
    ...row,
    name: row.fill === NO_FILL ? "No fill yet" : fills.nameOf(row.fill),
    colour: row.fill === NO_FILL ? "" : hexOf(fills.colour(row.fill)),
    isSwatch: fills.swatch(row.fill) !== undefined,
  }));
  const rows = all.filter((row) => row.fill !== NO_FILL);
  const ordered = Ledgers.ordered(
    order,
    rows.map((row) => row.name),
    rows.map((row) => fills.placeOfCard(row.fill)),
    rows.map((row) => row.colour),
    rows.map((row) => row.share),
    rows.map((row) => row.regions),
  );
  return [...all.filter((row) => row.fill === NO_FILL), ...[...ordered].map((i) => rows[i]!)];
}

/** Two colours of a sheet that are hard to tell apart, by eye or by name. */
export interface Twins {
  readonly first: Row;
  readonly second: Row;
  readonly away: number;
}

/** Pairs of rows, nearest first. @param threshold CIEDE2000 */
export function nearTwins(rows: readonly Row[], threshold: number): Twins[] {
  const filled = rows.filter((row) => row.isSwatch);
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
