/** What the server sends and takes; the Java side of it is in the package app.desk. */

/** `none`, or the id of a swatch. */
export type Fill = string;

export const NO_FILL: Fill = "none";

export interface Swatch {
  readonly id: string;
  readonly name: string;
  /** `#rrggbb`, sRGB */
  readonly colour: string;
}

export interface Card {
  readonly id: string;
  readonly name: string;
  readonly subject: string;
  readonly neutral: boolean;
  readonly loose: boolean;
  readonly swatches: Swatch[];
}

/** A light as this sheet's swatches look under it. */
export interface LightState {
  /** Empty for as drawn. */
  readonly id: string;
  readonly name: string;
  /** By swatch; none where it shows what it is. */
  readonly colours: Record<Fill, string>;
}

/** The colours of a sheet. */
export interface SheetPalette {
  /** As drawn, in the wardrobes worn here. */
  readonly cards: Card[];
  /** As drawn first. */
  readonly lights: LightState[];
  /** The sheet's own, by its place among them. */
  readonly light: number;
}

/** How ink is told from paper; null where it is found from the picture. */
export interface InkSettings {
  readonly threshold: number | null;
  readonly speckPx: number | null;
  readonly pencil: "NONE" | "BLUE" | "RED";
}

export interface LayerState {
  readonly id: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly cellCount: number;
  /** Addresses of the planes. */
  readonly ink: string;
  readonly cells: string;
  readonly openings: string | null;
  /** Whether its gaps have been found. */
  readonly isSharp: boolean;
  readonly reach: number;
  /** Openings, by index, that somebody has dammed, and that somebody has left open. */
  readonly shut: number[];
  readonly open: number[];
  /** Dammed ones that are drawn in ink too. */
  readonly inked: number[];
  readonly smallInk: string;
  readonly smallCells: string;
  readonly inkSettings: InkSettings;
  readonly fills: Record<Fill, number[]>;
}

export interface Swap {
  readonly cell: number;
  readonly before: Fill;
  readonly after: Fill;
}

/** What somebody has said about an opening. */
export type DamState = "BY_REACH" | "SHUT" | "INKED" | "OPEN";

export interface DamSwap {
  readonly opening: number;
  readonly before: DamState;
  readonly after: DamState;
}

export interface ReachSwap {
  readonly before: number;
  readonly after: number;
}

/** A change whose effect is known. */
export interface MadeChange {
  readonly id: string;
  /** What it was, for the user to read. */
  readonly words: string;
  /** Whose cells it speaks of; null if it did nothing to them. */
  readonly layer: string | null;
  readonly swaps: Swap[];
  readonly dams: DamSwap[];
  readonly reach: ReachSwap | null;
}

/** What the user can take back and do again here. */
export interface LineState {
  /** Newest first. */
  readonly undoable: MadeChange[];
  /** The next one first. */
  readonly redoable: MadeChange[];
}

export interface DeskState {
  readonly sheet: string;
  readonly title: string;
  readonly layers: LayerState[];
  readonly palette: SheetPalette;
  readonly line: LineState;
}

export type ChangeMessage =
  | {
      readonly id: string;
      readonly kind: "lay";
      readonly layer: string;
      /** The cells that are to wear each fill. */
      readonly fills: Record<Fill, number[]>;
    }
  | {
      readonly id: string;
      readonly kind: "dam";
      readonly layer: string;
      readonly states: Record<number, DamState>;
      readonly reach: number | null;
    }
  | { readonly id: string; readonly kind: "undo" | "redo"; readonly concerns: string };

/** A part of a project that is another now; see Part on the server. */
export type Part = "FILLS_AND_DAMS" | "CELLS" | "GROUPS" | "PAGE_FRAME" | "CAST" | "PALETTE";

export interface ChangeAnswer extends MadeChange {
  readonly outcome: "made" | "unneeded" | "refused";
  /** Why it was refused, or what it left alone. */
  readonly reason: string | null;
  /** All that it changed, here and elsewhere. */
  readonly parts: Part[];
}
