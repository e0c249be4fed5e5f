import { el } from "../../shared/build";
import { byId } from "../../shared/dom";
import type { Overlay } from "../view/overlay";
import type { Span } from "../model/made";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";

/** The parts of a span that one can take hold of. */
const PARTS = { start: "Start", middle: "Move", end: "End" } as const;
type Part = keyof typeof PARTS;

const NUDGE_PX = 1;
const FAR_PX = 10;
const LEAST_APART_PX = 84;
const STEPS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The span of a gradient or pattern, drawn on the sheet: its ends turn and stretch it, its middle moves it; by pointer or with arrow keys. */
export class Handles {
  private readonly buttons: Record<Part, HTMLButtonElement>;
  private span: Span | undefined;

  constructor(
    private readonly view: SheetView,
    private readonly overlay: Overlay,
    private readonly moved: (span: Span) => void,
  ) {
    const button = (part: Part) => {
      const made = el("button", {
        type: "button",
        className: `span-handle is-${part}`,
        "aria-label": `${PARTS[part]} of the fill on the sheet`,
        title: part === "middle" ? "Move" : "Turn and stretch",
        keydown: (event: KeyboardEvent) => this.onKey(part, event),
        pointerdown: (event: PointerEvent) => this.drag(part, event),
      });
      made.hidden = true;
      byId("sheet").parentElement!.append(made);
      return made;
    };
    this.buttons = { start: button("start"), middle: button("middle"), end: button("end") };
    view.onMove(() => this.place());
  }

  show(span: Span | undefined): void {
    this.span = span;
    Object.values(this.buttons).forEach((button) => (button.hidden = span === undefined));
    const points = span ? [this.at("start")!, this.at("end")!] : [];
    this.overlay.draw(points);
    this.place();
  }

  private place(): void {
    if (!this.span) {
      return;
    }
    const [start, middle, end] = (["start", "middle", "end"] as const).map((part) =>
      this.view.camera.toScreen(this.at(part)!),
    ) as [Point, Point, Point];
    const length = Math.hypot(end.x - start.x, end.y - start.y);
    // On a short span the ends stand off, so that each can be hit.
    const apart = Math.max(1, LEAST_APART_PX / Math.max(1, length));
    const stand = (at: Point) => ({
      x: middle.x + apart * (at.x - middle.x),
      y: middle.y + apart * (at.y - middle.y),
    });
    for (const [part, at] of [
      ["start", stand(start)],
      ["middle", middle],
      ["end", stand(end)],
    ] as const) {
      this.buttons[part].style.transform = `translate(${at.x}px, ${at.y}px) translate(-50%, -50%)`;
    }
  }

  private at(part: Part): Point | undefined {
    if (!this.span) {
      return undefined;
    }
    const { x1, y1, x2, y2 } = this.span;
    const middle = { x: (x1 + x2) / 2, y: (y1 + y2) / 2 };
    return { start: { x: x1, y: y1 }, middle, end: { x: x2, y: y2 } }[part];
  }

  private drag(part: Part, event: PointerEvent): void {
    const button = this.buttons[part];
    const from = { x: event.clientX, y: event.clientY };
    const span = this.span!;
    button.setPointerCapture(event.pointerId);
    const move = (each: PointerEvent) => {
      const { scale } = this.view.camera;
      this.shift(part, span, (each.clientX - from.x) / scale, (each.clientY - from.y) / scale);
    };
    button.addEventListener("pointermove", move);
    const end = () => button.removeEventListener("pointermove", move);
    button.addEventListener("pointerup", end, { once: true });
    button.addEventListener("pointercancel", end, { once: true });
  }

  private onKey(part: Part, event: KeyboardEvent): void {
    const step = STEPS[event.key];
    if (step) {
      const far = event.shiftKey ? FAR_PX : NUDGE_PX;
      this.shift(part, this.span!, step[0] * far, step[1] * far);
      event.preventDefault();
      event.stopPropagation();
    }
  }

  private shift(part: Part, { x1, y1, x2, y2 }: Span, dx: number, dy: number): void {
    const [start, end] = [Number(part !== "end"), Number(part !== "start")];
    const span = {
      x1: Math.round(x1 + start * dx),
      y1: Math.round(y1 + start * dy),
      x2: Math.round(x2 + end * dx),
      y2: Math.round(y2 + end * dy),
    };
    if (span.x1 !== span.x2 || span.y1 !== span.y2) {
      this.moved(span);
    }
  }
}
