import type { ShapeMessage } from "messages";
import { atom, type WritableAtom } from "nanostores";
import { BlockedIn, type PlaneBox, type ShapeChange } from "rules";
import { call, Refusal } from "../../shared/http";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import type { NewCells } from "../hand/new-cells";
import { putInto, type InkPlane } from "../model/planes";
import type { Regions } from "../model/regions";
import type { Fill, LayerState } from "../model/state";
import type { Work } from "../model/work";
import type { SheetView } from "../view/sheet-view";

type Think = (rules: BlockedIn) => ShapeChange;

/** The shapes of the layer that is open: what is thought of is shown at once, and what is taken is sent in its turn. */
export class ShapeSheet {
  /** Numbers of the shapes in the hand. */
  readonly chosen = atom<readonly number[]>([]);
  /** Counts up whenever shapes are shown otherwise. */
  readonly shown = atom(0);

  /** What would be in the hand after what is thought of. */
  private tried: readonly number[] | undefined;
  private rules: BlockedIn | undefined;
  private opening: Promise<BlockedIn> | undefined;

  constructor(
    private readonly path: string,
    private layer: LayerState,
    private readonly ink: WritableAtom<InkPlane>,
    private readonly fills: Fills,
    private readonly regions: Regions,
    private readonly view: SheetView,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly newCells: NewCells,
  ) {
    newCells.becameOthers.listen(() => void this.reopen());
  }

  /** Whether the layer is made of shapes. */
  get isBlockedIn(): boolean {
    return this.layer.shapes !== null;
  }

  /** Numbers of the shapes that are marked: those in the hand, or that would be after what is thought of. */
  get marked(): readonly number[] {
    return this.tried ?? this.chosen.get();
  }

  /** The shapes, once they have come. */
  get present(): BlockedIn | undefined {
    return this.rules;
  }

  /** Has the shapes at hand. */
  open(): Promise<BlockedIn> {
    return (this.opening ??= this.read());
  }

  private async read(): Promise<BlockedIn> {
    const { shapes, widthPx, heightPx } = this.newCells.layer;
    this.layer = this.newCells.layer;
    const answer = await fetch(shapes!);
    if (!answer.ok) {
      throw new Refusal(answer.status, "The shapes of this layer could not be read. Load the page again.");
    }
    this.rules = BlockedIn.read(await answer.text(), widthPx, heightPx);
    this.keepChosen();
    return this.rules;
  }

  private async reopen(): Promise<void> {
    if (this.opening) {
      this.rules = undefined;
      this.tried = undefined;
      this.opening = undefined;
      await this.open().catch(() => {});
      this.shown.set(this.shown.get() + 1);
    }
  }

  private keepChosen(): void {
    const there = new Set(this.rules!.order());
    this.chosen.set(this.chosen.get().filter((number) => there.has(number)));
  }

  choose(numbers: readonly number[]): void {
    this.tried = undefined;
    this.chosen.set([...numbers]);
  }

  /** Shows what somebody thinks of doing; returns whether it can be done. */
  try(think: Think): boolean {
    const { rules } = this;
    if (!rules) {
      return false;
    }
    try {
      this.tried = [...think(rules).chosen];
      this.show(rules.show());
      return true;
    } catch (refusal) {
      this.hand.said.set((refusal as Error).message);
      return false;
    }
  }

  /** Puts everything back as it is. */
  drop(): void {
    this.tried = undefined;
    if (this.rules) {
      this.show(this.rules.drop());
    }
  }

  private show(boxes: PlaneBox[]): void {
    const { map } = this.regions;
    putInto(map.plane, boxes);
    this.view.patch(map, boxes);
    this.shown.set(this.shown.get() + 1);
  }

  /**
   * Does something to the shapes, as one change.
   *
   * @param wears by new shape, in the order of what is chosen then, what it wears
   * @returns whether it was done here; that it could not be stored is told later
   */
  make(words: string, think: Think, wears: readonly Fill[] = []): boolean {
    const { rules } = this;
    if (!rules) {
      return false;
    }
    if (this.work.refusesLocked([...rules.order()])) {
      this.drop();
      return false;
    }
    let change: ShapeChange;
    try {
      change = think(rules);
    } catch (refusal) {
      this.drop();
      this.work.notice.set((refusal as Error).message);
      this.hand.said.set((refusal as Error).message);
      return false;
    }
    if (change.isNothing) {
      this.drop();
      return true;
    }
    this.take(rules, words, change, wears);
    return true;
  }

  private take(rules: BlockedIn, words: string, change: ShapeChange, wears: readonly Fill[]): void {
    const before = new Set(rules.order());
    const layer = this.fills.layer;
    const becomes = crypto.randomUUID();
    const patch = rules.take();
    this.tried = undefined;
    const worn = new Map<number, Fill>();
    change.chosen.forEach((number, i) => wears[i] && worn.set(number, wears[i]!));
    const like = Object.fromEntries(Array.from(change.fresh, (number, i) => [number, change.like[i]!]));
    const there = new Set(change.order);
    this.newCells.take(becomes, patch, [
      ...worn,
      ...Array.from(change.fresh, (number, i) => [number, this.fills.of(change.like[i]!)] as const),
      ...[...before].filter((number) => !there.has(number)).map((number) => [number, "none"] as const),
    ]);
    this.showInk(rules, patch.boxes);
    this.choose([...change.chosen]);
    this.shown.set(this.shown.get() + 1);
    const message: ShapeMessage = {
      layer,
      becomes,
      words,
      put: [...change.put],
      order: [...change.order],
      lines: [...change.lines],
      like,
      wears: Object.fromEntries(worn),
    };
    void this.send(message);
  }

  private async send(message: ShapeMessage): Promise<void> {
    let failed: string | undefined;
    try {
      await this.work.inTurn(() => call(`${this.path}/shapes`, message));
    } catch (error) {
      failed =
        error instanceof Refusal ? error.message : "The server is away; the shapes could not be stored.";
    }
    if (failed !== undefined) {
      this.work.notice.set(`${failed} The shapes are shown as they are stored.`);
    }
    await this.newCells.stored(message.becomes).catch(() => {});
  }

  private showInk(rules: BlockedIn, boxes: readonly PlaneBox[]): void {
    if (!rules.hasInk()) {
      return;
    }
    const ink = this.ink.get();
    const density = ink.density.slice();
    for (const { x, y, width, height } of boxes) {
      const changed = new Uint8Array(rules.inkIn([x, y, width, height]).buffer);
      for (let row = 0; row < height; row++) {
        density.set(changed.subarray(row * width, (row + 1) * width), (y + row) * ink.width + x);
      }
    }
    this.ink.set({ ...ink, density });
    this.view.showInk(this.ink.get());
  }
}
