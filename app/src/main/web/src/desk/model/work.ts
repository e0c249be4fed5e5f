import { atom } from "nanostores";
import { FillTexts, OwnLine } from "rules";
import { call } from "../../shared/http";
import { LOOKS_ONLY } from "../../shared/looks-only";
import type { Fills } from "./fills";
import { Outbox } from "./outbox";
import { madeOf } from "./made";
import { cellsAmong } from "./places";
import type { Regions } from "./regions";
import {
  type ChangeAnswer,
  type ChangeMessage,
  type DamState,
  type DeskState,
  type Fill,
  type LineState,
  type MadeChange,
  type Part,
  type Swap,
} from "./state";

/** A change of this desk on its way: what it is called is for the server to say. */
const UNMADE = { words: "", swaps: [], dams: [], reach: null };

/** The work on one sheet: changes are painted at once, and the server is told behind the scenes. */
export class Work {
  readonly outbox: Outbox;
  readonly canUndo = atom(false);
  readonly canRedo = atom(false);
  /** What the user should know; empty when there is nothing. */
  readonly notice = atom("");
  /** Counts up when the server speaks of cells that this desk does not have. */
  readonly cutAnew = atom(0);
  /** Counts up when a change was made or taken back that concerns another layer. */
  readonly changedElsewhere = atom(0);

  /** Done when what takes its turn beside the outbox is made; undefined while nothing does. */
  private turn: Promise<void> | undefined;
  private line = new OwnLine();
  /** The changes of the line, as what was done last about each. */
  private changes = new Map<string, MadeChange>();
  private previewed: Swap[] = [];
  /** What to do when a step of the user's own has changed more than fills, dams and cells. */
  became: Partial<Record<Part, () => void>> = {};

  private objectionTo: (cells: readonly number[]) => string | undefined = () => undefined;

  constructor(
    private readonly sheetPath: string,
    owner: string,
    sheet: string,
    private readonly fills: Fills,
    private readonly regions: Regions,
  ) {
    this.outbox = new Outbox(`${sheetPath}/changes`, owner, sheet, (answer) => this.onAnswer(answer));
  }

  /** Something has changed that concerns another layer. */
  tellElsewhere(): void {
    this.changedElsewhere.set(this.changedElsewhere.get() + 1);
  }

  /** Takes over what the server knows, then paints again what it does not know yet. */
  start(state: DeskState): void {
    this.load(state);
    const leftOver = this.outbox.leftOver();
    leftOver.forEach((message) => this.paint(message));
    this.outbox.resume(leftOver);
  }

  /** Paints more cells of a sweep that has not ended; {@link endPreview} puts all of them back. */
  preview(fill: Fill, cells: number[]): void {
    const swaps = this.fills.laying(this.placed(fill, cells), cells);
    this.previewed.push(...swaps);
    this.fills.apply(swaps);
  }

  /** A fill as it lies on these places: one that is kept on a card lies nowhere by itself. */
  private placed(fill: Fill, places: Iterable<number>): Fill {
    const made = madeOf(fill);
    const cells = cellsAmong([...places]);
    return made && made.kind !== "flat" && made.kept !== "" && cells.length > 0
      ? FillTexts.placed(fill, this.regions.boxOf(cells))
      : fill;
  }

  endPreview(): void {
    this.fills.apply(inverse(this.previewed));
    this.previewed = [];
  }

  /** Lays a fill in some places; returns those that it changed, or nothing if it was refused, and then says why. */
  lay(fill: Fill, places: Iterable<number>): number[] | undefined {
    return this.layAll(new Map([[fill, places]]));
  }

  /** Lets cells keep their fills where there is an objection; the server knows the same and refuses what slips through. */
  lock(objectionTo: (cells: readonly number[]) => string | undefined): void {
    this.objectionTo = objectionTo;
  }

