import { NO_FILL, type Fill } from "./state";

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
}

export interface Pattern {
  readonly kind: "pattern";
  readonly opacity: number;
  readonly span: Span;
  readonly motif: string;
  readonly mirrored: boolean;
  readonly inks: readonly Fill[];
}

export interface Flat {
  readonly kind: "flat";
  readonly opacity: number;
  readonly swatch: Fill;
}

/** A fill in its parts; {@link Fill} is its text, which FillText in the core describes. */
export type Made = Flat | Gradient | Pattern;

/** Reads a text of the server; undefined for no fill. */
export function madeOf(fill: Fill): Made | undefined {
  const [kind, opacityWord, ...words] = fill.split(" ");
  if (fill === NO_FILL) {
    return undefined;
  }
  if (opacityWord === undefined) {
    return { kind: "flat", opacity: 100, swatch: fill };
  }
  const opacity = parseInt(opacityWord);
  if (kind === "flat") {
    return { kind, opacity, swatch: words[0]! };
  }
  const [x1, y1, x2, y2] = words.slice(0, 4).map(Number) as [number, number, number, number];
  const span = { x1, y1, x2, y2 };
  const rest = words.slice(4);
  if (kind === "pattern") {
    return { kind, opacity, span, motif: rest[0]!, mirrored: rest[1] === "mirrored", inks: rest.slice(2) };
  }
  const stops = rest.flatMap((word, i) =>
    i % 2 === 0 ? [{ percent: parseInt(word), swatch: rest[i + 1]! }] : [],
  );
  return { kind: kind === "radial" ? "radial" : "linear", opacity, span, stops };
}

/** The text of a fill, letter for letter as the server writes it. */
export function textOf(made: Made): Fill {
  const opacity = `${made.opacity}%`;
  if (made.kind === "flat") {
    return made.opacity === 100 ? made.swatch : `flat ${opacity} ${made.swatch}`;
  }
  const { x1, y1, x2, y2 } = made.span;
  const start = [made.kind, opacity, ...[x1, y1, x2, y2].map(Math.round)];
  return made.kind === "pattern"
    ? [...start, made.motif, made.mirrored ? "mirrored" : "plain", ...made.inks].join(" ")
    : [...start, ...made.stops.map((stop) => `${stop.percent}% ${stop.swatch}`)].join(" ");
}

/** The swatches that a fill takes colours from, each once. */
export function swatchesOf(fill: Fill): Fill[] {
  const made = madeOf(fill);
  if (!made) {
    return [];
  }
  switch (made.kind) {
    case "flat":
      return [made.swatch];
    case "pattern":
      return [...new Set(made.inks)];
    default:
      return [...new Set(made.stops.map((stop) => stop.swatch))];
  }
}

/** The same fill with other swatches in the place of its own. */
export function wearing(fill: Fill, instead: (swatch: Fill) => Fill): Fill {
  const made = madeOf(fill);
  if (!made) {
    return fill;
  }
  switch (made.kind) {
    case "flat":
      return textOf({ ...made, swatch: instead(made.swatch) });
    case "pattern":
      return textOf({ ...made, inks: made.inks.map(instead) });
    default:
      return textOf({
        ...made,
        stops: made.stops.map((stop) => ({ ...stop, swatch: instead(stop.swatch) })),
      });
  }
}
