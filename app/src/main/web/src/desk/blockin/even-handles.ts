import { byId } from "../../shared/dom";
import type { Point } from "../view/camera";
import type { SheetView } from "../view/sheet-view";
import { drag } from "./dragged";
import type { ShapeSheet } from "./shape-sheet";
import { REACH_PX } from "./shape-tool";

const ARM_PX = 90;

/** Divides the one shape in the hand evenly, as it is seen while numbers are changed, or the centre and an arm are dragged; the centre snaps to the shape's own. */
export class EvenHandles {
  private readonly details = byId<HTMLDetailsElement>("shape-divide");
  private readonly centre = byId<HTMLButtonElement>("even-centre");
  private readonly arm = byId<HTMLButtonElement>("even-arm");
  private readonly degrees = byId<HTMLInputElement>("shape-degrees");
  private at: Point | undefined;
  /** The centre of the shape itself. */
  private own: Point = { x: 0, y: 0 };
  private number = 0;

  constructor(
    private readonly sheet: ShapeSheet,
    private readonly view: SheetView,
  ) {
    this.details.addEventListener("toggle", () => this.renew());
    sheet.chosen.listen(() => this.renew());
    view.onMove(() => this.place());
    ["shape-evenly", "shape-parts", "shape-rows", "shape-degrees"].forEach((id) =>
      byId(id).addEventListener("input", () => this.preview()),
    );
    this.centre.addEventListener("pointerdown", (event) => this.dragCentre(event));
    this.arm.addEventListener("pointerdown", (event) => this.dragArm(event));
  }

  private get isOn(): boolean {
    const chosen = this.sheet.chosen.get();
    return this.details.open && chosen.length === 1 && this.sheet.present !== undefined;
  }

  private renew(): void {
    const wasOn = this.at !== undefined;
    this.number = this.sheet.chosen.get()[0] ?? 0;
    this.at = undefined;
    if (this.isOn) {
      const [x, y] = this.sheet.present!.around([this.number]) as unknown as [number, number];
      this.own = { x, y };
      this.at = this.own;
    }
    if (this.at) {
      this.preview();
    } else if (wasOn) {
      this.sheet.drop();
    }
    this.place();
  }

  private preview(): void {
    if (this.at) {
      const { x, y } = this.at;
      this.sheet.try((rules) => rules.divideEvenly(this.number, ...this.asked(), x, y));
      this.place();
    }
  }

  private asked(): [string, number, number, number] {
    const [parts, rows, degrees] = ["shape-parts", "shape-rows", "shape-degrees"].map((id) =>
      Number(byId<HTMLInputElement>(id).value),
    ) as [number, number, number];
    return [byId<HTMLSelectElement>("shape-evenly").value, parts, rows, degrees];
  }

  /** Makes the parts that are seen. */
  divide(): void {
    if (this.at) {
      const { number } = this;
      const { x, y } = this.at;
      const asked = this.asked();
      this.at = undefined;
      this.details.open = false;
      this.sheet.make("Divided a shape evenly", (rules) => rules.divideEvenly(number, ...asked, x, y));
    }
  }

  private place(): void {
    this.centre.hidden = !this.at;
    this.arm.hidden = !this.at;
    if (!this.at) {
      return;
    }
    const { x, y } = this.view.camera.toScreen(this.at);
    const turn = (Number(this.degrees.value) * Math.PI) / 180;
    this.centre.style.transform = `translate(${x}px, ${y}px) translate(-50%, -50%)`;
    const [armX, armY] = [x + ARM_PX * Math.cos(turn), y + ARM_PX * Math.sin(turn)];
    this.arm.style.transform = `translate(${armX}px, ${armY}px) translate(-50%, -50%)`;
  }

  private dragCentre(event: PointerEvent): void {
    const start = this.at!;
    const from = { x: event.clientX, y: event.clientY };
    drag(
      event,
      ({ x, y }) => {
        const { scale } = this.view.camera;
        const at = { x: start.x + (x - from.x) / scale, y: start.y + (y - from.y) / scale };
        const { own } = this;
        const isNear = Math.hypot(at.x - own.x, at.y - own.y) * scale < REACH_PX;
        this.at = isNear ? own : at;
        this.preview();
      },
      () => {},
    );
  }

  private dragArm(event: PointerEvent): void {
    const canvas = byId("sheet").getBoundingClientRect();
    drag(
      event,
      ({ x, y }) => {
        const middle = this.view.camera.toScreen(this.at!);
        const turn = Math.atan2(y - canvas.top - middle.y, x - canvas.left - middle.x);
        this.degrees.value = String(Math.round((turn * 180) / Math.PI));
        this.preview();
      },
      () => {},
    );
  }
}
