import type { SpillShown } from "rules";
import { byId } from "../../shared/dom";
import type { Regions } from "../model/regions";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import type { Overlay } from "../view/overlay";

/** Says before a fill runs out where it would run, and offers to dam the way. */
export class Leak {
  private readonly card = byId("leak");
  private cell: number | undefined;
  private dam: readonly number[] = [];

  constructor(
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
    const spill = this.regions.spill(cell);
    if (!spill) {
      return false;
    }
    this.open(cell, spill);
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

  private open(cell: number, { dam, gaps, places, narrowestPx, times, way }: SpillShown): void {
    this.cell = cell;
    this.dam = [...dam];
    const width = `${Math.max(1, Math.round(narrowestPx))} px`;
    const what = places === 1 ? `a gap of ${width}` : `${places} gaps, the smallest ${width}`;
    byId("leak-said").textContent = `This fill would run out through ${what}, over ${times} times as much.`;
    // Never over the place that it speaks of.
    const from = this.regions.map.layer.cell(cell);
    const { y } = this.view.camera.toScreen({ x: from.deepestX, y: from.deepestY });
    this.card.classList.toggle("is-below", y < this.view.camera.size.height / 2);
    this.card.hidden = false;
    this.overlay.mark(this.regions.named(gaps));
    const to = this.regions.shape(this.regions.of(cell));
    this.overlay.run([
      { x: from.deepestX, y: from.deepestY },
      ...this.regions.named(way).map((each): Point => each.middle),
      { x: to.deepestX, y: to.deepestY },
    ]);
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
}
