import { atom } from "nanostores";
import {
  SheetRegions,
  type DamEffect,
  type FigureShown,
  type GapShown,
  type RegionShape as Shape,
  type SpillShown,
} from "rules";
import type { Point } from "../geometry/camera";
import { wayOf } from "../geometry/way";
import type { Fills } from "./fills";
import type { CellMap } from "./planes";
import { openingsOf, type Opening } from "./openings";
import type { DamState, DamSwap, Fill, LayerState, ReachSwap } from "./state";

/** A region as one shape: what is known of a cell, for all its cells together. */
export interface RegionShape extends Omit<Shape, "cells"> {
  readonly cells: number[];
}

export type Direction = "LEFT" | "RIGHT" | "UP" | "DOWN";

/** Whatever wears a fill, or takes a colour from a swatch. */
export interface Worn {
  readonly fill: Fill;
  readonly cells: number[];
  readonly regions: number;
  /** Of the sheet, 0 to 1. */
  readonly share: number;
}

const STAYS = -1;
const NO_CARD = -1;

/** The regions of the layer that is open: the core's, and what is asked of them again and again kept at hand. */
export class Regions {
  /** Counts up whenever regions have changed. */
  readonly changed = atom(0);

  private readonly renumbered: ((numberNow: (cell: number) => number) => void)[] = [];
  private rules: SheetRegions;
  private previewedReach: number | undefined;
  private regionOfCell: Int32Array = new Int32Array();
  private shapes: RegionShape[] = [];

  openings: readonly Opening[];

  constructor(
    public map: CellMap,
    layer: LayerState,
  ) {
    this.rules = new SheetRegions(map.layer);
    this.openings = openingsOf(map.layer);
    this.load(layer);
  }

  /** How wide the strokes are, in sheet pixels. */
  get strokePx(): number {
    return this.map.layer.strokePx();
  }

  /** Of the sheet, in its pixels. */
  get area(): number {
    return this.map.plane.width * this.map.plane.height;
  }

  /** The opening nearest to a place; undefined if none is within a distance, in sheet pixels. */
  openingNear({ x, y }: Point, within: number): Opening | undefined {
    return this.openings[this.rules.openingNear(x, y, within)];
  }

  /** Those at the border of a region, or inside it, that somebody might care about. */
  openingsAt(region: number): Opening[] {
    return this.named(this.rules.openingsAt(region));
  }

  openingsCrossed(way: readonly Point[]): Opening[] {
    return this.named(this.rules.openingsCrossed(wayOf(way)));
  }

  /** Those under a broad brush that reach might have decided otherwise. */
  openingsBrushed(way: readonly Point[], radius: number, lifting: boolean): Opening[] {
    return this.named(this.rules.openingsBrushed(wayOf(way), radius, lifting));
  }

  named(openings: ArrayLike<number>): Opening[] {
    return Array.from(openings, (index) => this.openings[index]!);
  }

  /** @param told how a cell of before is numbered now, before regions change */
  onRenumbered(told: (numberNow: (cell: number) => number) => void): void {
    this.renumbered.push(told);
  }

  /** Goes on with cells that are numbered otherwise: each is then that which lies where it was deepest. */
  renumber(map: CellMap, layer: LayerState): void {
    const before = this.map.layer;
    const { width, numbers } = map.plane;
    const numberNow = (cell: number) => {
      const { deepestX, deepestY } = before.cell(cell);
      return numbers[deepestY * width + deepestX]!;
    };
    this.renumbered.forEach((told) => told(numberNow));
    this.become(map, layer);
  }

  /** Goes on with other cells of the same ink, of which those that stay keep their numbers. */
  become(map: CellMap, layer: LayerState): void {
    this.map = map;
    this.openings = openingsOf(map.layer);
    this.rules = new SheetRegions(map.layer);
    this.load(layer);
  }

  load({ reach, shut, open, inked }: LayerState): void {
    this.rules.load(reach, [...shut, ...inked], open, inked);
    this.changeOver();
  }

  get reach(): number {
    return this.previewedReach ?? this.rules.reach();
  }

  get count(): number {
    return this.rules.count();
  }

  of(cell: number): number {
    return this.regionOfCell[cell]!;
  }

  shape(region: number): RegionShape {
    return (this.shapes[region] ??= this.shapeOf(region));
  }

  /** All cells that one click on a cell takes. */
  cellsWith(cell: number): number[] {
    return this.shape(this.of(cell)).cells;
  }

  /** Left, top, right and bottom of some cells. */
  boxOf(cells: readonly number[]): number[] {
    const all = cells.map((cell) => this.map.layer.cell(cell));
    return [
      Math.min(...all.map((cell) => cell.x)),
      Math.min(...all.map((cell) => cell.y)),
      Math.max(...all.map((cell) => cell.x + cell.width)),
      Math.max(...all.map((cell) => cell.y + cell.height)),
    ];
  }

  stateOf(index: number): DamState {
    return this.rules.stateOf(index) as DamState;
  }

  /** Reach and what was said, as the desk has them. */
  dams(): { reach: number; shut: number[]; open: number[]; inked: number[] } {
    return {
      reach: this.reach,
      shut: [...this.rules.shut()],
      open: [...this.rules.open()],
      inked: [...this.rules.inked()],
    };
  }

  isShut(opening: Opening): boolean {
    return this.rules.isShutAt(opening.index, this.reach);
  }

