import { byId } from "../../shared/dom";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import type { Regions } from "../model/regions";
import { NO_FILL, type Fill } from "../model/state";
import type { Work } from "../model/work";

/**
 * A pocket has so much of its border with the fill, and is so small beside it. In square stroke widths it is small too: larger ones that ink closes all round, such
 * as pebbles, are things of their own.
 */
const LEAST_SHARED = 0.6;
const MOST_OF_FILL = 0.12;
const MOST_BEHIND_A_GAP = 150;
const MOST_CLOSED = 20;

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
        this.offer.hidden = true;
      }
    });
    this.button.addEventListener("click", () => this.take());
  }

  take(): void {
    if (!this.offer.hidden) {
      this.work.lay(this.fill, this.cells);
      this.offer.hidden = true;
    }
  }

  private look(fill: Fill, laid: number[]): void {
    const around = new Set(
      laid
        .flatMap((cell) => [...this.regions.map.neighbours[cell]!.keys()])
        .map((cell) => this.regions.of(cell)),
    );
    const area = laid.reduce((sum, cell) => sum + this.regions.map.cells[cell]!.area, 0);
    const pockets = [...around].filter((region) => this.isPocket(region, new Set(laid), area));
    this.fill = fill;
    this.cells = pockets.flatMap((region) => this.regions.shape(region).cells);
    this.offer.hidden = pockets.length === 0;
    this.button.firstChild!.textContent = `Fill ${pockets.length === 1 ? "1 empty pocket" : `${pockets.length} empty pockets`} beside it too `;
  }

  private isPocket(region: number, laid: Set<number>, laidArea: number): boolean {
    const { cells, area } = this.regions.shape(region);
    const behindGap = this.regions.openings.all.some(
      ({ first, second }) =>
        (this.regions.of(first) === region && laid.has(second)) ||
        (this.regions.of(second) === region && laid.has(first)),
    );
    const strokes = behindGap ? MOST_BEHIND_A_GAP : MOST_CLOSED;
    const most = Math.min(MOST_OF_FILL * laidArea, strokes * this.regions.openings.strokePx ** 2);
    if (area > most || cells.some((cell) => this.fills.of(cell) !== NO_FILL)) {
      return false;
    }
    const own = new Set(cells);
    let border = 0;
    let shared = 0;
    for (const cell of cells) {
      for (const [neighbour, length] of this.regions.map.neighbours[cell]!) {
        border += own.has(neighbour) ? 0 : length;
        shared += laid.has(neighbour) ? length : 0;
      }
    }
    return border > 0 && shared >= LEAST_SHARED * border;
  }
}