  /** Says why cells must keep their fills; returns whether they must. */
  refusesLocked(cells: readonly number[]): boolean {
    const objection = LOOKS_ONLY ? "You look as a guest: nothing is filled." : this.objectionTo(cells);
    if (objection !== undefined) {
      this.notice.set(objection);
    }
    return objection !== undefined;
  }

  /** Lays each fill in its places, as one change; returns the places that it changed, or nothing if one of them is locked, and then says why. */
  layAll(placesByFill: ReadonlyMap<Fill, Iterable<number>>): number[] | undefined {
    const changed: Record<Fill, number[]> = {};
    for (const [kept, places] of placesByFill) {
      const fill = this.placed(kept, places);
      const swaps = this.fills.laying(fill, places);
      if (swaps.length > 0) {
        changed[fill] = swaps.map((swap) => swap.place);
      }
    }
    const all = Object.values(changed).flat();
    if (this.refusesLocked(all)) {
      return undefined;
    }
    if (all.length > 0) {
      this.make({ id: crypto.randomUUID(), kind: "lay", layer: this.fills.layer, fills: changed });
    }
    return all;
  }

  /** Dams openings, leaves them open, or lets reach decide again; returns how many changed. */
  dam(states: ReadonlyMap<number, DamState>, reach?: number): number {
    const change = this.regions.giving(states, reach);
    if (change.dams.length > 0 || change.reach !== null) {
      const changed = Object.fromEntries(change.dams.map((swap) => [swap.opening, swap.after]));
      this.make({
        id: crypto.randomUUID(),
        kind: "dam",
        layer: this.fills.layer,
        states: changed,
        reach: change.reach?.after ?? null,
      });
    }
    return change.dams.length;
  }

  undo(): MadeChange | undefined {
    return this.makeStep("undo", this.line.undoable()[0]);
  }

  redo(): MadeChange | undefined {
    return this.makeStep("redo", this.line.redoable()[0]);
  }

  private makeStep(kind: "undo" | "redo", concerns: string | undefined): MadeChange | undefined {
    const change = this.changes.get(concerns ?? "");
    if (change) {
      this.make({ id: crypto.randomUUID(), kind, concerns: change.id });
    }
    return change;
  }

  /** Makes a change that the server is asked for in another way than by a message: it takes its turn, other changes wait, and it is the one that undo takes back next. */
  inTurn<T>(change: () => Promise<T>): Promise<T> {
    return this.takeTurn(() =>
      this.outbox.hold(async () => {
        const done = await change();
        // If the server is away just now the change is made all the same.
        await this.renewLine().catch(() => {});
        return done;
      }),
    );
  }

  private takeTurn<T>(act: () => Promise<T>): Promise<T> {
    const running = (this.turn ?? Promise.resolve()).then(act);
    const done = () => {
      if (this.turn === quiet) {
        this.turn = undefined;
      }
    };
    const quiet: Promise<void> = running.then(done, done);
    this.turn = quiet;
    return running;
  }

  /** Done when the server has made whatever takes its turn now. */
  get settled(): Promise<void> {
    return this.turn ?? Promise.resolve();
  }

  /** Acts at once, or in its turn if anything takes its turn now: what is undone then is that, and what is asked for afterwards comes afterwards. */
  whenSettled(act: () => void): void {
    if (this.turn) {
      void this.takeTurn(async () => act());
    } else {
      act();
    }
  }

  /** Asks what can be taken back, after a change that did not go through the outbox. */
  async renewLine(): Promise<void> {
    const line = await call<LineState>(`${this.sheetPath}/line`);
    const before = this.changes;
    this.loadLine(line);
    for (const message of this.outbox.pending()) {
      const change = before.get("concerns" in message ? message.concerns : message.id);
      if (change) {
        this.changes.set(change.id, change);
        this.stepLine(message);
      }
    }
    this.showLine();
  }

  private loadLine({ changes, known }: LineState): void {
    this.changes = new Map(changes.map((change) => [change.id, change]));
    this.line = new OwnLine();
    known.forEach(({ change, made, last, stands }) => this.line.know(change, made, last, stands));
  }

