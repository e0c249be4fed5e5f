import { byId } from "../../shared/dom";
import { call } from "../../shared/http";
import type { Regions } from "../model/regions";
import type { Work } from "../model/work";
import type { Point } from "../view/camera";
import { countPlaces, withoutCrumbs } from "./gap-places";
import type { SheetView } from "../view/sheet-view";
import type { Overlay } from "./overlay";

/** A region so many times as large as the piece clicked is not what was meant. */
const MANY_TIMES = 4;
/** The same, where the piece lies inside and the region reaches the edge of the sheet. */
const OUT_TIMES = 1.5;
const LEAST_STRENGTH = 0.1;

/** Says before a fill runs out where it would run, and offers to dam the way. */
export class Leak {
  private readonly card = byId("leak");
  private cell: number | undefined;
  private dam: number[] = [];

  constructor(
    private readonly path: string,
    private readonly regions: Regions,
    private readonly work: Work,
    private readonly overlay: Overlay,
    private readonly view: SheetView,
    private readonly fill: (cell: number) => void,
  ) {
    byId("leak-dam").addEventListener("click", () => this.damAndFill());
    byId("leak-anyway").addEventListener("click", () => this.fillAnyway());
    byId("leak-close").addEventListener("click", () => this.close());
  }

  /** Whether a click on a cell is held back because its fill would run out; a second click on the same region is not. */
  holdsBack(cell: number): boolean {
    if (this.cell !== undefined) {
      const again = this.regions.of(this.cell) === this.regions.of(cell);
      this.close();
      if (again) {
        return false;
      }
    }
    const { area, strength, dam } = this.regions.within(cell);
    const region = this.regions.shape(this.regions.of(cell));
    const runsOut = this.reachesEdge(region) && region.area > OUT_TIMES * area && area < region.area / 2;
    if (strength < LEAST_STRENGTH || !(region.area > MANY_TIMES * area || runsOut)) {
      return false;
    }
    this.open(cell, dam, Math.round(region.area / area));
    return true;
  }

  close(): void {
    this.cell = undefined;
    this.card.hidden = true;
    this.overlay.run([]);
    this.overlay.mark([]);
  }

  get isOpen(): boolean {
    return this.cell !== undefined;
  }

  private open(cell: number, dam: number[], times: number): void {
    this.cell = cell;
    this.dam = dam;
    const gaps = withoutCrumbs(
      dam.map((index) => this.regions.openings.all[index]!),
      this.regions.openings.strokePx,
    );
    const width = `${Math.max(1, Math.round(Math.min(...gaps.map((gap) => gap.widthPx))))} px`;
    const places = countPlaces(gaps);
    const what = places === 1 ? `a gap of ${width}` : `${places} gaps, the smallest ${width}`;
    byId("leak-said").textContent = `This fill would run out through ${what}, over ${times} times as much.`;
    // Never over the place that it speaks of.
    const { deepestX, deepestY } = this.regions.map.cells[cell]!;
    const { y } = this.view.camera.toScreen({ x: deepestX, y: deepestY });
    this.card.classList.toggle("is-below", y < this.view.camera.size.height / 2);
    this.card.hidden = false;
    this.overlay.mark(gaps);
    void this.showWay(cell);
  }

  private async showWay(cell: number): Promise<void> {
    const region = this.regions.shape(this.regions.of(cell));
    const { numbers, width } = this.regions.map.plane;
    const to = numbers[region.deepestY * width + region.deepestX]!;
    const way = await call<number[]>(`${this.path}/leak?from=${cell}&to=${to}`);
    if (this.cell === cell) {
      const from = this.regions.map.cells[cell]!;
      this.overlay.run([
        { x: from.deepestX, y: from.deepestY },
        ...way.map((index): Point => this.regions.openings.all[index]!.middle),
        { x: region.deepestX, y: region.deepestY },
      ]);
    }
  }

  damAndFill(): void {
    const cell = this.cell!;
    this.work.dam(new Map(this.dam.map((index) => [index, "SHUT"] as const)));
    this.close();
    this.fill(cell);
  }

  private fillAnyway(): void {
    const cell = this.cell!;
    this.close();
    this.fill(cell);
  }

  private reachesEdge({
    x,
    y,
    width,
    height,
  }: {
    x: number;
    y: number;
    width: number;
    height: number;
  }): boolean {
    const plane = this.regions.map.plane;
    return x === 0 || y === 0 || x + width === plane.width || y + height === plane.height;
  }
}
