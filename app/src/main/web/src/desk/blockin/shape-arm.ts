import { byId } from "../../shared/dom";
import type { SheetView } from "../view/sheet-view";
import { drag } from "../geometry/dragged";
import type { ShapeSheet } from "./shape-sheet";
import type { ShapeTool } from "./shape-tool";

/** An arm beside the shapes in the hand: dragged around their middle it turns them, away from it or towards it it scales them. */
export class ShapeArm {
  private readonly handle = byId<HTMLButtonElement>("shape-arm");
  private isOn = false;

  constructor(
    private readonly sheet: ShapeSheet,
    private readonly tool: ShapeTool,
    private readonly view: SheetView,
  ) {
    this.handle.addEventListener("pointerdown", (event) => this.drag(event));
    this.handle.addEventListener("keydown", (event) => this.onKey(event));
    sheet.chosen.listen(() => this.place());
    tool.mode.listen(() => this.place());
    sheet.shown.listen(() => this.place());
    view.onMove(() => this.place());
  }

  turnOn(isOn: boolean): void {
    this.isOn = isOn;
    this.place();
  }

  private place(): void {
    const chosen = this.sheet.marked;
    const rules = this.sheet.present;
    const isParting = chosen.length !== this.sheet.chosen.get().length;
    this.handle.hidden =
      !this.isOn || this.tool.mode.get() !== "choose" || chosen.length === 0 || isParting || !rules;
    if (!this.handle.hidden) {
      const [x, y, width] = rules!.around([...chosen]) as unknown as [number, number, number];
      const at = this.view.camera.toScreen({ x: x + width / 2, y });
      this.handle.style.transform = `translate(${at.x + 26}px, ${at.y}px) translate(-50%, -50%)`;
    }
  }

  private drag(event: PointerEvent): void {
    const chosen = [...this.sheet.chosen.get()];
    const [x, y] = this.sheet.present!.around(chosen) as unknown as [number, number];
    const canvas = byId("sheet").getBoundingClientRect();
    const middle = this.view.camera.toScreen({ x, y });
    const arm = (at: { x: number; y: number }) => {
      const [dx, dy] = [at.x - canvas.left - middle.x, at.y - canvas.top - middle.y];
      return { length: Math.max(4, Math.hypot(dx, dy)), degrees: (Math.atan2(dy, dx) * 180) / Math.PI };
    };
    const start = arm({ x: event.clientX, y: event.clientY });
    let now = start;
    const turned = () => {
      const scale = now.length / start.length;
      return { degrees: now.degrees - start.degrees, scale: event.shiftKey ? 1 : scale };
    };
    drag(
      event,
      (at) => {
        now = arm(at);
        const { degrees, scale } = turned();
        this.sheet.try((rules) => rules.turn(chosen, degrees, scale, scale));
      },
      (hasMoved) => {
        const { degrees, scale } = turned();
        if (hasMoved) {
          this.sheet.make("Turned and scaled", (rules) => rules.turn(chosen, degrees, scale, scale));
        }
      },
    );
  }

  private onKey(event: KeyboardEvent): void {
    const chosen = [...this.sheet.chosen.get()];
    const degrees = { ArrowLeft: -5, ArrowRight: 5 }[event.key];
    const scale = { ArrowUp: 1.05, ArrowDown: 1 / 1.05 }[event.key];
    if (degrees !== undefined || scale !== undefined) {
      event.preventDefault();
      event.stopPropagation();
      this.sheet.make("Turned and scaled", (rules) =>
        rules.turn(chosen, degrees ?? 0, scale ?? 1, scale ?? 1),
      );
    }
  }
}
