import type { Command } from "../hand/commands";
import type { Hand } from "../hand/hand";
import type { Drawing } from "../hand/tools";
import type { Regions } from "../model/regions";
import type { Point } from "../geometry/camera";
import type { Overlay } from "../view/overlay";
import type { SheetView } from "../view/sheet-view";

const STEP_PX = 12;
const FINE_PX = 2;
const RING_PX = 7;
const WAYS = { Left: [-1, 0], Right: [1, 0], Up: [0, -1], Down: [0, 1] } as const;

/** Dams without a pointer: arrows move a ring over the sheet, from the middle of the region walked to; Enter begins a line there, and Enter ends it. */
export class DamWalk {
  private at: Point | undefined;
  private begun = false;

  constructor(
    private readonly drawing: Drawing,
    private readonly regions: Regions,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly overlay: Overlay,
  ) {
    hand.whenHeld("dam", () => this.rest());
    hand.pointer.listen((pointer) => pointer && this.rest());
  }

  commands(): Command[] {
    const isMeant = () => this.hand.has("dam");
    const steps = Object.entries(WAYS).map(([key, [dx, dy]]) => ({
      name: `dam-walk-${key.toLowerCase()}`,
      keys: [key],
      chapter: "Gaps" as const,
      isOnSheet: true,
      isMeant,
      run: (event?: KeyboardEvent) => {
        const px = event?.shiftKey ? FINE_PX : STEP_PX;
        this.step(dx * px, dy * px);
      },
    }));
    return [
      ...steps,
      {
        name: "dam-walk-enter",
        keys: ["Enter"],
        chapter: "Gaps",
        gesture: "with the dam tool, arrows (Shift: finer), Enter, arrows, Enter",
        tells: "dam from point to point",
        isOnSheet: true,
        isMeant,
        run: () => this.enter(),
      },
    ];
  }

  /** Returns whether a line was under way, which is left. */
  leave(): boolean {
    const wasBegun = this.begun;
    if (this.begun) {
      this.drawing.cancel();
    }
    this.begun = false;
    this.show();
    return wasBegun;
  }

  private rest(): void {
    this.leave();
    this.at = undefined;
    this.overlay.showBrush(undefined);
  }

  private step(dx: number, dy: number): void {
    const from = this.here();
    const { width, height } = this.view.camera.size;
    this.at = {
      x: Math.max(0, Math.min(width, from.x + dx)),
      y: Math.max(0, Math.min(height, from.y + dy)),
    };
    if (this.begun) {
      this.drawing.move(this.at);
    }
    this.show();
  }

  private enter(): void {
    const at = this.here();
    if (this.begun) {
      this.begun = false;
      this.drawing.end(at);
    } else {
      this.begun = true;
      this.drawing.begin(at, false, false);
      this.hand.said.set("A line begins here. Arrows lead it, Enter ends it, Escape leaves it.");
    }
    this.show();
  }

  /** Where the ring is: at first in the middle of the region walked to, or of what is seen. */
  private here(): Point {
    if (!this.at) {
      const cell = this.hand.cell.get();
      const { width, height } = this.view.camera.size;
      const shape = cell === undefined ? undefined : this.regions.shape(this.regions.of(cell));
      this.at = shape
        ? this.view.camera.toScreen({ x: shape.deepestX, y: shape.deepestY })
        : { x: width / 2, y: height / 2 };
    }
    return this.at;
  }

  private show(): void {
    if (this.at) {
      const radius = RING_PX / this.view.camera.scale;
      this.overlay.showBrush({ at: this.view.camera.toSheet(this.at), radius });
    }
  }
}
