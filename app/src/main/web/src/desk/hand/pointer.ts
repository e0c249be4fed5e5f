import type { Point } from "../view/camera";
import type { SheetView } from "../view/sheet-view";
import type { Hand } from "./hand";

const WHEEL_STEP = 0.0015;
const HOLD_MS = 550;
/** A finger at rest trembles. */
const HOLD_SLACK_PX = 9;

export interface PointerTargets {
  /** Whether space is held, so that a drag moves the sheet. */
  spaceHeld(): boolean;
  /** What a second button opens, at a place on the canvas. */
  openMenu(at: Point): void;
  /** A pen or a finger was held still at a place on the canvas. */
  held(at: Point): void;
  /** And moves on from there. */
  heldMoves(event: PointerEvent): void;
  /** And is lifted. */
  heldEnds(event: PointerEvent): void;
  /** Only looking is possible: a drag moves the sheet. */
  lookOnly(): boolean;
  /** Whether a fill is held back because it would run out. */
  holdsBack(cell: number): boolean;
  /** What draws instead of filling, while it is the tool in the hand. */
  drawing(): Drawing | undefined;
  /** What a press with Ctrl does, whatever the tool: gathering. */
  gathering(): Drawing;
  /** One step up or down for the region pointed at. */
  step(by: 1 | -1): void;
  pointedAt(at: Point | undefined): void;
}

/** A tool that is pressed, moved and let go. */
export interface Drawing {
  begin(screen: Point, lifting: boolean, brushing: boolean): void;
  move(screen: Point): void;
  end(screen: Point): void;
  cancel(): void;
}

/** Mouse, pen and touch on the sheet: press fills and sweeps, space or the middle button pans, two fingers pan and zoom. */
export class PointerInput {
  private readonly down = new Map<number, Point>();
  private panning = false;
  private underWay: Drawing | undefined;
  private holdTimer: number | undefined;
  private isHeld = false;
  private heldAt: Point = { x: 0, y: 0 };

  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly targets: PointerTargets,
  ) {
    canvas.addEventListener("pointerdown", (event) => this.onDown(event));
    canvas.addEventListener("pointermove", (event) => this.onMove(event));
    canvas.addEventListener("pointerup", (event) => this.onUp(event));
    canvas.addEventListener("pointercancel", (event) => this.onCancel(event));
    canvas.addEventListener("contextmenu", (event) => this.onSecondButton(event));
    canvas.addEventListener("pointerleave", () => {
      hand.pointAt(undefined);
      targets.pointedAt(undefined);
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
    } else if (event.button === 1 || this.targets.spaceHeld() || this.targets.lookOnly()) {
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
    const drawing = event.ctrlKey || event.metaKey ? this.targets.gathering() : this.targets.drawing();
    if (drawing) {
      this.underWay = drawing;
      drawing.begin(at, event.altKey, event.shiftKey);
      return;
    }
    if (this.hand.sampling.get() || event.altKey) {
      this.hand.sample();
      return;
    }
    const cell = this.hand.cell.get();
    if (cell !== undefined && this.targets.holdsBack(cell)) {
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
    this.targets.held(this.heldAt);
  }

  private onSecondButton(event: MouseEvent): void {
    event.preventDefault();
    if (!this.targets.lookOnly()) {
      const at = this.at(event);
      this.hand.pointAt(at);
      this.targets.openMenu(at);
    }
  }

  private onMove(event: PointerEvent): void {
    const at = this.at(event);
    if (distance(at, this.heldAt) > HOLD_SLACK_PX) {
      clearTimeout(this.holdTimer);
    }
    if (this.isHeld) {
      this.targets.heldMoves(event);
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
      this.targets.pointedAt(before ? undefined : at);
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
      this.targets.heldEnds(event);
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
      this.targets.step(event.deltaY < 0 ? 1 : -1);
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
