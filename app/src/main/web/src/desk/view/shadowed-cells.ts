import { SheetGroups, SheetShadows, type Layer } from "rules";
import type { CellPlane } from "../model/planes";
import { putInto } from "../model/planes";
import type { Shadow } from "../model/shadows";
import type { Box } from "./tiles";

/** What else than themselves shadows follow from. */
export interface Around {
  readonly groups: SheetGroups;
  /** Those that wear something; asked only where all that is laid is the base of a shadow. */
  filledCells(): number[];
}

/** A plane of cells as it is drawn: cut into pieces where shadows lie on it. The pieces are numbered on behind the cells, so that they are drawn as cells are. */
export class ShadowedCells {
  private rules: SheetShadows;
  private drawn: CellPlane;
  private readonly known = new Map<number, { key: string; box: Box }>();
  private readonly ofCell = new Map<number, number[]>();
  private readonly ofShadow = new Map<number, number[]>();
  private readonly roots = new Map<number, number>();
  private counted: number;

  /** @param share of the sheet's size that the plane has */
  constructor(
    private readonly cells: CellPlane,
    layer: Layer,
    share: number,
  ) {
    this.rules = new SheetShadows(layer, share);
    this.drawn = cells;
    this.counted = this.rules.first();
  }

  get plane(): CellPlane {
    return this.drawn;
  }

  /** The number of the first piece. */
  get first(): number {
    return this.rules.first();
  }

  /** How many numbers there are, those of cells included. */
  get count(): number {
    return this.counted;
  }

  /** Whether shadows are so many that not all of them are seen. */
  get isFull(): boolean {
    return this.rules.isFull();
  }

  /** Whether a number is no cell. */
  isPiece(number: number): boolean {
    return number >= this.rules.first();
  }

  /** Lays shadows anew; returns the boxes in which the plane is another now. */
  lay(shadows: readonly Shadow[], around: Around): Box[] {
    if (shadows.length === 0 && this.known.size === 0) {
      return [];
    }
    if (this.drawn === this.cells) {
      this.drawn = { ...this.cells, numbers: this.cells.numbers.slice() };
    }
    const { rules } = this;
    const filled = shadows.some(({ base }) => base === "laid") ? around.filledCells() : [];
    rules.begin(around.groups, filled);
    const boxes: Box[] = [];
    const fresh = new Map<number, { key: string; box: Box }>();
    shadows.forEach((shadow, place) => {
      const { number, name, base, form, mode, darker, strength, edgePx } = shadow;
      rules.add(number, name, base, form, mode, -darker, strength, edgePx);
      const [x, y, width, height] = rules.box(number) as unknown as [number, number, number, number];
      const key = `${place} ${form} ${edgePx} ${rules.base(number).join()}`;
      fresh.set(number, { key, box: { x, y, width, height } });
    });
    for (const number of new Set([...this.known.keys(), ...fresh.keys()])) {
      const [before, after] = [this.known.get(number), fresh.get(number)];
      if (before?.key !== after?.key) {
        boxes.push(...[before?.box, after?.box].filter((box): box is Box => (box?.width ?? 0) > 0));
      }
    }
    this.known.clear();
    fresh.forEach((each, number) => this.known.set(number, each));
    boxes.forEach((box) => this.layIn(box));
    this.learnPieces();
    return boxes;
  }

  /** Goes on with more cells, which differ in some boxes alone; returns whether there was room for them. */
  grow(layer: Layer, boxes: readonly Box[], shadows: readonly Shadow[], around: Around): boolean {
    if (!this.rules.grow(layer)) {
      return false;
    }
    if (this.drawn !== this.cells) {
      this.lay(shadows, around);
      boxes.forEach((box) => this.layIn(box));
      this.learnPieces();
    }
    return true;
  }

  private layIn(box: Box): void {
    const { width, height, numbers } = this.cells;
    const margin = Math.ceil(this.rules.marginPx());
    const left = Math.max(0, box.x - margin);
    const top = Math.max(0, box.y - margin);
    const right = Math.min(width, box.x + box.width + margin);
    const bottom = Math.min(height, box.y + box.height + margin);
    const cells = new Int32Array((right - left) * (bottom - top));
    for (let y = top, to = 0; y < bottom; y++, to += right - left) {
      cells.set(numbers.subarray(y * width + left, y * width + right), to);
    }
    const around = [left, top, right - left, bottom - top];
    const laid = this.rules.numbers([box.x, box.y, box.width, box.height], around, cells);
    putInto(this.drawn, [{ ...box, numbers: laid }]);
  }

  private learnPieces(): void {
    const count = this.rules.count();
    for (let piece = this.counted; piece < count; piece++) {
      const under = this.rules.under(piece);
      const root = this.roots.get(under) ?? under;
      this.roots.set(piece, root);
      add(this.ofCell, root, piece);
      add(this.ofShadow, this.rules.topmost(piece), piece);
    }
    this.counted = count;
  }

  /** Cells, and whatever shadows have cut them into, each behind what it lies on. */
  withPieces(cells: readonly number[]): readonly number[] {
    return this.ofCell.size === 0 ? cells : cells.flatMap((cell) => [cell, ...this.piecesOf(cell)]);
  }

  /** What shadows have cut a cell into, each behind what it lies on. */
  piecesOf(cell: number): readonly number[] {
    return this.ofCell.get(cell) ?? [];
  }

  /** The cells that a shadow lies on. */
  cellsUnder(shadow: number): number[] {
    return [...new Set((this.ofShadow.get(shadow) ?? []).map((piece) => this.roots.get(piece)!))];
  }

  /** See {@link SheetShadows.shadingOn}. */
  shadingOn(cells: readonly number[]): number[] {
    return [...this.rules.shadingOn(Int32Array.from(cells))];
  }

  /** The cell that a piece is a part of. */
  root(piece: number): number {
    return this.roots.get(piece)!;
  }

  /** Where shadows may be seen. */
  get boxes(): Box[] {
    return [...this.known.values()].map(({ box }) => box).filter(({ width }) => width > 0);
  }

  /** What a piece lies on. */
  under(piece: number): number {
    return this.rules.under(piece);
  }

  /** The topmost shadow of a piece. */
  topmost(piece: number): number {
    return this.rules.topmost(piece);
  }

  /** What a piece makes of colours under its topmost shadow, packed. @param wearing the colour of that, or below 0 */
  over(piece: number, colours: ArrayLike<number>, wearing: number): Int32Array {
    return this.rules.over(piece, colours, wearing);
  }

  /** What all shadows at a piece make of the colour of its cell. @param wearing the colour of each, or below 0 */
  through(number: number, colour: number, wearing: (shadow: number) => number): number {
    if (!this.isPiece(number)) {
      return colour;
    }
    const below = this.through(this.rules.under(number), colour, wearing);
    return this.rules.over(number, [below], wearing(this.rules.topmost(number)))[0]!;
  }
}

function add(lists: Map<number, number[]>, key: number, value: number): void {
  const list = lists.get(key);
  if (list) {
    list.push(value);
  } else {
    lists.set(key, [value]);
  }
}
