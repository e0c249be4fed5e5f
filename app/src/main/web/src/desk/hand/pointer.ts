import type { Point } from "../view/camera";
import type { SheetView } from "../view/sheet-view";
import type { Hand } from "./hand";

const WHEEL_STEP = 0.0015;

/** Mouse, pen and touch on the sheet: press fills and sweeps, space or the middle button pans, two fingers pan and zoom. */
export class PointerInput {
  private readonly down = new Map<number, Point>();
  private panning = false;

  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly spaceHeld: () => boolean,
  ) {
    canvas.addEventListener("pointerdown", (event) => this.onDown(event));
    canvas.addEventListener("pointermove", (event) => this.onMove(event));
    canvas.addEventListener("pointerup", (event) => this.onUp(event));
    canvas.addEventListener("pointercancel", (event) => this.onCancel(event));
    canvas.addEventListener("pointerleave", () => hand.pointAt(undefined));
    canvas.addEventListener("wheel", (event) => this.onWheel(event), { passive: false });
  }

  private onDown(event: PointerEvent): void {
    const at = this.at(event);
    this.down.set(event.pointerId, at);
    this.canvas.setPointerCapture(event.pointerId);
    if (this.down.size > 1) {
      // The first finger of two has begun a fill that nobody meant.
      this.hand.cancelSweep();
      this.panning = true;
    } else if (event.button === 1 || this.spaceHeld()) {
      this.panning = true;
    } else if (event.button === 0) {
      this.hand.beginSweep(at);
    }
    this.canvas.classList.toggle("is-panning", this.panning);
    event.preventDefault();
    this.canvas.focus({ preventScroll: true });
  }

  private onMove(event: PointerEvent): void {
    const at = this.at(event);
    const before = this.down.get(event.pointerId);
    if (before && this.panning) {
      this.panOrPinch(event.pointerId, before, at);
    } else if (this.hand.sweeping) {
      for (const passed of event.getCoalescedEvents?.() ?? []) {
        this.hand.sweepTo(this.at(passed));
      }
      this.hand.sweepTo(at);
    }
    if (before) {
      this.down.set(event.pointerId, at);
    }
    if (!this.panning) {
      this.hand.pointAt(at);
    }
  }

  private panOrPinch(moved: number, before: Point, at: Point): void {
    const others = [...this.down].filter(([id]) => id !== moved).map(([, point]) => point);
    const other = others[0];
    if (!other) {
      this.view.panBy(at.x - before.x, at.y - before.y);
      return;
    }
    const middle = { x: (at.x + other.x) / 2, y: (at.y + other.y) / 2 };
    this.view.panBy((at.x - before.x) / 2, (at.y - before.y) / 2);
    this.view.zoomBy(distance(at, other) / Math.max(1, distance(before, other)), middle);
  }

  private onUp(event: PointerEvent): void {
    this.down.delete(event.pointerId);
    if (this.hand.sweeping) {
      this.hand.endSweep();
    }
    this.rest();
  }

  private onCancel(event: PointerEvent): void {
    this.down.delete(event.pointerId);
    this.hand.cancelSweep();
    this.rest();
  }

  private rest(): void {
    if (this.down.size === 0) {
      this.panning = false;
      this.canvas.classList.remove("is-panning");
    }
  }

  private onWheel(event: WheelEvent): void {
    event.preventDefault();
    const lines = event.deltaMode === WheelEvent.DOM_DELTA_LINE ? 16 : 1;
    if (event.shiftKey) {
      this.view.panBy(-(event.deltaX + event.deltaY) * lines, 0);
    } else {
      this.view.zoomBy(Math.exp(-event.deltaY * lines * WHEEL_STEP), this.at(event));
    }
    this.hand.pointAt(this.at(event));
  }

  private at(event: MouseEvent): Point {
    const box = this.canvas.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top };
  }
}

function distance(a: Point, b: Point): number {
  return Math.hypot(a.x - b.x, a.y - b.y);
}
