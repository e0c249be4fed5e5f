import { atom } from "nanostores";
import { byId } from "../../shared/dom";
import type { Fills } from "../model/fills";
import type { Regions, RegionShape } from "../model/regions";
import { cellsAmong, countedPlaces } from "../model/places";
import { NO_FILL, type Fill } from "../model/state";
import type { Work } from "../model/work";
import type { Point } from "../view/camera";
import type { SheetView } from "../view/sheet-view";
import type { Overlay } from "../gaps/overlay";
import type { Drawing } from "./pointer";
import type { Hand } from "./hand";
import type { Ramp } from "./ramp";

/** Gathers regions, by click, sweep, fill or figure, and then does one thing to all of them as one change. */
export class Gathering implements Drawing {
  /** How many regions are gathered. */
  readonly count = atom(0);
  /** How many strokes are gathered. */
  readonly strokes = atom(0);
  /** Cells and strokes, in the order in which they were gathered. */
  private places = new Set<number>();
  private taking: boolean | undefined;
  private passed = new Set<number>();
  private lasso: Point[] = [];
  private holes: number[][] = [];

  constructor(
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly overlay: Overlay,
  ) {
    regions.changed.listen(() =>
      this.set(new Set([...this.places].filter((place) => place < fills.cellCount))),
    );
    const acts: Record<string, () => void> = {
      fill: () => this.lay(hand.present.get()),
      empty: () => this.layOnEmpty(hand.present.get()),
      inside: () => this.inside(),
      holes: () => this.leaveOutHoles(),
      clear: () => this.lay(NO_FILL),
      invert: () => this.invert(),
      alike: () => this.alike(),
      letgo: () => this.set(new Set()),
    };
    for (const [act, run] of Object.entries(acts)) {
      byId(`gather-${act}`).addEventListener("click", run);
    }
    hand.present.subscribe((fill) => (byId("gather-fill").textContent = `Fill with ${fills.nameOf(fill)}`));
    this.show();
  }

  /**
   * A press on a gathered region drops it, and a sweep from there drops all that it passes; else they are taken.
   *
   * @param lassoing the way drawn goes around what is meant
   */
  begin(screen: Point, _lifting: boolean, lassoing: boolean): void {
    if (lassoing) {
      this.lasso = [this.view.camera.toSheet(screen)];
      return;
    }
    const cell = this.view.cellAt(screen);
    if (cell !== undefined) {
      this.taking = !this.places.has(cell);
      this.passed = new Set();
      this.move(screen);
    }
  }

  move(screen: Point): void {
    if (this.lasso.length > 0) {
      this.lasso.push(this.view.camera.toSheet(screen));
      this.overlay.draw([...this.lasso, this.lasso[0]!]);
      return;
    }
    const cell = this.view.cellAt(screen);
    if (this.taking === undefined || cell === undefined || this.passed.has(cell)) {
      return;
    }
    const next = new Set(this.places);
    for (const each of this.regions.cellsWith(cell)) {
      this.passed.add(each);
      if (this.taking) {
        next.add(each);
      } else {
        next.delete(each);
      }
    }
    this.set(next);
  }

  end(screen: Point): void {
    this.move(screen);
    this.taking = undefined;
    if (this.lasso.length > 0) {
      this.gather(this.regions.inside(this.lasso), true);
      this.endLasso();
    }
  }

  cancel(): void {
    this.taking = undefined;
    this.endLasso();
  }

  private endLasso(): void {
    this.lasso = [];
    this.overlay.draw([]);
  }

  /** Takes all that lies inside what is gathered, taken as an outline. */
  private inside(): void {
    const inside = this.regions.enclosed(this.gathered);
    this.gather(inside, true);
    this.hand.said.set(
      inside.length === 0 ? "Nothing lies inside these regions" : `${this.count.get()} regions gathered`,
    );
  }

  /** Gathers whatever wears a fill, regions and strokes, instead of what was gathered. */
  wearing(fill: Fill): void {
    this.set(new Set(this.fills.wearing(fill)));
  }

  /**
   * Gathers what has no fill yet inside the figure pointed at, or inside every figure; where there is none, whatever has no fill yet. What is outside is
   * told through reach and dams.
   */
  ground(): void {
    const figures = this.regions.figures();
    const here = this.hand.cell.get();
    const own = figures.find((figure) => here !== undefined && figure.cells.includes(here));
    const meant = own ? [own] : figures;
    const inside = meant.flatMap((figure) => [...figure.cells]);
    const empty = (inside.length > 0 ? inside : this.allCells()).filter(
      (cell) => this.fills.of(cell) === NO_FILL,
    );
    this.set(new Set(empty));
    this.offerHoles(
      meant
        .flatMap((figure) => figure.holes.map((hole) => [...hole]))
        .filter((hole) => hole.some((cell) => empty.includes(cell))),
    );
    this.hand.said.set(
      empty.length === 0
        ? "Nothing inside is without a fill"
        : `Gathered ${this.count.get()} regions inside ${own ? "this figure" : "the figures"}`,
    );
  }

