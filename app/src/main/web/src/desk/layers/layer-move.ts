import { atom } from "nanostores";
import { byId } from "../../shared/dom";
import type { Drawing } from "../hand/tools";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import type { Beside } from "./beside";

const FAR_PX = 10;
/** Arrows pressed one after the other are one move. */
const SETTLE_MS = 500;
const STEPS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Moves the layer that is worked on among the others: by a drag, or a few pixels by arrow keys. */
export class LayerMove implements Drawing {
  readonly isOn = atom(false);
  private from: Point | undefined;
  private moved = { x: 0, y: 0 };
  private settling: number | undefined;

  /** @param done told how far it was moved, in whole sheet pixels */
  constructor(
    private readonly view: SheetView,
    private readonly beside: Beside,
    private readonly done: (x: number, y: number) => Promise<void>,
  ) {
    byId("sheet").addEventListener("keydown", (event) => this.onKey(event), { capture: true });
    this.isOn.listen((isOn) => {
      byId("sheet").classList.toggle("cursor-move!", isOn);
      if (!isOn) {
        void this.finish();
      }
    });
  }

  begin(screen: Point): void {
    this.from = screen;
  }

  move(screen: Point): void {
    if (this.from) {
      const { scale } = this.view.camera;
      this.by((screen.x - this.from.x) / scale, (screen.y - this.from.y) / scale);
      this.from = screen;
    }
  }

  end(screen: Point): void {
    this.move(screen);
    this.from = undefined;
    void this.finish();
  }

  cancel(): void {
    const { scale } = this.view.camera;
    this.view.panBy(-this.moved.x * scale, -this.moved.y * scale);
    this.from = undefined;
    this.moved = { x: 0, y: 0 };
    this.beside.drag(0, 0);
  }

  /** The own layer follows the pointer, which pans the view; the others stay where they are seen. */
  private by(x: number, y: number): void {
    const { scale } = this.view.camera;
    this.moved = { x: this.moved.x + x, y: this.moved.y + y };
    this.beside.drag(this.moved.x, this.moved.y);
    this.view.panBy(x * scale, y * scale);
  }

  private async finish(): Promise<void> {
    clearTimeout(this.settling);
    const { x, y } = { x: Math.round(this.moved.x), y: Math.round(this.moved.y) };
    this.moved = { x: 0, y: 0 };
    if (x !== 0 || y !== 0) {
      await this.done(x, y);
    }
    this.beside.drag(this.moved.x, this.moved.y);
  }

  private onKey(event: KeyboardEvent): void {
    const step = STEPS[event.key];
    if (!step || !this.isOn.get()) {
      return;
    }
    const far = event.shiftKey ? FAR_PX : 1;
    this.by(step[0] * far, step[1] * far);
    clearTimeout(this.settling);
    this.settling = setTimeout(() => void this.finish(), SETTLE_MS);
    event.preventDefault();
    event.stopImmediatePropagation();
  }
}
