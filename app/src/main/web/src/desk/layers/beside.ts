import { atom } from "nanostores";
import { byId } from "../../shared/dom";
import { oncePerFrame } from "../../shared/frames";
import { onLayer } from "../../shared/http";
import type { CellPlane } from "../model/planes";
import type { SheetView } from "../view/sheet-view";
import type { Stack } from "../model/stack";

/** How the layers are shown that nobody works on. */
export type Others = "whole" | "faint" | "none";

const KEPT = "pond/other-layers";
const SIDES = ["BEHIND", "IN_FRONT"] as const;
type Side = (typeof SIDES)[number];

/** The layers behind and in front of the one that is worked on, as pictures that the server paints, under and over the canvas. */
export class Beside {
  readonly others = atom<Others>((localStorage.getItem(KEPT) as Others | null) ?? "whole");
  /** How far the own layer is dragged just now, in sheet pixels. */
  private dragged = { x: 0, y: 0 };
  private asked = 0;
  private readonly places: Record<Side, HTMLElement> = { BEHIND: byId("behind"), IN_FRONT: byId("front") };

  constructor(
    private readonly path: string,
    private readonly stack: Stack,
    private readonly page: CellPlane,
    private readonly view: SheetView,
  ) {
    const renewSoon = oncePerFrame(() => void this.renew());
    stack.layers.listen(renewSoon);
    this.others.listen((others) => {
      localStorage.setItem(KEPT, others);
      this.show();
      renewSoon();
    });
    view.onMove(() => this.place());
    void this.renew();
  }

  /** Fetches the pictures anew: something on another layer looks otherwise, or they stand otherwise. */
  async renew(): Promise<void> {
    const asked = ++this.asked;
    this.show();
    await Promise.all(
      SIDES.filter((side) => !this.places[side].hidden).map(async (side) => {
        const picture = new Image();
        picture.src = onLayer(`${this.path}/layers/beside.png?side=${side}&asked=${Date.now()}`);
        // One that cannot be had just now leaves the one before it.
        await picture.decode().then(
          () => asked === this.asked && this.places[side].replaceChildren(picture),
          () => undefined,
        );
      }),
    );
  }

  private show(): void {
    const { index, layers } = this.stack;
    const others = this.others.get();
    const isShown = others !== "none";
    this.places.IN_FRONT.hidden = !isShown || index === 0;
    this.places.BEHIND.hidden = !isShown || index === layers.get().length - 1;
    for (const side of SIDES) {
      this.places[side].dataset["others"] = others;
    }
    byId("sheet").style.opacity =
      others === "whole" && this.stack.isLayered ? String(this.stack.present.opacityPercent / 100) : "";
    this.view.look({ clear: !this.places.BEHIND.hidden });
    this.place();
  }

  /** Lets the other layers stay where they are while the own one is dragged. */
  drag(x: number, y: number): void {
    this.dragged = { x, y };
    this.place();
  }

  private place(): void {
    const { xPx, yPx } = this.stack.present;
    const { scale } = this.view.camera;
    const at = this.view.camera.toScreen({ x: -xPx - this.dragged.x, y: -yPx - this.dragged.y });
    for (const side of SIDES) {
      const { style } = this.places[side];
      style.width = `${this.page.width * scale}px`;
      style.height = `${this.page.height * scale}px`;
      style.transform = `translate(${at.x}px, ${at.y}px)`;
    }
  }
}
