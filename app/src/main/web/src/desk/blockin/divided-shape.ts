import { byId } from "../../shared/dom";
import type { Point } from "../geometry/camera";
import type { Divided, EvenHandles } from "../view/even-handles";
import type { ShapeSheet } from "./shape-sheet";

/** Divides the one shape in the hand evenly, as it is seen while numbers are changed, or handles are dragged. */
export class DividedShape implements Divided {
  readonly degrees = byId<HTMLInputElement>("shape-degrees");
  own: Point = { x: 0, y: 0 };
  private readonly details = byId<HTMLDetailsElement>("shape-divide");
  private isOn = false;
  private number = 0;

  constructor(
    private readonly sheet: ShapeSheet,
    private readonly handles: EvenHandles,
  ) {
    this.details.addEventListener("toggle", () => this.renew());
    sheet.chosen.listen(() => this.renew());
    ["shape-evenly", "shape-parts", "shape-rows", "shape-degrees"].forEach((id) =>
      byId(id).addEventListener("input", () => this.isOn && handles.renew()),
    );
  }

  private renew(): void {
    const wasOn = this.isOn;
    const chosen = this.sheet.chosen.get();
    this.isOn = this.details.open && chosen.length === 1 && this.sheet.present !== undefined;
    if (this.isOn) {
      this.number = chosen[0]!;
      const [x, y] = this.sheet.present!.around([this.number]) as unknown as [number, number];
      this.own = { x, y };
      this.handles.show(this);
    } else if (wasOn) {
      this.handles.hide(this);
      this.sheet.drop();
    }
  }

  preview({ x, y }: Point): void {
    this.sheet.try((rules) => rules.divideEvenly(this.number, ...this.asked(), x, y));
  }

  private asked(): [string, number, number, number] {
    const [parts, rows, degrees] = ["shape-parts", "shape-rows", "shape-degrees"].map((id) =>
      Number(byId<HTMLInputElement>(id).value),
    ) as [number, number, number];
    return [byId<HTMLSelectElement>("shape-evenly").value, parts, rows, degrees];
  }

  /** Makes the parts that are seen. */
  divide(): void {
    if (this.isOn) {
      const { number } = this;
      const { x, y } = this.handles.middle;
      const asked = this.asked();
      this.isOn = false;
      this.handles.hide(this);
      this.details.open = false;
      this.sheet.make("Divided a shape evenly", (rules) => rules.divideEvenly(number, ...asked, x, y));
    }
  }
}
