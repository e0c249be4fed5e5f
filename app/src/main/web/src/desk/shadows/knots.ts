import { Shapes } from "rules";
import { el } from "../../shared/build";
import { byId } from "../../shared/dom";
import type { Overlay } from "../view/overlay";
import type { Point } from "../geometry/camera";
import { pointsOf } from "../geometry/way";
import type { SheetView } from "../view/sheet-view";

const FAR_PX = 10;
const STEPS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The points of a shape, as buttons on the sheet: dragged or moved by arrow keys; Alt or Delete drops one, a double click or C makes a corner of it, or none. */
export class Knots {
  private buttons: HTMLButtonElement[] = [];
  private shape: string | undefined;
  private at: Point[] = [];

  /**
   * @param tried told while a point is on its way
   * @param changed told when it is where it is to be
   */
  constructor(
    private readonly view: SheetView,
    private readonly overlay: Overlay,
    private readonly tried: (shape: string) => void,
    private readonly changed: (shape: string) => void,
  ) {
    view.onMove(() => this.place());
  }

  /** @param shape with its points, or without any; undefined shows none */
  show(shape: string | undefined): void {
    this.shape = shape;
    const isDrawn = shape?.startsWith("drawn") ?? false;
    this.at = isDrawn ? pointsOf(Shapes.knots(shape!)) : [];
    const polygon = isDrawn ? pointsOf(Shapes.polygon(shape!)) : [];
    this.overlay.outline(polygon);
    while (this.buttons.length < this.at.length) {
      this.buttons.push(this.button(this.buttons.length));
    }
    this.buttons.splice(this.at.length).forEach((button) => button.remove());
    this.buttons.forEach((button, i) => {
      const isCorner = Shapes.isCorner(shape!, i);
      button.classList.toggle("is-corner", isCorner);
      button.setAttribute("aria-label", `Point ${i + 1} of the shape${isCorner ? ", a corner" : ""}`);
    });
    this.place();
  }

  private button(knot: number): HTMLButtonElement {
    const made = el("button", {
      type: "button",
      className: "span-handle knot",
      title: "Drag to move. Alt and click: drop. Double click: corner or none.",
      keydown: (event: KeyboardEvent) => this.onKey(knot, event),
      pointerdown: (event: PointerEvent) => this.drag(knot, event),
      dblclick: () => this.changed(Shapes.bending(this.shape!, knot)),
    });
    byId("sheet").parentElement!.append(made);
    return made;
  }

  private place(): void {
    this.buttons.forEach((button, i) => {
      const { x, y } = this.view.camera.toScreen(this.at[i]!);
      button.style.transform = `translate(${x}px, ${y}px) translate(-50%, -50%)`;
    });
  }

  private drag(knot: number, event: PointerEvent): void {
    if (event.altKey) {
      this.drop(knot);
      return;
    }
    const button = this.buttons[knot]!;
    const from = { x: event.clientX, y: event.clientY };
    const start = this.at[knot]!;
    const shape = this.shape!;
    let moved = shape;
    button.setPointerCapture(event.pointerId);
    const move = (each: PointerEvent) => {
      const { scale } = this.view.camera;
      const [dx, dy] = [(each.clientX - from.x) / scale, (each.clientY - from.y) / scale];
      moved = Shapes.moving(shape, knot, start.x + dx, start.y + dy);
      this.tried(moved);
    };
    button.addEventListener("pointermove", move);
    const end = () => {
      button.removeEventListener("pointermove", move);
      if (moved !== shape) {
        this.changed(moved);
      }
    };
    button.addEventListener("pointerup", end, { once: true });
    button.addEventListener("pointercancel", end, { once: true });
  }

  private drop(knot: number): void {
    if (this.at.length > 3) {
      this.changed(Shapes.without(this.shape!, knot));
    }
  }

  private onKey(knot: number, event: KeyboardEvent): void {
    const step = STEPS[event.key];
    const { x, y } = this.at[knot]!;
    if (step) {
      const far = event.shiftKey ? FAR_PX : 1;
      this.changed(Shapes.moving(this.shape!, knot, x + step[0] * far, y + step[1] * far));
    } else if (event.key === "Delete" || event.key === "Backspace") {
      this.drop(knot);
    } else if (event.key === "c") {
      this.changed(Shapes.bending(this.shape!, knot));
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
  }
}
