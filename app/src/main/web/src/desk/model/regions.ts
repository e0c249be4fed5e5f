import { atom } from "nanostores";
import type { CellMap } from "./planes";
import type { Opening, Openings } from "./openings";
import { Sets } from "./sets";
import type { DamState, DamSwap, LayerState, ReachSwap } from "./state";
import { bigger, smaller } from "./steps";

/** A region as one shape: what is known of a cell, for all its cells together. */
export interface RegionShape {
  readonly cells: number[];
  readonly area: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly deepestX: number;
  readonly deepestY: number;
}

/** Cells joined through the openings that are not dammed; the same rules as the package gap of the core. */
export class Regions {
  /** Counts up whenever regions have changed. */
  readonly changed = atom(0);

  private readonly said = new Map<number, DamState>();
  private committedReach: number;
  private previewedReach: number | undefined;
  private regionOfCell: number[] = [];
  private shapes: RegionShape[] = [];

  constructor(
    public map: CellMap,
    public openings: Openings,
    layer: LayerState,
  ) {
    this.committedReach = layer.reach;
    this.load(layer);
  }

  /** Goes on with other cells of the same ink. */
  become(map: CellMap, openings: Openings, layer: LayerState): void {
    this.map = map;
    this.openings = openings;
    this.load(layer);
  }

  load(layer: LayerState): void {
    this.said.clear();
    layer.shut.forEach((index) => this.said.set(index, "SHUT"));
    layer.open.forEach((index) => this.said.set(index, "OPEN"));
    layer.inked.forEach((index) => this.said.set(index, "INKED"));
    this.committedReach = layer.reach;
    this.join();
  }

  get reach(): number {
    return this.previewedReach ?? this.committedReach;
  }

  get count(): number {
    return this.shapes.length;
  }

  of(cell: number): number {
    return this.regionOfCell[cell]!;
  }

  shape(region: number): RegionShape {
    return this.shapes[region]!;
  }

  /** All cells that one click on a cell takes. */
  cellsWith(cell: number): number[] {
    return this.shapes[this.of(cell)]!.cells;
  }

  stateOf(index: number): DamState {
    return this.said.get(index) ?? "BY_REACH";
  }

  /** Reach and what was said, as the desk has them. */
  dams(): { reach: number; shut: number[]; open: number[]; inked: number[] } {
    const of = (state: DamState): number[] =>
      [...this.said].filter(([, said]) => said === state).map(([index]) => index);
    return { reach: this.reach, shut: of("SHUT"), open: of("OPEN"), inked: of("INKED") };
  }

  isShut(opening: Opening): boolean {
    const said = this.said.get(opening.index);
    return said === "SHUT" || said === "INKED" || (opening.strength >= this.reach && said !== "OPEN");
  }

  /** Shows regions at another reach without taking it; undefined goes back. */
  preview(reach: number | undefined): void {
    if (reach !== this.previewedReach) {
      this.previewedReach = reach;
      this.join();
    }
  }

  /** What giving openings a state, and perhaps another reach, would change. */
  giving(
    states: ReadonlyMap<number, DamState>,
    reach?: number,
  ): { dams: DamSwap[]; reach: ReachSwap | null } {
    const dams = [...states]
      .map(([opening, after]) => ({ opening, before: this.stateOf(opening), after }))
      .filter((swap) => swap.before !== swap.after);
    const moves = reach !== undefined && reach !== this.committedReach;
    return { dams, reach: moves ? { before: this.committedReach, after: reach } : null };
  }

  /** What is no longer as a change left it was changed since, and is left alone. */
  takingBack(dams: DamSwap[], reach: ReachSwap | null): { dams: DamSwap[]; reach: ReachSwap | null } {
    return {
      dams: dams
        .filter((swap) => this.stateOf(swap.opening) === swap.after)
        .map((swap) => ({ opening: swap.opening, before: swap.after, after: swap.before })),
      reach:
        reach !== null && reach.after === this.committedReach
          ? { before: reach.after, after: reach.before }
          : null,
    };
  }

  apply(dams: DamSwap[], reach: ReachSwap | null): void {
    if (dams.length === 0 && reach === null) {
      return;
    }
    for (const swap of dams) {
      if (swap.after === "BY_REACH") {
        this.said.delete(swap.opening);
      } else {
        this.said.set(swap.opening, swap.after);
      }
    }
    this.committedReach = reach?.after ?? this.committedReach;
    this.join();
  }

  /** One step up: the openings to leave open. */
  bigger(cell: number): number[] {
    return bigger(this.openings.all, this.regionOfCell, cell);
  }

  /** One step down: the openings to dam. */
  smaller(cell: number): number[] {
    return smaller(this.openings.all, this.regionOfCell, cell);
  }

  /** The area that a cell's region would keep if it were one step smaller, and how sure that step is. */
  within(cell: number): { area: number; strength: number; dam: number[] } {
    const dam = this.smaller(cell);
    if (dam.length === 0) {
      return { area: this.shape(this.of(cell)).area, strength: 0, dam };
    }
    const without = new Set(dam);
    const sets = new Sets(this.regionOfCell.length);
    this.openings.all
      .filter((each) => !this.isShut(each) && !without.has(each.index))
      .forEach((each) => sets.join(each.first, each.second));
    const own = sets.find(cell);
    const area = this.cellsWith(cell)
      .filter((each) => sets.find(each) === own)
      .reduce((sum, each) => sum + this.map.cells[each]!.area, 0);
    return { area, strength: Math.max(...dam.map((index) => this.openings.all[index]!.strength)), dam };
  }

  private join(): void {
    const sets = new Sets(this.map.cells.length);
    for (const opening of this.openings.all) {
      if (!this.isShut(opening)) {
        sets.join(opening.first, opening.second);
      }
    }
    this.regionOfCell = sets.numbered();
    const cells: number[][] = [];
    this.regionOfCell.forEach((region, cell) => (cells[region] ??= []).push(cell));
    this.shapes = cells.map((each) => this.shapeOf(each));
    this.changed.set(this.changed.get() + 1);
  }

  private shapeOf(cells: number[]): RegionShape {
    let area = 0;
    let [left, top, right, bottom] = [Infinity, Infinity, 0, 0];
    let deepest = this.map.cells[cells[0]!]!;
    for (const number of cells) {
      const cell = this.map.cells[number]!;
      area += cell.area;
      left = Math.min(left, cell.x);
      top = Math.min(top, cell.y);
      right = Math.max(right, cell.x + cell.width);
      bottom = Math.max(bottom, cell.y + cell.height);
      deepest = cell.depth > deepest.depth ? cell : deepest;
    }
    const { deepestX, deepestY } = deepest;
    return { cells, area, x: left, y: top, width: right - left, height: bottom - top, deepestX, deepestY };
  }
}
