import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import type { Hand } from "./hand";
import type { Drawing, Tools } from "./tools";

const WHEEL_STEP = 0.0015;
const HOLD_MS = 550;
/** A finger at rest trembles. */
const HOLD_SLACK_PX = 9;

/** What a pen or a finger that is held still at a place of the canvas does. */
export interface Holding {
  held(at: Point): void;
  /** It moves on from there. */
  moves(event: PointerEvent): void;
  ends(event: PointerEvent): void;
}

/** Mouse, pen and touch on the sheet: press fills and sweeps, space or the middle button pans, two fingers pan and zoom. */
export class PointerInput {
  private readonly down = new Map<number, Point>();
  private panning = false;
  private underWay: Drawing | undefined;
  private holdTimer: number | undefined;
  private isHeld = false;
  private heldAt: Point = { x: 0, y: 0 };
  /** What a pen or a finger held still does. */
  holding: Holding | undefined;
  /** Opens what a second button opens, at a place of the canvas. */
  openMenu: (at: Point) => void = () => {};

  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly tools: Tools,
    private readonly isSpaceHeld: () => boolean,
  ) {
    canvas.addEventListener("pointerdown", (event) => this.onDown(event));
    canvas.addEventListener("pointermove", (event) => this.onMove(event));
    canvas.addEventListener("pointerup", (event) => this.onUp(event));
    canvas.addEventListener("pointercancel", (event) => this.onCancel(event));
    canvas.addEventListener("contextmenu", (event) => this.onSecondButton(event));
    canvas.addEventListener("pointerleave", () => {
      hand.pointAt(undefined);
      hand.pointer.set(undefined);
    });
    canvas.addEventListener("wheel", (event) => this.onWheel(event), { passive: false });
  }

  private cancelDrawing(): void {
    this.underWay?.cancel();
    this.underWay = undefined;
  }

  private onDown(event: PointerEvent): void {
    const at = this.at(event);
    this.down.set(event.pointerId, at);
    this.canvas.setPointerCapture(event.pointerId);
    if (this.down.size > 1) {
      // The first finger of two has begun a fill that nobody meant.
      this.hand.cancelSweep();
      this.cancelDrawing();
      clearTimeout(this.holdTimer);
      this.panning = true;
    } else if (event.button === 1 || this.isSpaceHeld()) {
      this.panning = true;
    } else if (event.button === 0) {
      this.press(event, at);
    }
    this.canvas.classList.toggle("is-panning", this.panning);
    event.preventDefault();
    this.canvas.focus({ preventScroll: true });
  }

  private press(event: PointerEvent, at: Point): void {
    this.hand.pointAt(at);
    const drawing = event.ctrlKey || event.metaKey ? this.tools.gathering : this.tools.drawing;
    if (drawing) {
      this.underWay = drawing;
      drawing.begin(at, event.altKey, event.shiftKey);
      return;
    }
    if (this.hand.has("sample") || event.altKey) {
      this.hand.sample();
      return;
    }
    const cell = this.hand.cell.get();
    if (cell !== undefined && this.hand.holdsBack(cell)) {
      return;
    }
    this.hand.beginSweep(at, event.shiftKey);
    if (event.pointerType !== "mouse") {
      this.heldAt = at;
      this.holdTimer = setTimeout(() => this.onHold(), HOLD_MS);
    }
  }

  private onHold(): void {
    this.hand.cancelSweep();
    this.isHeld = true;
    this.holding?.held(this.heldAt);
  }

  private onSecondButton(event: MouseEvent): void {
    event.preventDefault();
    const at = this.at(event);
    this.hand.pointAt(at);
    this.openMenu(at);
  }

  private onMove(event: PointerEvent): void {
    const at = this.at(event);
    if (distance(at, this.heldAt) > HOLD_SLACK_PX) {
      clearTimeout(this.holdTimer);
    }
    if (this.isHeld) {
      this.holding?.moves(event);
      return;
    }
    const before = this.down.get(event.pointerId);
    if (before && this.panning) {
      this.panOrPinch(event.pointerId, before, at);
    } else if (this.underWay) {
      this.underWay.move(at);
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
      this.hand.pointer.set(before ? undefined : at);
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
    if (this.isHeld) {
      this.isHeld = false;
      this.holding?.ends(event);
    }
    if (this.hand.sweeping) {
      this.hand.endSweep();
    }
    this.underWay?.end(this.at(event));
    this.underWay = undefined;
    this.rest();
  }

  private onCancel(event: PointerEvent): void {
    this.down.delete(event.pointerId);
    this.isHeld = false;
    this.hand.cancelSweep();
    this.cancelDrawing();
    this.rest();
  }

  private rest(): void {
    clearTimeout(this.holdTimer);
    if (this.down.size === 0) {
      this.panning = false;
      this.canvas.classList.remove("is-panning");
    }
  }

  private onWheel(event: WheelEvent): void {
    event.preventDefault();
    const lines = event.deltaMode === WheelEvent.DOM_DELTA_LINE ? 16 : 1;
    if (event.altKey) {
      this.hand.step(event.deltaY < 0 ? 1 : -1);
    } else if (event.shiftKey) {
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
