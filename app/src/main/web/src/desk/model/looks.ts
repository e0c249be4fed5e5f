import { atom } from "nanostores";
import { Colours } from "rules";
import { madeOf, type Gradient, type Pattern } from "./made";
import type { Fill } from "./state";

/** Red, green, blue and opacity, 0 to 255. */
export type Rgba = readonly [number, number, number, number];

/** How many colours of a gradient are kept; the core keeps as many. */
export const STEPS = 256;
const CLEAR: Rgba = [0, 0, 0, 0];

/** A fill of several colours, ready to be drawn. */
export interface Look {
  readonly made: Gradient | Pattern;
  /** Along a gradient, or the colours of a pattern one after the other, as {@link Rgba}. */
  readonly colours: Uint8Array;
  /** Its colours taken together. */
  readonly mean: Rgba;
}

/** The fills of several colours that are worn on a sheet, each with a number of its own for as long as a cell wears it. */
export class Looks {
  /** Counts up whenever one of them looks otherwise. */
  readonly changed = atom(0);
  /** By number; undefined where a number is free. */
  readonly all: (Look | undefined)[] = [];
  private readonly worn = new Map<Fill, { number: number; cells: number }>();

  /** @param colourOf what a swatch shows now; undefined if there is no such swatch */
  constructor(private readonly colourOf: (swatch: Fill) => Rgba | undefined) {}

  /** The number of a fill of several colours; undefined for all others. */
  numberOf(fill: Fill): number | undefined {
    return this.worn.get(fill)?.number;
  }

  /** A cell begins to wear a fill. */
  take(fill: Fill): void {
    const known = this.worn.get(fill);
    const made = known ? undefined : madeOf(fill);
    if (known) {
      known.cells++;
    } else if (made && made.kind !== "flat") {
      const free = this.all.indexOf(undefined);
      const number = free < 0 ? this.all.length : free;
      this.worn.set(fill, { number, cells: 1 });
      this.all[number] = this.look(made);
      this.changed.set(this.changed.get() + 1);
    }
  }

  /** A cell no longer wears a fill. */
  drop(fill: Fill): void {
    const known = this.worn.get(fill);
    if (known && --known.cells === 0) {
      this.all[known.number] = undefined;
      this.worn.delete(fill);
    }
  }

  clear(): void {
    this.worn.clear();
    this.all.length = 0;
  }

  /** Makes all anew, after swatches have changed. */
  renew(): void {
    this.worn.forEach(
      ({ number }, fill) => (this.all[number] = this.look(madeOf(fill) as Gradient | Pattern)),
    );
    if (this.worn.size > 0) {
      this.changed.set(this.changed.get() + 1);
    }
  }

  /** What a fill of several colours shows, worn or not. */
  look(made: Gradient | Pattern): Look {
    const opacity = Math.round((255 * made.opacity) / 100);
    const list = made.kind === "pattern" ? this.inks(made) : this.along(made);
    const colours = new Uint8Array(4 * list.length);
    list.forEach((colour, i) => colours.set([...colour.slice(0, 3), colour[3] === 0 ? 0 : opacity], 4 * i));
    const sums = [0, 1, 2, 3].map((channel) =>
      Math.round(list.reduce((sum, _, i) => sum + colours[4 * i + channel]!, 0) / Math.max(1, list.length)),
    );
    return { made, colours, mean: list.length === 0 ? CLEAR : (sums as unknown as Rgba) };
  }

  /** At least four, the last one standing for those that are missing. */
  private inks({ inks }: Pattern): Rgba[] {
    const shown = inks.map((ink) => this.colourOf(ink)).filter((colour) => colour !== undefined);
    while (shown.length > 0 && shown.length < 4) {
      shown.push(shown.at(-1)!);
    }
    return shown.length === 0 ? [CLEAR, CLEAR, CLEAR, CLEAR] : shown;
  }

  private along({ stops }: Gradient): Rgba[] {
    const shown = stops.flatMap(({ percent, swatch }) => {
      const colour = this.colourOf(swatch);
      return colour ? [{ along: percent / 100, colour, hex: hexOf(colour) }] : [];
    });
    if (shown.length === 0) {
      return Array<Rgba>(STEPS).fill(CLEAR);
    }
    return Array.from({ length: STEPS }, (_, step) => {
      const along = step / (STEPS - 1);
      const next = shown.findIndex((stop) => stop.along >= along);
      const [before, after] = [shown[Math.max(0, next - 1)]!, shown[next]];
      if (!after) {
        return shown.at(-1)!.colour;
      }
      const leg = after.along - before.along;
      return leg <= 0
        ? after.colour
        : rgbaOf(Colours.mixed(before.hex, after.hex, (along - before.along) / leg));
    });
  }
}

/** The colour of a look at a place of the sheet; a pattern is one even colour here. */
export function colourAt({ made, colours, mean }: Look, x: number, y: number): Rgba {
  if (made.kind === "pattern") {
    return mean;
  }
  const { x1, y1, x2, y2 } = made.span;
  const [dx, dy] = [x2 - x1, y2 - y1];
  const along =
    made.kind === "linear"
      ? ((x - x1) * dx + (y - y1) * dy) / (dx * dx + dy * dy)
      : Math.hypot(x - x1, y - y1) / Math.hypot(dx, dy);
  const at = 4 * Math.round(Math.min(1, Math.max(0, along)) * (STEPS - 1));
  return [colours[at]!, colours[at + 1]!, colours[at + 2]!, colours[at + 3]!];
}

export function rgbaOf(hex: string): Rgba {
  const packed = parseInt(hex.slice(1), 16);
  return [(packed >> 16) & 255, (packed >> 8) & 255, packed & 255, 255];
}

export function hexOf([red, green, blue]: Rgba): string {
  return `#${[red, green, blue].map((channel) => channel.toString(16).padStart(2, "0")).join("")}`;
}

/** One channel of a colour over white paper. */
export function onPaper(channel: number, opacity: number): number {
  return 255 + ((channel - 255) * opacity) / 255;
}
