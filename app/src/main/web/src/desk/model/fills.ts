import { atom } from "nanostores";
import { NO_FILL, type Card, type Fill, type LayerState, type Swap, type Swatch } from "./state";

/** Red, green, blue and opacity, 0 to 255. */
export type Rgba = readonly [number, number, number, number];

const CLEAR: Rgba = [0, 0, 0, 0];

/** The fills of one layer as they stand on screen, and the colours that they resolve to. */
export class Fills {
  /** How many cells wear a fill. */
  readonly filled = atom(0);
  /** Counts up with every change of a cell. */
  readonly painted = atom(0);

  private readonly tried = new Map<Fill, Rgba>();
  private readonly triedCells = new Map<number, Rgba>();
  private fillOfCell: Fill[];
  private readonly swatches = new Map<Fill, Swatch>();
  private readonly cards = new Map<
    Fill,
    { id: string; name: string; subject: string; isEditable: boolean }
  >();
  private readonly colours = new Map<Fill, Rgba>([[NO_FILL, CLEAR]]);
  private hidden = new Set<number>();
  private shownAs: ((cell: number) => Rgba) | undefined;
  private eyes: ((colour: Rgba) => Rgba) | undefined;
  private listener: (cell: number) => void = () => {};

  constructor(
    public layer: string,
    cellCount: number,
    cards: Card[],
  ) {
    this.fillOfCell = new Array<Fill>(cellCount).fill(NO_FILL);
    this.learn(cards);
  }

  /** Takes over the cards as they are now; whatever wears their swatches is painted again. */
  learn(cards: readonly Card[]): void {
    this.swatches.clear();
    this.cards.clear();
    this.colours.clear();
    this.colours.set(NO_FILL, CLEAR);
    for (const { id, name, subject, neutral, loose, swatches } of cards) {
      for (const swatch of swatches) {
        this.swatches.set(swatch.id, swatch);
        this.cards.set(swatch.id, { id, name, subject, isEditable: !neutral && !loose });
        this.colours.set(swatch.id, parseColour(swatch.colour));
      }
    }
    this.paintAll();
  }

  /** Shows swatches, and perhaps some cells whatever they wear, in other colours for now; nothing given: as they are. */
  tryOn(colours: Record<Fill, string>, cells: readonly number[] = [], onCells?: string): void {
    this.tried.clear();
    Object.entries(colours).forEach(([fill, hex]) =>
      this.tried.set(fill, hex === NO_FILL ? CLEAR : parseColour(hex)),
    );
    this.triedCells.clear();
    if (onCells) {
      cells.forEach((cell) => this.triedCells.set(cell, parseColour(onCells)));
    }
    this.paintAll();
  }

  /** Shows cells in colours of their own for now, whatever they wear. */
  tryOnCells(colours: ReadonlyMap<number, string>): void {
    this.tried.clear();
    this.triedCells.clear();
    colours.forEach((hex, cell) => this.triedCells.set(cell, parseColour(hex)));
    this.paintAll();
  }

  /** Shows cells in colours that have nothing to do with their fills; undefined: as they are. */
  showAs(shownAs: ((cell: number) => Rgba) | undefined): void {
    this.shownAs = shownAs;
    this.paintAll();
  }

  /** Shows these cells, and no others, as if they had no fill. */
  hide(cells: readonly number[]): void {
    if (cells.length > 0 || this.hidden.size > 0) {
      this.hidden = new Set(cells);
      this.paintAll();
    }
  }

  /** Shows every colour changed in one way, as other eyes see it. */
  seeThrough(eyes: ((colour: Rgba) => Rgba) | undefined): void {
    this.eyes = eyes;
    this.paintAll();
  }

  private paintAll(): void {
    this.fillOfCell.forEach((_, cell) => this.listener(cell));
    this.painted.set(this.painted.get() + 1);
  }

  get cellCount(): number {
    return this.fillOfCell.length;
  }

  /** Calls back for each cell whose colour changes. */
  onChange(listener: (cell: number) => void): void {
    this.listener = listener;
  }

  /** Goes on with other cells, none of which wears a fill yet. */
  become(layer: string, cellCount: number): void {
    this.layer = layer;
    this.fillOfCell = new Array<Fill>(cellCount).fill(NO_FILL);
    this.filled.set(0);
  }

  /** Takes over what the server knows. */
  load(state: LayerState): void {
    const wanted = new Array<Fill>(this.cellCount).fill(NO_FILL);
    for (const [fill, cells] of Object.entries(state.fills)) {
      for (const cell of cells) {
        wanted[cell] = fill;
      }
    }
    wanted.forEach((fill, cell) => this.set(cell, fill));
  }

  of(cell: number): Fill {
    return this.fillOfCell[cell] ?? NO_FILL;
  }

  /** The cells that wear a fill, or none. */
  wearing(fill: Fill): number[] {
    return [...this.fillOfCell.keys()].filter((cell) => this.of(cell) === fill);
  }

  set(cell: number, fill: Fill): void {
    const before = this.of(cell);
    if (before === fill) {
      return;
    }
    this.fillOfCell[cell] = fill;
    this.filled.set(this.filled.get() + Number(fill !== NO_FILL) - Number(before !== NO_FILL));
    this.listener(cell);
    this.painted.set(this.painted.get() + 1);
  }

  /** What laying a fill on some cells would change. */
  laying(fill: Fill, cells: Iterable<number>): Swap[] {
    return [...new Set(cells)]
      .map((cell) => ({ cell, before: this.of(cell), after: fill }))
      .filter((swap) => swap.before !== swap.after);
  }

  /** What taking some swaps back would change; a cell that was changed since is left alone. */
  takingBack(swaps: Swap[]): Swap[] {
    return swaps
      .filter((swap) => this.of(swap.cell) === swap.after)
      .map((swap) => ({ cell: swap.cell, before: swap.after, after: swap.before }));
  }

  apply(swaps: Swap[]): void {
    for (const swap of swaps) {
      this.set(swap.cell, swap.after);
    }
  }

  colourOf(cell: number): Rgba {
    if (this.shownAs) {
      return this.shownAs(cell);
    }
    const colour = this.hidden.has(cell) ? CLEAR : this.worn(cell);
    return this.eyes ? this.eyes(colour) : colour;
  }

  /** The colour of a cell however the sheet is looked at. */
  worn(cell: number): Rgba {
    const fill = this.of(cell);
    return this.triedCells.get(cell) ?? this.tried.get(fill) ?? this.colours.get(fill) ?? CLEAR;
  }

  swatch(fill: Fill): Swatch | undefined {
    return this.swatches.get(fill);
  }

  colour(fill: Fill): Rgba {
    return this.tried.get(fill) ?? this.colours.get(fill) ?? CLEAR;
  }

  /** The card that a fill is on; one can go there if it is neither the neutrals nor that of loose colours. */
  cardOf(fill: Fill): { id: string; name: string; subject: string; isEditable: boolean } | undefined {
    return this.cards.get(fill);
  }

  nameOf(fill: Fill): string {
    return this.swatches.get(fill)?.name ?? "No fill";
  }
}

function parseColour(hex: string): Rgba {
  const packed = parseInt(hex.slice(1), 16);
  return [(packed >> 16) & 255, (packed >> 8) & 255, packed & 255, 255];
}
