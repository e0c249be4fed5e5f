import { el } from "../../shared/build";
import { byId } from "../../shared/dom";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import { pointsOf } from "../geometry/way";
import { drag } from "../geometry/dragged";
import type { ShapeSheet } from "./shape-sheet";
import type { ShapeTool } from "./shape-tool";

const FAR_PX = 10;
/** A shape of more points shows none: nobody could tell them apart. */
const MOST_SHOWN = 150;
const STEPS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface Place {
  readonly loop: number;
  readonly knot: number;
  readonly at: Point;
}

/** The points of the one shape in the hand, as buttons on the sheet: dragged or moved by arrow keys, with those of its neighbours unless Alt is held; a double click or C makes a corner of one, or none, and Delete drops it. */
export class ShapeKnots {
  private readonly buttons: HTMLButtonElement[] = [];
  private places: Place[] = [];
  private isOn = false;

  constructor(
    private readonly sheet: ShapeSheet,
    private readonly tool: ShapeTool,
    private readonly view: SheetView,
  ) {
    sheet.shown.listen(() => this.show());
    sheet.chosen.listen(() => this.show());
    tool.mode.listen(() => this.show());
    view.onMove(() => this.place());
  }

  turnOn(isOn: boolean): void {
    this.isOn = isOn;
    this.show();
  }

  private get number(): number {
    const chosen = this.sheet.marked;
    // Where something is drawn they would be in the way.
    return this.isOn && this.tool.mode.get() === "choose" && chosen.length === 1 ? chosen[0]! : 0;
  }

  private show(): void {
    const rules = this.sheet.present;
    const loops = rules && this.number > 0 ? rules.loops(this.number) : 0;
    this.places = Array.from({ length: loops }, (_, loop) =>
      pointsOf(rules!.knots(this.number, loop)).map((at, knot) => ({ loop, knot, at })),
    ).flat();
    if (this.places.length > MOST_SHOWN) {
      this.places = [];
    }
    while (this.buttons.length < this.places.length) {
      this.buttons.push(this.button(this.buttons.length));
    }
    this.buttons.splice(this.places.length).forEach((button) => button.remove());
    this.place();
  }

  private button(index: number): HTMLButtonElement {
    const made = el("button", {
      type: "button",
      className: "span-handle knot",
      "aria-label": `Point ${index + 1} of the shape`,
      title: "Drag to move, with Alt this shape alone. Double click: corner or none. Del: drop.",
      keydown: (event: KeyboardEvent) => this.onKey(index, event),
      pointerdown: (event: PointerEvent) => this.drag(index, event),
      dblclick: () => this.bend(index),
    });
    byId("sheet").parentElement!.append(made);
    return made;
  }

  private place(): void {
    this.buttons.forEach((button, i) => {
      const { x, y } = this.view.camera.toScreen(this.places[i]!.at);
      button.style.transform = `translate(${x}px, ${y}px) translate(-50%, -50%)`;
    });
  }

  private drag(index: number, event: PointerEvent): void {
    const { number } = this;
    const { loop, knot, at } = this.places[index]!;
    const from = { x: event.clientX, y: event.clientY };
    const alone = event.altKey;
    let to = at;
    drag(
      event,
      (screen) => {
        const { scale } = this.view.camera;
        const place = { x: at.x + (screen.x - from.x) / scale, y: at.y + (screen.y - from.y) / scale };
        to = this.tool.snapped(place, this.sharing(at));
        this.sheet.try((rules) => rules.moveKnot(number, loop, knot, to.x, to.y, alone));
      },
      (hasMoved) => hasMoved && this.moveTo(index, to, alone, number, loop, knot),
    );
  }

  /** The shapes that have a point at a place: they do not pull at it. */
  private sharing(at: Point): number[] {
    const rules = this.sheet.present!;
    return [...rules.order()].filter((number) =>
      Array.from({ length: rules.loops(number) }, (_, loop) => pointsOf(rules.knots(number, loop)))
        .flat()
        .some(({ x, y }) => Math.hypot(x - at.x, y - at.y) < 1),
    );
  }

  private moveTo(
    index: number,
    { x, y }: Point,
    alone: boolean,
    number = this.number,
    loop = this.places[index]!.loop,
    knot = this.places[index]!.knot,
  ): void {
    this.sheet.make("Moved a point", (rules) => rules.moveKnot(number, loop, knot, x, y, alone));
  }

  private bend(index: number): void {
    const { number } = this;
    const { loop, knot } = this.places[index]!;
    this.sheet.make("Changed a point", (rules) => rules.bendKnot(number, loop, knot));
  }

  private onKey(index: number, event: KeyboardEvent): void {
    const step = STEPS[event.key];
    const { loop, knot, at } = this.places[index]!;
    const { number } = this;
    if (step) {
      const far = event.shiftKey ? FAR_PX : 1;
      this.moveTo(index, { x: at.x + step[0] * far, y: at.y + step[1] * far }, event.altKey);
    } else if (event.key === "Delete" || event.key === "Backspace") {
      this.sheet.make("Dropped a point", (rules) => rules.dropKnot(number, loop, knot));
    } else if (event.key === "c") {
      this.bend(index);
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
  }
}