  /** Lays a fill on all that is gathered, as one change, and lets it go. */
  lay(fill: Fill): void {
    if (this.places.size > 0) {
      this.work.lay(fill, this.places);
      const what = countedPlaces(this.count.get(), this.strokes.get());
      this.hand.said.set(`${fill === NO_FILL ? "Cleared" : "Filled"} ${what}`);
      this.set(new Set());
    }
  }

  /** Lays a fill on those that have none yet, and lets all go. */
  private layOnEmpty(fill: Fill): void {
    this.set(new Set(this.gathered.filter((cell) => this.fills.of(cell) === NO_FILL)));
    this.lay(fill);
  }

  /** Offers to leave out what may be holes; pointing at the offer lights them up. */
  private offerHoles(holes: number[][]): void {
    this.holes = holes;
    const offer = byId("gather-holes");
    offer.hidden = holes.length === 0;
    offer.textContent = holes.length === 1 ? "Leave out 1 hole" : `Leave out ${holes.length} holes`;
    offer.onpointerenter = () => this.view.light(this.holes.flat());
    offer.onpointerleave = () => this.view.light(undefined);
  }

  private leaveOutHoles(): void {
    const out = this.holes.flat();
    this.view.light(undefined);
    this.offerHoles([]);
    this.drop(out);
  }

  /** The cells gathered, in the order in which they were. */
  get gathered(): number[] {
    return cellsAmong([...this.places]);
  }

  /** Cells and strokes, in the order in which they were gathered. */
  get gatheredPlaces(): number[] {
    return [...this.places];
  }

  /** The gathered regions, in the order in which they were. */
  get inOrder(): RegionShape[] {
    return this.regionsOf(this.gathered).map((region) => this.regions.shape(region));
  }

  /** Steps a colour over the gathered regions when that is asked for. */
  rampWith(ramp: Ramp): void {
    const ask = byId<HTMLButtonElement>("gather-ramp");
    ask.addEventListener("click", () => {
      const parts = this.inOrder.map((region) => ({
        cells: region.cells,
        x: region.deepestX,
        y: region.deepestY,
        width: region.width,
      }));
      ramp.open(parts, () => this.letGo());
    });
    this.count.subscribe((count) => {
      ask.disabled = count < 2;
      ask.textContent = ask.disabled ? "Ramp: gather two regions or more" : `Ramp over ${count} regions`;
    });
  }

  /** Shows the gathered regions without their stripes, or with them again: stripes are in the way of judging a colour. */
  veil(veiled: boolean): void {
    this.view.gather(veiled ? [] : this.gatheredPlaces);
  }

  /** Gathers these cells and strokes, instead of what was gathered or besides. */
  gather(places: Iterable<number>, besides = false): void {
    this.set(new Set([...(besides ? this.places : []), ...places]));
  }

  /** Lets some go. */
  drop(places: Iterable<number>): void {
    const dropped = new Set(places);
    this.set(new Set([...this.places].filter((place) => !dropped.has(place))));
  }

  has(place: number): boolean {
    return this.places.has(place);
  }

  /** Takes the one pointed at along, or drops it. */
  toggleHere(): void {
    const cell = this.hand.cell.get();
    if (cell !== undefined) {
      const next = new Set(this.places);
      const taking = !next.has(cell);
      this.regions.cellsWith(cell).forEach((each) => (taking ? next.add(each) : next.delete(each)));
      this.set(next);
    }
  }

  letGo(): boolean {
    const had = this.places.size > 0;
    this.set(new Set());
    return had;
  }

  private invert(): void {
    this.set(new Set(this.allCells().filter((cell) => !this.places.has(cell))));
  }

  /** Adds regions about as large and as long as one of those gathered, that wear the same. */
  private alike(): void {
    this.gather(this.regions.alike(this.gathered), true);
  }

  private set(places: Set<number>): void {
    this.places = places;
    this.view.gather([...places]);
    this.count.set(this.regionsOf(this.gathered).length);
    this.strokes.set(places.size - this.gathered.length);
    this.show();
  }

  private show(): void {
    byId("gathered").hidden = this.places.size === 0;
    if (this.places.size === 0) {
      this.offerHoles([]);
    }
    byId("gathered-count").textContent = `${countedPlaces(this.count.get(), this.strokes.get())} gathered`;
  }

  private regionsOf(cells: Iterable<number>): number[] {
    return [...new Set([...cells].map((cell) => this.regions.of(cell)))];
  }

  private allCells(): number[] {
    return Array.from({ length: this.fills.cellCount }, (_, cell) => cell);
  }
}