  private stepLine(message: ChangeMessage): void {
    if (message.kind === "undo") {
      this.line.takeBack(message.concerns);
    } else if (message.kind === "redo") {
      this.line.doAgain(message.concerns);
    } else {
      this.line.make(message.id);
    }
  }

  private make(message: ChangeMessage): void {
    this.paint(message);
    this.outbox.add(message);
  }

  private paint(message: ChangeMessage): void {
    if ("layer" in message && message.layer !== this.fills.layer) {
      // Of other cells: the server lays it in the same place and says where.
      return;
    }
    if (message.kind === "lay") {
      const swaps = Object.entries(message.fills).flatMap(([fill, cells]) => this.fills.laying(fill, cells));
      this.fills.apply(swaps);
      this.changes.set(message.id, { ...UNMADE, id: message.id, layer: message.layer, swaps });
    } else if (message.kind === "dam") {
      const states = Object.entries(message.states).map(
        ([opening, state]) => [Number(opening), state] as const,
      );
      const { dams, reach } = this.regions.giving(new Map(states), message.reach ?? undefined);
      this.regions.apply(dams, reach);
      this.changes.set(message.id, { ...UNMADE, id: message.id, layer: message.layer, dams, reach });
    } else {
      this.step(message.concerns);
    }
    this.stepLine(message);
    this.showLine();
  }

  private showLine(): void {
    this.canUndo.set(this.line.undoable().length > 0);
    this.canRedo.set(this.line.redoable().length > 0);
  }

  /** Takes back what was done last about a change: an undo takes back the change, a redo what its undo really did. */
  private step(concerns: string): void {
    const change = this.changes.get(concerns);
    // What was done before the line art was analysed anew speaks of other cells: there the server's answer is waited for.
    if (change?.layer === this.fills.layer) {
      const swaps = this.fills.takingBack(change.swaps);
      const { dams, reach } = this.regions.takingBack(change.dams, change.reach);
      this.fills.apply(swaps);
      this.regions.apply(dams, reach);
      this.changes.set(concerns, { ...change, swaps, dams, reach });
    }
  }

  private onAnswer(answer: ChangeAnswer): void {
    if (answer.layer !== null && answer.layer !== this.fills.layer) {
      // Cut anew meanwhile, or of another layer, and perhaps of this one too.
      void this.resync();
      this.tellElsewhere();
    } else if (answer.outcome === "refused") {
      this.notice.set(answer.reason ?? "The change was not taken.");
      void this.resync();
    } else if (answer.outcome === "made") {
      this.reconcile(answer);
    } else {
      this.line.forget(answer.id);
      this.showLine();
    }
    if (answer.outcome === "made" && answer.reason !== null) {
      this.notice.set(answer.reason);
    }
    answer.parts.forEach((part) => this.became[part]?.());
  }

  /** Somebody else may have filled the same cells in between: then what the server did counts. */
  private reconcile(answer: ChangeAnswer): void {
    if (this.outbox.pending().length === 0) {
      this.fills.apply(answer.swaps);
      this.regions.apply(answer.dams, answer.reach);
    }
  }

  async resync(): Promise<void> {
    const state = await call<DeskState>(`${this.sheetPath}/desk`);
    if (state.layer.id !== this.fills.layer) {
      this.cutAnew.set(this.cutAnew.get() + 1);
      return;
    }
    this.takeOver(state);
  }

  /** Takes over what the server knows, and paints again what is on its way to it. */
  takeOver(state: DeskState): void {
    this.previewed = [];
    this.load(state);
    this.outbox.pending().forEach((message) => this.paint(message));
  }

  private load(state: DeskState): void {
    if (state.layer.id === this.fills.layer) {
      this.fills.load(state.layer);
      this.regions.load(state.layer);
    }
    this.loadLine(state.line);
    this.showLine();
  }
}

function inverse(swaps: Swap[]): Swap[] {
  return swaps.map((swap) => ({ place: swap.place, before: swap.after, after: swap.before }));
}
