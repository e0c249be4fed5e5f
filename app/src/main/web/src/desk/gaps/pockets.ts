import { byId } from "../../shared/dom";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import type { Regions } from "../model/regions";
import { NO_FILL, type Fill } from "../model/state";
import type { Work } from "../model/work";

/** Offers empty pockets beside a fill just laid, such as between fingers, to be filled with it. */
export class Pockets {
  private readonly offer = byId("pockets");
  private readonly button = byId("pockets-fill");
  private cells: number[] = [];
  private fill: Fill = NO_FILL;

  constructor(
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly work: Work,
    hand: Hand,
  ) {
    hand.laid.listen((laid) => {
      if (laid && laid.fill !== NO_FILL) {
        this.look(laid.fill, laid.cells);
      } else {
        this.close();
      }
    });
    hand.tool.listen(() => this.close());
    this.button.addEventListener("click", () => this.take());
  }

  take(): void {
    if (!this.offer.hidden && this.work.lay(this.fill, this.cells)) {
      this.close();
    }
  }

  /** Takes the offer back; returns whether there was one. */
  close(): boolean {
    const wasOpen = !this.offer.hidden;
    this.offer.hidden = true;
    return wasOpen;
  }

  private look(fill: Fill, laid: number[]): void {
    this.fill = fill;
    this.cells = this.regions.pocketsBeside(laid, this.fills.numbers());
    const count = new Set(this.cells.map((cell) => this.regions.of(cell))).size;
    this.offer.hidden = count === 0;
    this.button.firstChild!.textContent = `Fill ${count === 1 ? "1 empty pocket" : `${count} empty pockets`} beside it too `;
  }
}
