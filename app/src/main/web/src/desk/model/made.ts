import { FillTexts } from "rules";
import type { Fill } from "./state";

/** See Span in the core: in sheet pixels. */
export interface Span {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

export interface Stop {
  readonly percent: number;
  readonly swatch: Fill;
}

export interface Gradient {
  readonly kind: "linear" | "radial";
  /** Percent. */
  readonly opacity: number;
  readonly span: Span;
  readonly stops: readonly Stop[];
  /** The id under which it is kept on a card; empty: it is not. */
  readonly kept: string;
}

export interface Pattern {
  readonly kind: "pattern";
  readonly opacity: number;
  readonly span: Span;
  readonly motif: string;
  readonly mirrored: boolean;
  readonly flipped: boolean;
  /** Of each repeat, in percent of its width. */
  readonly height: number;
  readonly kept: string;
  readonly inks: readonly Fill[];
}

export interface Flat {
  readonly kind: "flat";
  readonly opacity: number;
  /** Percent of the swatch, the rest being white; 100 unless it is a tone. */
  readonly tone: number;
  readonly swatch: Fill;
}

/** A fill in its parts; {@link Fill} is its text, which FillText in the core describes. */
export type Made = Flat | Gradient | Pattern;

/** More than a sheet wears; a gradient that is being dragged leaves many behind. */
const MOST_KNOWN = 2000;
const known = new Map<Fill, Made | undefined>();

/** Reads the text of a fill; undefined for no fill. */
export function madeOf(fill: Fill): Made | undefined {
  if (!known.has(fill)) {
    if (known.size > MOST_KNOWN) {
      known.clear();
    }
    known.set(fill, takenApart(fill));
  }
  return known.get(fill);
}

function takenApart(fill: Fill): Made | undefined {
  const { kind, opacity, span, percents, swatches, motif, mirrored, flipped, height, kept } =
    FillTexts.parts(fill);
  const [x1, y1, x2, y2] = span as unknown as [number, number, number, number];
  switch (kind) {
    case "flat":
      return { kind, opacity, tone: 100, swatch: swatches[0]! };
    case "tone":
      return { kind: "flat", opacity: 100, tone: opacity, swatch: swatches[0]! };
    case "linear":
    case "radial":
      return {
        kind,
        opacity,
        span: { x1, y1, x2, y2 },
        stops: swatches.map((swatch, i) => ({ percent: percents[i]!, swatch })),
        kept,
      };
    case "pattern":
      return {
        kind,
        opacity,
        span: { x1, y1, x2, y2 },
        motif,
        mirrored,
        flipped,
        height,
        inks: swatches,
        kept,
      };
    default:
      return undefined;
  }
}

/** The text of a fill, letter for letter as the server writes it. */
export function textOf(made: Made): Fill {
  if (made.kind === "flat") {
    const flat = FillTexts.flat(made.opacity, made.swatch);
    return made.opacity === 100 ? FillTexts.toned(flat, (made.tone - 100) / 10) : flat;
  }
  const { x1, y1, x2, y2 } = made.span;
  const span = [x1, y1, x2, y2].map(Math.round);
  const own =
    made.kind === "pattern"
      ? FillTexts.pattern(made.opacity, span, made.motif, made.mirrored, made.flipped, made.height, made.inks)
      : FillTexts.gradient(
          made.kind,
          made.opacity,
          span,
          made.stops.map((stop) => stop.percent),
          made.stops.map((stop) => stop.swatch),
        );
  return FillTexts.keptAs(own, made.kept);
}

/** The swatches that a fill takes colours from, each once. */
export function swatchesOf(fill: Fill): Fill[] {
  const made = madeOf(fill);
  if (!made) {
    return [];
  }
  return made.kind === "flat" ? [made.swatch] : FillTexts.swatches(fill);
}

/** The same fill with other swatches in the place of its own. */
export function wearing(fill: Fill, instead: (swatch: Fill) => Fill): Fill {
  const swatches = swatchesOf(fill);
  return FillTexts.wearing(fill, swatches, swatches.map(instead));
}
