import { atom } from "nanostores";
import { FillTexts } from "rules";
import type { Fills } from "../model/fills";
import type { Direction, Regions } from "../model/regions";
import { cellsAmong, countedPlaces, strokesAmong } from "../model/places";
import { NO_FILL, type Fill, type MadeChange } from "../model/state";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";

/** What the hand holds and points at, and what it does to the sheet; pointer and keys both act through it. */
export class Hand {
  /** The fill that a click lays. */
  readonly present = atom<Fill>(NO_FILL);
  /** The one held before, a key away. */
  readonly other = atom<Fill>(NO_FILL);
  /** The cell pointed at. */
  readonly cell = atom<number | undefined>(undefined);
  /** What a screen reader says. */
  readonly said = atom("");

  /** What was laid last, and where. */
  readonly laid = atom<{ fill: Fill; cells: number[] } | undefined>(undefined);
  /** The name of the tool that presses mean. */
  readonly tool = atom("fill");
  /** Where the pointer is on the canvas, while nothing is pressed; undefined beside it. */
  readonly pointer = atom<Point | undefined>(undefined);
  /** The stroke pointed at, as a place, while ink is coloured. */
  readonly stroke = atom<number | undefined>(undefined);
  /** The fill laid last, and the one copied; undefined until there is one. */
  private laidLast: Fill | undefined;
  private copied: Fill | undefined;
  private swept: Set<number> | undefined;
  /** While a sweep touches only what wears this. */
  private sweptOnly: Fill | undefined;
  private pinned = false;
  private objection: (cell: number) => boolean = () => false;

  constructor(
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly view: SheetView,
  ) {
    const outline = () => view.point(this.has("line") ? [] : this.cellsHere());
    this.cell.listen(outline);
    this.tool.listen(outline);
    regions.changed.listen(outline);
  }

  hold(fill: Fill): void {
    if (fill !== this.present.get()) {
      this.other.set(this.present.get());
      this.present.set(fill);
      this.said.set(this.fills.nameOf(fill));
    }
  }

  takeTool(name: string): void {
    this.tool.set(name);
  }

  has(tool: string): boolean {
    return this.tool.get() === tool;
  }

  /** @param turned told when a tool is taken, and when it is put away */
  whenHeld(tool: string, turned: (isHeld: boolean) => void): void {
    let was = this.has(tool);
    this.tool.listen(() => {
      if (this.has(tool) !== was) {
        was = !was;
        turned(was);
      }
    });
  }

  /** @param objects whether filling a cell is held back; it says so itself */
  holdBackWhere(objects: (cell: number) => boolean): void {
    this.objection = objects;
  }

  holdsBack(cell: number): boolean {
    return this.objection(cell);
  }

  /** Takes the swatch in the hand in a stronger or a paler tone. */
  tone(steps: number): void {
    const present = this.present.get();
    const toned = FillTexts.toned(present, steps);
    if (toned === present) {
      this.said.set("Only a plain swatch has tones, from 10 % to 100 %");
    } else {
      this.present.set(toned);
      this.said.set(this.fills.nameOf(toned));
    }
  }

  swap(): void {
    this.hold(this.other.get());
  }

  pointAt(screen: Point | undefined): void {
    if (!this.pinned) {
      this.cell.set(screen && this.view.cellAt(screen));
    }
  }

  /** Points at nothing, and ends what is being done; the cells are about to become others. */
  letGo(): void {
    this.endSweep();
    this.pinned = false;
    this.cell.set(undefined);
    this.stroke.set(undefined);
    this.laid.set(undefined);
  }

  /** @param place a stroke, or undefined */
  pointAtStroke(place: number | undefined): void {
    if (!this.pinned) {
      this.stroke.set(place);
    }
  }

  /** While pinned, what is pointed at stays, wherever the pointer goes. */
  pin(pinned: boolean): void {
    this.pinned = pinned;
  }

  /**
   * Paints the cell at a point at once; all that a sweep passes becomes one change when it ends.
   *
   * @param onlyAlike the sweep leaves alone what does not wear the fill that it began on
   */
  beginSweep(screen: Point, onlyAlike: boolean): void {
    this.swept = new Set();
    const cell = this.view.cellAt(screen);
    this.sweptOnly = onlyAlike && cell !== undefined ? this.fills.of(cell) : undefined;
    this.sweepTo(screen);
  }