  /** Shows regions at another reach without taking it; undefined goes back. */
  preview(reach: number | undefined): void {
    if (reach !== this.previewedReach) {
      this.previewedReach = reach;
      this.changeOver();
    }
  }

  /** What giving openings a state, and perhaps another reach, would change. */
  giving(
    states: ReadonlyMap<number, DamState>,
    reach?: number,
  ): { dams: DamSwap[]; reach: ReachSwap | null } {
    return swapsOf(this.rules.giving([...states.keys()], [...states.values()], reach ?? STAYS));
  }

  /** What is no longer as a change left it was changed since, and is left alone. */
  takingBack(dams: DamSwap[], reach: ReachSwap | null): { dams: DamSwap[]; reach: ReachSwap | null } {
    return swapsOf(this.rules.takingBack(...numbersOf(dams, reach)));
  }

  apply(dams: DamSwap[], reach: ReachSwap | null): void {
    if (dams.length > 0 || reach !== null) {
      this.rules.apply(...numbersOf(dams, reach));
      this.changeOver();
    }
  }

  /** One step up: the openings to leave open. */
  bigger(cell: number): number[] {
    return [...this.rules.bigger(cell)];
  }

  /** One step down: the openings to dam. */
  smaller(cell: number): number[] {
    return [...this.rules.smaller(cell)];
  }

  /** Where a fill laid on a cell would run out, if it would. */
  spill(cell: number): SpillShown | undefined {
    return this.rules.spill(cell) ?? undefined;
  }

  /** The cells of empty pockets beside some cells. @param worn see {@link Fills.worn} */
  pocketsBeside(cells: readonly number[], worn: Int32Array): number[] {
    return [...this.rules.pocketsBeside(cells, worn)];
  }

  /** The next region in a direction. */
  towards(from: number, direction: Direction): number {
    return this.rules.towards(from, direction);
  }

  /** The next region with an empty cell, if there is one. */
  nextEmpty(from: number | undefined, worn: Int32Array): number | undefined {
    const next = this.rules.nextEmpty(from ?? -1, worn);
    return next < 0 ? undefined : next;
  }

  /** The cells of regions about as large and as long as those of some cells. */
  alike(cells: readonly number[]): number[] {
    return [...this.rules.alike(cells)];
  }

  /** The cells of regions inside a way drawn around them. */
  inside(way: readonly { x: number; y: number }[]): number[] {
    return [...this.rules.inside(way.flatMap(({ x, y }) => [x, y]))];
  }

  /** The cells inside an outline made of cells. */
  /** The cells of the region that most of some places lie in, of a filled one if there is any. @param worn by cell; 0: nothing */
  mostOf(cells: readonly number[], worn: Int32Array): Int32Array {
    return this.rules.mostOf(cells, worn);
  }

  enclosed(outline: readonly number[]): number[] {
    return [...this.rules.enclosed(outline)];
  }

  /** The fills in use on some cells. @param fills by cell */
  ledger(fills: readonly Fill[], isMeant: (cell: number) => boolean): Worn[] {
    const meant = [...fills.keys()].filter(isMeant);
    return this.rules
      .ledger(fills, meant)
      .map(({ fill, cells, regions, share }) => ({ fill, cells: [...cells], regions, share }));
  }

  /**
   * The swatches that are likeliest for the region of a cell, likeliest first.
   *
   * @param beside what the sheets beside wear, most of it first
   * @param used what was in the hand, latest first
   */
  handful(cell: number, fills: Fills, beside: readonly string[], used: readonly string[]): Fill[] {
    const swatches = fills.allSwatches().map(({ id }) => id);
    const cards = swatches.map((swatch) =>
      fills.cardOf(swatch)?.isEditable ? fills.placeOfCard(swatch) : NO_CARD,
    );
    return this.rules.handful(cell, fills.all, swatches, cards, beside, used);
  }

  /** The gaps under the dams that are shown, in the order in which they are worth a look. */
  gaps(): GapShown[] {
    return this.rules.gaps();
  }

  /** The largest first. */
  figures(): FigureShown[] {
    return this.rules.figures();
  }

  private changeOver(): void {
    if (this.previewedReach === undefined) {
      this.rules.endPreview();
    } else {
      this.rules.preview(this.previewedReach);
    }
    this.regionOfCell = this.rules.ofCells();
    this.shapes = [];
    this.changed.set(this.changed.get() + 1);
  }

  private shapeOf(region: number): RegionShape {
    const { cells, area, x, y, width, height, deepestX, deepestY, deepestCell } = this.rules.shape(region);
    return { cells: [...cells], area, x, y, width, height, deepestX, deepestY, deepestCell };
  }
}

function swapsOf(effect: DamEffect): { dams: DamSwap[]; reach: ReachSwap | null } {
  const dams = [...effect.openings].map((opening, i) => ({
    opening,
    before: effect.before[i] as DamState,
    after: effect.after[i] as DamState,
  }));
  const { reachBefore, reachAfter } = effect;
  return { dams, reach: reachAfter < 0 ? null : { before: reachBefore, after: reachAfter } };
}

function numbersOf(
  dams: readonly DamSwap[],
  reach: ReachSwap | null,
): [number[], string[], string[], number, number] {
  return [
    dams.map((swap) => swap.opening),
    dams.map((swap) => swap.before),
    dams.map((swap) => swap.after),
    reach?.before ?? STAYS,
    reach?.after ?? STAYS,
  ];
}
