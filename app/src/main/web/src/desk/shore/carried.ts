import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import { NO_FILL, type Fill } from "../model/state";

/** The swatch that rides at the pointer: the present one, or for a while the one being dragged. */
export class Carried {
  constructor(
    private readonly stone: HTMLElement,
    canvas: HTMLElement,
    private readonly hand: Hand,
    private readonly fills: Fills,
  ) {
    hand.present.subscribe((fill) => this.show(fill));
    canvas.addEventListener("pointermove", (event) => {
      stone.hidden = event.pointerType === "touch";
      this.moveTo(event.clientX + 14, event.clientY + 12);
    });
    canvas.addEventListener("pointerleave", () => (stone.hidden = true));
  }

  /** Shows a swatch being dragged, under the pointer itself. */
  drag(fill: Fill, x: number, y: number): void {
    this.stone.hidden = false;
    this.show(fill);
    this.moveTo(x - 10, y - 10);
  }

  drop(): void {
    this.stone.hidden = true;
    this.show(this.hand.present.get());
  }

  private show(fill: Fill): void {
    this.stone.style.background = fill === NO_FILL ? "" : this.fills.css(fill);
    this.stone.classList.toggle("is-none", fill === NO_FILL);
  }

  private moveTo(x: number, y: number): void {
    this.stone.style.transform = `translate(${x}px, ${y}px)`;
  }
}