  sweepTo(screen: Point): void {
    const cell = this.view.cellAt(screen);
    if (this.swept && cell !== undefined && !this.swept.has(cell)) {
      const cells = this.regions
        .cellsWith(cell)
        .filter((each) => this.sweptOnly === undefined || this.fills.of(each) === this.sweptOnly);
      if (this.work.refusesLocked(cells)) {
        return;
      }
      cells.forEach((each) => this.swept!.add(each));
      this.view.startRipple(cells, screen);
      this.work.preview(this.present.get(), cells);
    }
  }

  endSweep(): void {
    if (this.swept) {
      this.work.endPreview();
      this.lay(this.present.get(), [...this.swept]);
      this.swept = undefined;
    }
  }

  /** Gives up the sweep and puts back what it has painted. */
  cancelSweep(): void {
    if (this.swept) {
      this.work.endPreview();
      this.swept = undefined;
    }
  }

  /** Takes the fill of the cell pointed at as the present one. */
  sample(): void {
    if (this.has("sample")) {
      this.takeTool("fill");
    }
    const fill = this.fillHereNow();
    if (fill !== undefined) {
      this.hold(fill);
    }
  }

  /** Lets the region pointed at take in its next piece (1) or leave one out (-1), here only. */
  step(by: 1 | -1): void {
    const cell = this.cell.get();
    if (cell === undefined) {
      return;
    }
    const openings = by > 0 ? this.regions.bigger(cell) : this.regions.smaller(cell);
    if (openings.length === 0) {
      this.said.set(by > 0 ? "There is nothing more to take in here" : "This region is a single piece");
      return;
    }
    const fill = this.fills.of(cell);
    this.work.dam(new Map(openings.map((index) => [index, by > 0 ? "OPEN" : "SHUT"] as const)));
    const cells = this.regions.cellsWith(cell);
    if (by > 0 && fill !== NO_FILL && cells.some((each) => this.fills.of(each) === NO_FILL)) {
      this.work.lay(
        fill,
        cells.filter((each) => this.fills.of(each) === NO_FILL),
      );
    }
    this.said.set(by > 0 ? "Bigger" : "Smaller");
  }

  /** Takes the fill pointed at; with nothing pointed at, the next click does. */
  sampleOrWait(): void {
    if (this.cell.get() === undefined) {
      this.takeTool(this.has("sample") ? "fill" : "sample");
    } else {
      this.sample();
    }
  }

  copy(): void {
    this.copied = this.fillHereNow();
    if (this.copied !== undefined) {
      this.said.set(`Copied ${this.fills.nameOf(this.copied)}`);
    }
  }

  /** Lays the copied fill on the cell pointed at. */
  paste(): void {
    this.layHere(this.copied);
  }

  /** Lays the fill that was laid last on the cell pointed at. */
  again(): void {
    this.layHere(this.laidLast);
  }

  /** Clears the region pointed at; while ink is coloured, makes the stroke pointed at black. */
  clearHere(): void {
    this.layHere(NO_FILL);
  }

  /** Lays a fill on the region or the stroke pointed at, without taking it into the hand; nothing happens beside the sheet or without a fill. */
  layHere(fill: Fill | undefined): void {
    const cell = this.cell.get();
    const stroke = this.stroke.get();
    if (stroke !== undefined && fill !== undefined) {
      this.layOnInk(fill, [stroke]);
    } else if (this.has("line")) {
      this.said.set("No ink is pointed at");
    } else if (cell !== undefined && fill !== undefined) {
      this.layOn(cell, fill);
    }
  }

  /** Lays a fill on the region of a cell, wherever the hand points. */
  layOn(cell: number, fill: Fill): void {
    const { cells, deepestX, deepestY } = this.regions.shape(this.regions.of(cell));
    if (this.work.refusesLocked(cells)) {
      return;
    }
    this.view.startRipple(cells, this.view.camera.toScreen({ x: deepestX, y: deepestY }));
    this.lay(fill, cells);
  }

  /** Lays a swatch on strokes, or makes them black; says why not if it is no swatch. */
  layOnInk(fill: Fill, places: readonly number[]): void {
    if (this.mayBeOnInk(fill)) {
      this.laidLast = fill;
      const strokes = countedPlaces(0, this.work.lay(fill, places)?.length ?? 0);
      if (strokes !== "") {
        this.said.set(
          fill === NO_FILL ? `Made ${strokes} black` : `Coloured ${strokes} with ${this.fills.nameOf(fill)}`,
        );
      }
    }
  }

