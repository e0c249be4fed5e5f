import { EvenLines } from "rules";
import { byId } from "../../shared/dom";
import type { Divided, EvenHandles } from "../view/even-handles";
import type { Gathering } from "../hand/gathering";
import type { Hand } from "../hand/hand";
import type { NewCells } from "../hand/new-cells";
import { cellsAmong } from "../model/places";
import type { Regions } from "../model/regions";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import { pointsOf } from "../geometry/way";
import type { Overlay } from "../view/overlay";

const BESIDE = -1;
/** How far apart the points of lines are that are shown while they are sought, on the screen. */
const STEP_PX = 2;

/** Divides what is gathered of line art evenly, by dams, as it is seen while numbers are changed, or handles are dragged. */
export class Evenly implements Divided {
  readonly degrees = byId<HTMLInputElement>("evenly-degrees");
  own: Point = { x: 0, y: 0 };
  private readonly panel = byId<HTMLFormElement>("evenly");

  constructor(
    private readonly gathering: Gathering,
    private readonly regions: Regions,
    private readonly newCells: NewCells,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly overlay: Overlay,
    private readonly handles: EvenHandles,
  ) {
    byId("evenly-leave").addEventListener("click", () => this.close());
    this.panel.addEventListener("input", () => handles.renew());
    this.panel.addEventListener("submit", (event) => {
      event.preventDefault();
      void this.divide();
    });
    gathering.count.listen((count) => {
      if (count === 0) {
        this.close();
      } else if (!this.panel.hidden) {
        this.open();
      }
    });
  }

  open(): void {
    this.panel.hidden = false;
    const [left, top, right, bottom] = this.box;
    this.own = { x: (left + right) / 2, y: (top + bottom) / 2 };
    this.handles.show(this);
  }

  /** Returns whether it was open. */
  close(): boolean {
    const wasOpen = !this.panel.hidden;
    if (wasOpen) {
      this.panel.hidden = true;
      this.handles.hide(this);
      this.overlay.divide([]);
      byId("sheet").focus({ preventScroll: true });
    }
    return wasOpen;
  }

  private get cells(): number[] {
    return cellsAmong(this.gathering.gathered);
  }

  private get box(): [number, number, number, number] {
    return this.regions.boxOf(this.cells) as [number, number, number, number];
  }

  private asked(): [string, number, number, number] {
    const [parts, rows, degrees] = ["parts", "rows", "degrees"].map((id) =>
      Number(byId<HTMLInputElement>(`evenly-${id}`).value),
    ) as [number, number, number];
    return [byId<HTMLSelectElement>("evenly-kind").value, parts, rows, degrees];
  }

  preview({ x, y }: Point): void {
    const [left, top, right, bottom] = this.box;
    const step = Math.max(1, STEP_PX / this.view.camera.scale);
    try {
      const box = [left, top, right - left, bottom - top];
      const lines = EvenLines.over(box, ...this.asked(), x, y, step);
      const { width, height, numbers } = this.regions.map.plane;
      const there = Int32Array.from(lines.pixels(width, height), (pixel) => numbers[pixel] ?? BESIDE);
      lines.keepInside(there, this.cells);
      this.overlay.divide(Array.from({ length: lines.count() }, (_, line) => pointsOf(lines.line(line))));
    } catch (error) {
      this.overlay.divide([]);
      this.hand.said.set((error as Error).message);
    }
  }

  private async divide(): Promise<void> {
    const { cells } = this;
    const [evenly, parts, rows, degrees] = this.asked();
    const { x, y } = this.handles.middle;
    try {
      const isParted = await this.newCells.draw("dams/evenly", { cells, evenly, parts, rows, degrees, x, y });
      const made = this.newCells.parted
        .filter(({ cell }) => cells.includes(cell))
        .flatMap((each) => [...each.parts]);
      this.close();
      this.gathering.gather([...cells, ...made]);
      this.hand.said.set(isParted ? "Divided evenly" : "These lines part nothing");
    } catch (error) {
      this.work.notice.set((error as Error).message);
    }
  }
}
