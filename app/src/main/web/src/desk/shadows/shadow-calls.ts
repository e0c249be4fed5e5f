import type { ShadowMessageUnion } from "messages";
import { call } from "../../shared/http";
import type { Fills } from "../model/fills";
import { placeOfShadow } from "../model/places";
import type { Fill } from "../model/state";
import type { Shadow, Shadows } from "../model/shadows";
import type { Work } from "../model/work";
import type { Groups } from "../ledger/groups";
import type { SheetView } from "../view/sheet-view";

/** Has the server change shadows, and keeps the sheet showing them as they are. */
export class ShadowCalls {
  constructor(
    private readonly path: string,
    private readonly shadows: Shadows,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly view: SheetView,
    private readonly groups: Groups,
  ) {
    const show = () => this.show();
    shadows.changed.listen(show);
    groups.changed.listen(show);
    // What is filled may be the base of a rim around all that is laid.
    fills.filled.listen(() => this.shadows.shown.some(({ base }) => base === "laid") && this.show());
    this.show();
  }

  private show(): void {
    this.view.showShadows(this.shadows.shown, {
      groups: this.groups.rules,
      filledCells: () => this.fills.filledCells(),
    });
    if (this.view.areTooManyShadows) {
      this.work.notice.set(
        "So many soft edges lie on each other here that not all of them can be shown. Make some harder, or remove some.",
      );
    }
  }

  async load(): Promise<void> {
    await this.work.settled;
    this.shadows.take(await call<Shadow[]>(`${this.path}/shadows`));
  }

  /** @param fill that it is to wear */
  add(shadow: Shadow, fill: Fill): Promise<boolean> {
    return this.addAll([{ shadow, fill }]);
  }

  /** Lays several, as one change. */
  addAll(shadows: { shadow: Shadow; fill: Fill }[]): Promise<boolean> {
    this.fills.setAll(shadows.map(({ shadow, fill }) => [placeOfShadow(shadow.number), fill] as const));
    const sent = shadows.map(({ shadow }) => shadow);
    return this.act({ act: "ADD", layer: this.fills.layer, shadows }, sent);
  }

  change(shadow: Shadow): Promise<boolean> {
    return this.act({ act: "CHANGE", layer: this.fills.layer, shadow }, [shadow]);
  }

  /**
   * Returns whether it was taken; the reason is said if not.
   *
   * @param sent what the shadows will be that it changes
   */
  async act(message: ShadowMessageUnion, sent: readonly Shadow[] = []): Promise<boolean> {
    const answered = this.shadows.send(sent);
    try {
      const stored = await this.work.inTurn(() => call<Shadow[]>(`${this.path}/shadows`, message));
      answered();
      this.shadows.take(stored);
      return true;
    } catch (error) {
      answered();
      this.work.notice.set((error as Error).message);
      await this.load().catch(() => {});
      return false;
    }
  }
}
