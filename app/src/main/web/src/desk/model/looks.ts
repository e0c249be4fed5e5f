import { atom } from "nanostores";
import { FillLook } from "rules";
import { madeOf, swatchesOf, textOf, type Gradient, type Pattern } from "./made";
import type { Fill } from "./state";

/** Red, green, blue and opacity, 0 to 255. */
export type Rgba = readonly [number, number, number, number];

/** How many colours of a look are drawn from at the most. */
export const STEPS = 256;

/** A fill of several colours, ready to be drawn. */
export interface Look {
  readonly made: Gradient | Pattern;
  /** Along a gradient, or the colours of a pattern one after the other, as {@link Rgba}. */
  readonly colours: Uint8Array;
  /** Its colours taken together. */
  readonly mean: Rgba;
  /** The colour at a place of the sheet; a pattern is one even colour here. */
  at(x: number, y: number): Rgba;
}

/** The fills of several colours that are worn on a sheet, each with a number of its own for as long as a cell wears it. */
export class Looks {
  /** Counts up whenever one of them looks otherwise. */
  readonly changed = atom(0);
  /** By number; undefined where a number is free. */
  readonly all: (Look | undefined)[] = [];
  private readonly worn = new Map<Fill, { number: number; cells: number }>();
  private readonly derived = new Map<number, number>();
  private isTold = false;

  /** @param colourOf what a swatch shows now; undefined if there is no such swatch */
  constructor(private readonly colourOf: (swatch: Fill) => Rgba | undefined) {}

  /** The number of a fill of several colours; undefined for all others. */
  numberOf(fill: Fill): number | undefined {
    return this.worn.get(fill)?.number;
  }

  /** A look that something makes of another one, known by a key of its own; returns its number. */
  derive(key: number, from: number, over: (colours: readonly number[]) => ArrayLike<number>): number {
    const look = this.all[from]!;
    const mixed = (colours: Uint8Array | Rgba) => Array.from(over(packedAll(colours)), unpacked);
    const known = this.derived.get(key);
    const free = this.all.indexOf(undefined);
    const number = known ?? (free < 0 ? this.all.length : free);
    this.derived.set(key, number);
    const [mean] = mixed(look.mean);
    const colours = Uint8Array.from(mixed(look.colours).flat());
    this.all[number] = { made: look.made, colours, mean: mean!, at: () => mean! };
    this.tell();
    return number;
  }

  /** Gives up what was derived under a key. */
  underive(key: number): void {
    const number = this.derived.get(key);
    if (number !== undefined) {
      this.all[number] = undefined;
      this.derived.delete(key);
    }
  }

  private tell(): void {
    // Many are derived at a time: all are learned at once.
    if (!this.isTold) {
      this.isTold = true;
      queueMicrotask(() => {
        this.isTold = false;
        this.changed.set(this.changed.get() + 1);
      });
    }
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
    this.derived.clear();
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
    const fill = textOf(made);
    const shown = swatchesOf(fill).flatMap((swatch) => {
      const colour = this.colourOf(swatch);
      return colour && colour[3] > 0 ? [{ swatch, hex: hexOf(colour) }] : [];
    });
    const look = FillLook.of(
      fill,
      shown.map(({ swatch }) => swatch),
      shown.map(({ hex }) => hex),
    );
    return {
      made,
      colours: Uint8Array.from([...look.argb()].flatMap(unpacked)),
      mean: unpacked(look.mean()),
      at: (x, y) => unpacked(look.at(x, y)),
    };
  }
}

export function packed([red, green, blue, opacity]: Rgba): number {
  return (opacity << 24) | (red << 16) | (green << 8) | blue;
}

function packedAll(bytes: ArrayLike<number>): number[] {
  return Array.from({ length: bytes.length / 4 }, (_, i) =>
    packed([bytes[4 * i]!, bytes[4 * i + 1]!, bytes[4 * i + 2]!, bytes[4 * i + 3]!]),
  );
}

export function unpacked(argb: number): Rgba {
  return [(argb >> 16) & 255, (argb >> 8) & 255, argb & 255, argb >>> 24];
}

export function rgbaOf(hex: string): Rgba {
  const packed = parseInt(hex.slice(1), 16);
  return [(packed >> 16) & 255, (packed >> 8) & 255, packed & 255, 255];
}

export function hexOf([red, green, blue]: Rgba): string {
  return `#${[red, green, blue].map((channel) => channel.toString(16).padStart(2, "0")).join("")}`;
}

/** Puts a pixel into a picture: ink over a colour over white paper. @param ink its opacity being how much it covers */
export function putInked(data: Uint8ClampedArray, at: number, colour: Rgba, ink: Rgba): void {
  const cover = ink[3] / 255;
  for (let channel = 0; channel < 3; channel++) {
    data[at + channel] = onPaper(colour[channel]!, colour[3]) * (1 - cover) + ink[channel]! * cover;
  }
  data[at + 3] = 255;
}

/** One channel of a colour over white paper. */
export function onPaper(channel: number, opacity: number): number {
  return 255 + ((channel - 255) * opacity) / 255;
}
