import { atom } from "nanostores";
import { byId } from "../../shared/dom";
import type { Fills } from "../model/fills";
import type { Regions, RegionShape } from "../model/regions";
import { cellsAmong, countedPlaces } from "../model/places";
import { NO_FILL, type Fill } from "../model/state";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import type { Overlay } from "../view/overlay";
import type { Command } from "./commands";
import type { Drawing, Tool } from "./tools";
import type { Hand } from "./hand";

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
    regions.onRenumbered((numberNow) => (this.places = new Set(this.gathered.map(numberNow))));
    regions.changed.listen(() =>
      this.set(new Set([...this.places].filter((place) => place < fills.cellCount))),
    );
    byId("gather-fill").addEventListener("click", () => this.lay(hand.present.get()));
    byId("gather-holes").addEventListener("click", () => this.leaveOutHoles());
    byId("gather-letgo").addEventListener("click", () => this.letGo());
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
      inside.length === 0
        ? "Nothing lies inside these regions"
        : `${countedPlaces(this.count.get(), 0)} gathered`,
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
        : `Gathered ${countedPlaces(this.count.get(), 0)} inside ${own ? "this figure" : "the figures"}`,
    );
  }

  /** Lays a fill on all that is gathered, as one change, and lets it go. */
  lay(fill: Fill): void {
    if (this.places.size > 0 && this.work.lay(fill, this.places)) {
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

  commands(): Command[] {
    const inMenu = (name: string, label: string, run: () => void, part = 1): Command => ({
      name: `gather-${name}`,
      chapter: "Gather",
      entry: { menu: "gathered", label: () => label, part },
      run,
    });
    return [
      {
        name: "gathered-bar",
        keys: ["Shift F"],
        chapter: "Gather",
        tells: "go to what can be done with what is gathered",
        isMeant: () => !byId("gathered").hidden,
        run: () => byId("gather-fill").focus(),
      },
      inMenu("empty", "Fill only those without a fill", () => this.layOnEmpty(this.hand.present.get())),
      inMenu("clear", "Clear", () => this.lay(NO_FILL)),
      inMenu(
        "alike",
        "Add what is about as large",
        () => this.gather(this.regions.alike(this.gathered), true),
        2,
      ),
      inMenu("inside", "Add all that lies inside these", () => this.inside(), 2),
      inMenu("invert", "Gather all others instead", () => this.invert(), 2),
      {
        name: "ground",
        keys: ["R"],
        chapter: "Gather",
        tells: "gather what is empty inside the figure pointed at",
        strip: {
          label: "Ground",
          help: "Gathers all that has no fill inside the figure pointed at, or inside every figure.",
          icon: '<path d="M5 20c0-7 2-15 7-15s7 8 7 15Z" class="solid" />',
          place: 3,
        },
        run: () => this.ground(),
      },
      {
        name: "gather-here",
        keys: ["Shift Enter"],
        isOnSheet: true,
        chapter: "Gather",
        gesture: "Ctrl and click",
        tells: "gather a region, whatever the tool",
        run: () => this.toggleHere(),
      },
      {
        name: "gather-by-enter",
        keys: ["Enter"],
        isOnSheet: true,
        isMeant: () => this.hand.has("gather"),
        chapter: "Gather",
        run: () => this.toggleHere(),
      },
    ];
  }

  get tool(): Tool {
    return {
      name: "gather",
      keys: ["F"],
      chapter: "Tools",
      tells: "gather by click, sweep or Enter, then fill all at once; Shift draws around",
      hint: "Click regions or sweep over them to gather them; then fill them all at once.",
      strip: {
        label: "Gather",
        help: "Gathers regions by click and sweep, to fill, clear or widen them as one.",
        icon: '<circle cx="8" cy="9" r="3.500" /><circle cx="16.500" cy="8" r="2.500" /><circle cx="14" cy="16.500" r="4" />',
        place: 2,
      },
      drawing: this,
    };
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
