import type { Standing, WornElsewhere } from "messages";
import { atom } from "nanostores";
import { call } from "../../shared/http";
import type { DeskState } from "./state";

/** The layers of the sheet, from front to back, and the one that is worked on. */
export class Stack {
  readonly layers = atom<readonly Standing[]>([]);
  /** What the other layers wear. */
  readonly elsewhere = atom<readonly WornElsewhere[]>([]);
  /** How many regions of those have no fill. */
  readonly leftElsewhere = atom(0);
  private readonly own: string;
  private asked = 0;

  constructor(
    private readonly path: string,
    state: DeskState,
  ) {
    this.own = state.standing.layer;
    this.take(state);
  }

  take({ stack, elsewhere, leftElsewhere }: DeskState): void {
    this.elsewhere.set(elsewhere);
    this.leftElsewhere.set(leftElsewhere);
    this.layers.set(stack);
  }

  get present(): Standing {
    return this.layers.get()[this.index]!;
  }

  /** From the front. */
  get index(): number {
    return this.layers.get().findIndex((each) => each.layer === this.own);
  }

  get isLayered(): boolean {
    return this.layers.get().length > 1;
  }

  /** Takes over how the layers stand now; goes to another if the one that is worked on was taken out. */
  async renew(): Promise<void> {
    const asked = ++this.asked;
    const layers = await call<Standing[]>(`${this.path}/layers/standings`);
    if (asked !== this.asked) {
      // An answer that was overtaken tells an older state.
      return;
    }
    if (layers.some((each) => each.layer === this.own)) {
      this.layers.set(layers);
    } else {
      this.go(layers[0]!.layer);
    }
  }

  /** Opens the desk on another layer. @param by how many places towards the back */
  step(by: 1 | -1): boolean {
    const next = this.layers.get()[this.index + by];
    if (next) {
      this.go(next.layer);
    }
    return next !== undefined;
  }

  go(layer: string, cell?: number): void {
    location.assign(`${this.path}?layer=${layer}${cell === undefined || cell < 0 ? "" : `#cell=${cell}`}`);
  }

  /** Opens a layer to draw shapes on it. */
  goToShapes(layer: string): void {
    location.assign(`${this.path}?layer=${layer}#shapes`);
  }
}
