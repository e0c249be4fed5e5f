import { polar } from "../../mixer/models";
import { difference } from "../../mixer/steps";
import type { Fills } from "../model/fills";
import type { Regions } from "../model/regions";
import { hexOf } from "../model/looks";
import { swatchesOf } from "../model/made";
import { NO_FILL, type Fill } from "../model/state";

/** A colour in use on the sheet. */
export interface Row {
  readonly fill: Fill;
  readonly name: string;
  readonly colour: string;
  /** Whether it is one swatch all over; else a gradient, a pattern, or what the paper shows through. */
  readonly isSwatch: boolean;
  /** The name of its card; empty for no fill. */
  readonly card: string;
  readonly cells: number[];
  readonly regions: number;
  /** Of the sheet, 0 to 1. */
  readonly share: number;
}

export type Order = "area" | "count" | "hue" | "lightness" | "card" | "name";

/**
 * The colours in use on a sheet, in an order; what has no fill comes first. A swatch is in use in gradients and patterns too, which have rows of their own besides.
 *
 * @param isMeant which cells are looked at
 */
export function ledgerOf(
  regions: Regions,
  fills: Fills,
  order: Order,
  isMeant: (cell: number) => boolean,
): Row[] {
  const byFill = new Map<Fill, number[]>();
  for (let cell = 0; cell < fills.cellCount; cell++) {
    const fill = fills.of(cell);
    if (!isMeant(cell)) {
      continue;
    }
    for (const row of new Set([fill, ...swatchesOf(fill)])) {
      const cells = byFill.get(row);
      if (cells) {
        cells.push(cell);
      } else {
        byFill.set(row, [cell]);
      }
    }
  }
  const { width, height } = regions.map.plane;
  const rows = [...byFill].map(([fill, cells]) => ({
    fill,
    name: fill === NO_FILL ? "No fill yet" : fills.nameOf(fill),
    colour: fill === NO_FILL ? "" : hexOf(fills.colour(fill)),
    isSwatch: fills.swatch(fill) !== undefined,
    card: fills.cardOf(fill)?.name ?? "",
    cells,
    regions: new Set(cells.map((cell) => regions.of(cell))).size,
    share: cells.reduce((sum, cell) => sum + regions.map.cells[cell]!.area, 0) / (width * height),
  }));
  return rows.sort((a, b) => Number(b.fill === NO_FILL) - Number(a.fill === NO_FILL) || compare(order, a, b));
}

function compare(order: Order, a: Row, b: Row): number {
  switch (order) {
    case "area":
      return b.share - a.share;
    case "count":
      return b.regions - a.regions;
    case "lightness":
      return difference(b.colour || "#000000", "#000000") - difference(a.colour || "#000000", "#000000");
    case "hue":
      return polar(a.colour || "#000000", 0).h - polar(b.colour || "#000000", 0).h;
    case "card":
      return a.card.localeCompare(b.card) || a.name.localeCompare(b.name);
    case "name":
      return a.name.localeCompare(b.name);
  }
}

/** Two colours of a sheet that are hard to tell apart, by eye or by name. */
export interface Twins {
  readonly first: Row;
  readonly second: Row;
  readonly away: number;
}

/** Pairs of rows nearer to each other than a CIEDE2000 difference, or of the same name, nearest first. */
export function nearTwins(rows: readonly Row[], threshold: number): Twins[] {
  const filled = rows.filter((row) => row.isSwatch);
  const pairs = filled.flatMap((first, i) =>
    filled.slice(i + 1).map((second) => ({ first, second, away: difference(first.colour, second.colour) })),
  );
  const isNamed = ({ first, second }: Twins) => first.name.toLowerCase() === second.name.toLowerCase();
  return pairs.filter((pair) => pair.away < threshold || isNamed(pair)).sort((a, b) => a.away - b.away);
}