  /** Whether ink can wear a fill; if not, that is said. */
  mayBeOnInk(fill: Fill): boolean {
    const may = FillTexts.isOneSwatchOrNone(fill);
    if (!may) {
      this.work.notice.set("Ink wears plain swatches. Take one into the hand first.");
    }
    return may;
  }

  /** Names of the fills that the region menu offers. */
  get offers(): { here: string; present: string; last: string | undefined; copied: string | undefined } {
    const name = (fill: Fill | undefined) => (fill === undefined ? undefined : this.fills.nameOf(fill));
    return {
      here: name(this.fillHereNow()) ?? "",
      present: this.fills.nameOf(this.present.get()),
      last: name(this.laidLast),
      copied: name(this.copied),
    };
  }

  get sweeping(): boolean {
    return this.swept !== undefined;
  }

  /** Fills the cell pointed at, or takes its fill while sampling. */
  fillHere(): void {
    const cell = this.cell.get();
    if (this.has("sample")) {
      this.sample();
    } else if (cell === undefined || !this.holdsBack(cell)) {
      this.layHere(this.present.get());
    }
  }

  /** Points at the next region in a direction. */
  walk(direction: Direction): void {
    const here = this.cell.get();
    const from = this.regions.of(here ?? this.firstInSight());
    const to = here === undefined ? from : this.regions.towards(from, direction);
    this.view.reveal(this.goTo(to));
  }

  /** Points at the next region without a fill, and shows it so close that it can be seen; returns whether there is one. */
  walkToEmpty(): boolean {
    const here = this.cell.get();
    const from = here === undefined ? undefined : this.regions.of(here);
    const to = this.regions.nextEmpty(from, this.fills.numbers());
    if (to === undefined) {
      this.said.set("Every region is filled");
      return false;
    }
    const { width, height } = this.regions.shape(to);
    this.view.showClose(this.goTo(to), Math.min(width, height));
    return true;
  }

  /** Points at the region of a cell. */
  goToCell(cell: number): void {
    this.goTo(this.regions.of(cell));
  }

  /** Points at the deepest place of a region, and returns it. */
  private goTo(region: number): Point {
    const shape = this.regions.shape(region);
    this.cell.set(shape.deepestCell);
    this.said.set(this.describe(region));
    return { x: shape.deepestX, y: shape.deepestY };
  }

  undo(): void {
    this.work.whenSettled(() => this.tell("Undone", this.work.undo()));
  }

  redo(): void {
    this.work.whenSettled(() => this.tell("Done again", this.work.redo()));
  }

  /** That of the stroke pointed at, while ink is coloured. */
  private fillHereNow(): Fill | undefined {
    const place = this.stroke.get() ?? this.cell.get();
    return place === undefined ? undefined : this.fills.of(place);
  }

  private lay(fill: Fill, cells: number[]): void {
    this.laidLast = fill;
    const changed = this.regionsOf(this.work.lay(fill, cells) ?? []);
    if (changed > 0) {
      const what = changed === 1 ? "1 region" : `${changed} regions`;
      this.said.set(fill === NO_FILL ? `Cleared ${what}` : `Filled ${what} with ${this.fills.nameOf(fill)}`);
      this.laid.set({ fill, cells });
    }
  }

  private tell(what: string, change: MadeChange | undefined): void {
    if (!change) {
      this.said.set("Nothing more");
    } else if (change.swaps.length > 0) {
      const places = change.swaps.map((swap) => swap.place);
      const regions = this.regionsOf(cellsAmong(places));
      const counted = countedPlaces(regions, strokesAmong(places).length);
      this.said.set(`${what}: ${counted || change.words}`);
    } else {
      this.said.set(`${what}: ${change.words || "a change of gaps"}`);
    }
  }

  private regionsOf(cells: number[]): number {
    return new Set(cells.map((cell) => this.regions.of(cell))).size;
  }

  private cellsHere(): number[] {
    const cell = this.cell.get();
    return cell === undefined ? [] : this.regions.cellsWith(cell);
  }

  private describe(region: number): string {
    const { area, cells } = this.regions.shape(region);
    const share = (100 * area) / this.regions.area;
    return `Region ${region + 1}, ${share < 0.1 ? "tiny" : `${share.toFixed(1)} percent of the sheet`}, ${this.fills.nameOf(this.fills.of(cells[0]!))}`;
  }

  private firstInSight(): number {
    return this.view.cellAt(this.view.camera.middle) ?? 0;
  }
}
