import type { MadeOfCells, PatternMessage } from "messages";
import { FillTexts } from "rules";
import { all, byId } from "../../shared/dom";
import { call } from "../../shared/http";
import type { Overlay } from "../view/overlay";
import type { Gathering } from "../hand/gathering";
import type { Hand } from "../hand/hand";
import type { Drawing } from "../hand/tools";
import type { Fills } from "../model/fills";
import { madeOf, textOf, type Made, type Span } from "../model/made";
import type { Regions } from "../model/regions";
import { cellsAmong } from "../model/places";
import { NO_FILL, type Fill } from "../model/state";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { MotifPictures } from "../view/motif-pictures";
import type { SheetView } from "../view/sheet-view";
import { Handles } from "./handles";
import { Keeping, type KeptFill } from "./keeping";
import { MotifChoice, type Named } from "./motif-choice";
import { Stops } from "./stops";

type Kind = Made["kind"];

/**
 * Gives regions a gradient, a pattern or an opacity: set beside the sheet and by its span on the sheet, seen there while it is set, and laid as one change.
 * Meanwhile a click on the sheet takes a region along or leaves it out, and a swatch of the shore goes to the chosen stop.
 */
export class Kinds implements Drawing {
  private readonly panel = byId<HTMLFormElement>("kinds");
  private readonly opacity = byId<HTMLInputElement>("kinds-opacity");
  private readonly size = byId<HTMLInputElement>("kinds-size");
  private readonly angle = byId<HTMLInputElement>("kinds-angle");
  private readonly right = byId<HTMLInputElement>("kinds-x");
  private readonly down = byId<HTMLInputElement>("kinds-y");
  private readonly mirrored = byId<HTMLInputElement>("kinds-mirrored");
  private readonly flipped = byId<HTMLInputElement>("kinds-flipped");
  private readonly handles: Handles;
  private readonly stops: Stops;
  private readonly motifs: MotifChoice;
  private readonly keeping: Keeping;
  private cells: number[] = [];
  private made: Made | undefined;
  private layer = "";
  /** What was made a pattern of last. */
  private latest: MadeOfCells | undefined;

  constructor(
    project: string,
    private readonly sheetPath: string,
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly gathering: Gathering,
    overlay: Overlay,
    pictures: MotifPictures,
    kept: () => readonly KeptFill[],
    renewPalette: () => Promise<void>,
  ) {
    this.keeping = new Keeping(project, work, kept, renewPalette, {
      keep: (id) => {
        this.change({ kept: id });
        this.lay();
      },
      free: () => this.change({ kept: "" }),
      close: () => this.close(),
    });
    this.handles = new Handles(view, overlay, (span) => this.change({ span }));
    this.stops = new Stops(fills, (stops) => this.change({ stops }));
    this.motifs = new MotifChoice(
      `/projects/${project}/motifs`,
      fills,
      pictures,
      (motif) => this.takeMotif(motif),
      (message) => (byId("kinds-said").textContent = message),
    );
    for (const button of all<HTMLButtonElement>("[data-kind]", this.panel)) {
      button.addEventListener("click", () => this.turnInto(button.dataset["kind"] as Kind));
    }
    this.opacity.addEventListener("input", () => this.change({ opacity: Number(this.opacity.value) }));
    this.mirrored.addEventListener("change", () => this.change({ mirrored: this.mirrored.checked }));
    this.flipped.addEventListener("change", () => this.change({ flipped: this.flipped.checked }));
    this.size.addEventListener("input", () => this.place(this.placed));
    [this.angle, this.right, this.down].forEach((input) =>
      input.addEventListener("change", () => this.place(this.placed)),
    );
    all<HTMLButtonElement>("[data-turn]", this.panel).forEach((button) =>
      button.addEventListener("click", () =>
        this.place(FillTexts.placeTurned(this.placed, Number(button.dataset["turn"]))),
      ),
    );
    byId("kinds-stretch").addEventListener("click", () => this.stretch());
    byId("kinds-close").addEventListener("click", () => this.close());
    this.panel.addEventListener("submit", (event) => {
      event.preventDefault();
      this.lay();
    });
    this.panel.addEventListener("keydown", (event) => {
      if (event.key === "Escape") {
        this.close();
        event.preventDefault();
      }
    });
    hand.present.listen((fill) => this.wear(fill));
    // Taking what is in the hand already changes nothing there, but goes to the chosen stop all the same.
    byId("shore").addEventListener("click", (event) => {
      const pebble = (event.target as Element).closest<HTMLElement>(".pebble[data-fill]");
      if (pebble) {
        this.wear(pebble.dataset["fill"]!);
      }
    });
    regions.changed.listen(() => {
      if (this.isOpen && fills.layer !== this.layer) {
        this.close();
      }
    });
  }

  get isOpen(): boolean {
    return !this.panel.hidden;
  }

  /** Opens for the region pointed at, or for what is gathered. */
  openHere(): void {
    const gathered = this.gathering.gathered;
    const cell = this.hand.cell.get();
    const here = cell === undefined ? [] : this.regions.cellsWith(cell);
    this.open(gathered.length > 0 ? gathered : here);
  }

  /** Opens for some cells. If they wear one gradient or pattern, it is changed wherever it is worn; else a new one begins. */
  open(cells: readonly number[]): void {
    this.close();
    if (cells.length === 0) {
      this.hand.said.set("Point at a region first, or gather some");
      return;
    }
    void this.motifs.load().then(() => this.made && this.show());
    const worn = new Set(cells.map((cell) => this.fills.of(cell)));
    const only = worn.size === 1 ? [...worn][0]! : NO_FILL;
    const made = madeOf(only);
    this.layer = this.fills.layer;
    this.cells =
      made && textOf(made) === only && !this.fills.swatch(only) ? this.fills.wearing(only) : [...cells];
    this.stops.chosen = 0;
    this.panel.hidden = false;
    this.gathering.veil(true);
    this.made = made && !this.fills.swatch(only) ? made : this.begun("linear", undefined);
    this.show();
    this.panel.querySelector<HTMLElement>("[data-kind][aria-pressed=true]")?.focus();
  }

  /** Puts back what was shown, and closes. */
  close(): void {
    if (this.isOpen) {
      this.work.endPreview();
      this.made = undefined;
      this.panel.hidden = true;
      this.handles.show(undefined);
      this.gathering.veil(false);
      byId("sheet").focus({ preventScroll: true });
    }
  }

  begin(screen: Point): void {
    const cell = this.view.cellAt(screen);
    if (cell !== undefined) {
      const region = this.regions.cellsWith(cell);
      const without = this.cells.filter((each) => !region.includes(each));
      this.cells = without.length < this.cells.length ? without : [...this.cells, ...region];
      this.show();
    }
  }

  move(): void {}

  end(): void {}

  cancel(): void {}

  /** Makes a pattern of what is gathered: the next one that is begun. */
  async makePattern(): Promise<void> {
    const message: PatternMessage = {
      title: `Made on ${document.title.split(" · ")[0]!}`.slice(0, 60),
      cells: cellsAmong(this.gathering.gathered),
    };
    try {
      const made = await call<MadeOfCells>(`${this.sheetPath}/pattern`, message);
      await this.motifs.add(made.motif);
      this.latest = made;
      this.gathering.letGo();
      this.work.notice.set(
        "The pattern lies among the others now. Shift X on a region, then Pattern, begins with it.",
      );
    } catch (error) {
      this.work.notice.set((error as Error).message);
    }
  }

  private lay(): void {
    const [made, cells] = [this.made, this.cells];
    if (this.work.refusesLocked(cells)) {
      return;
    }
    this.close();
    if (made && cells.length > 0) {
      const fill = textOf(made);
      this.work.lay(fill, cells);
      this.hand.said.set(`Filled ${this.count(cells)} with ${this.fills.nameOf(fill)}`);
      this.gathering.letGo();
    }
  }

  private count(cells: readonly number[]): string {
    const regions = new Set(cells.map((cell) => this.regions.of(cell))).size;
    return regions === 1 ? "1 region" : `${regions} regions`;
  }

  /** The colours at hand: what a fill was made of so far, or else the present swatch and the other one. */
  private colours(before: Made | undefined): Fill[] {
    const own =
      before?.kind === "pattern"
        ? before.inks
        : before?.kind === "flat"
          ? [before.swatch]
          : (before?.stops.map((stop) => stop.swatch) ?? []);
    const worn = this.cells.map((cell) => this.fills.of(cell));
    const all = [...own, this.hand.present.get(), this.hand.other.get(), ...worn].filter((fill) =>
      this.fills.swatch(fill),
    );
    const some = [...new Set(all)];
    return some.length > 0 ? some : [this.fills.anySwatch()];
  }

  private begun(kind: Kind, before: Made | undefined): Made {
    const colours = this.colours(before);
    const at = (i: number) => colours[Math.min(i, colours.length - 1)]!;
    const opacity = before?.opacity ?? 100;
    const kept = before && before.kind !== "flat" ? before.kept : "";
    const span = before && before.kind !== "flat" && before.kind !== "pattern" ? before.span : undefined;
    switch (kind) {
      case "flat":
        return { kind, opacity, tone: 100, swatch: at(0) };
      case "pattern": {
        const { latest } = this;
        const motif = latest?.motif ?? this.motifs.known[0];
        const inks = Array.from({ length: motif?.inks ?? 2 }, (_, i) => latest?.swatches[i] ?? at(i));
        return {
          kind,
          opacity,
          span: this.around("pattern"),
          motif: motif?.name ?? "stripes",
          mirrored: false,
          flipped: false,
          height: latest?.heightPercent ?? 100,
          kept,
          inks,
        };
      }
      default: {
        const stops = [
          { percent: 0, swatch: at(0) },
          { percent: 100, swatch: at(1) },
        ];
        const own = before && (before.kind === "linear" || before.kind === "radial") ? before.stops : stops;
        return { kind, opacity, span: span ?? this.around(kind), stops: own, kept };
      }
    }
  }

  private get box(): number[] {
    return this.regions.boxOf(this.cells);
  }

  /** Where a fill lies to begin with: of this size, turn and place it is at 100 %, and unshifted. */
  private around(kind: Kind): Span {
    return spanOf(FillTexts.spanIn(kind, this.box));
  }

  private turnInto(kind: Kind): void {
    if (this.made && this.made.kind !== kind) {
      this.made = this.begun(kind, this.made);
      this.show();
    }
  }

  private change(change: Record<string, unknown>): void {
    if (this.made) {
      this.made = { ...this.made, ...change } as Made;
      this.show();
    }
  }

  /** Gives the chosen stop or colour the swatch that was taken into the hand. */
  private wear(fill: Fill): void {
    if (!this.made || !this.isOpen || !this.fills.swatch(fill)) {
      return;
    }
    if (this.made.kind === "flat") {
      this.change({ swatch: fill });
    } else if (this.made.kind === "pattern") {
      this.change({ inks: this.made.inks.map((ink, i) => (i === this.motifs.chosen ? fill : ink)) });
    } else {
      this.stops.wear(fill);
    }
  }

  private takeMotif(motif: Named): void {
    if (this.made?.kind === "pattern") {
      const spare = this.colours(this.made);
      const inks = Array.from({ length: motif.inks }, (_, i) => spare[Math.min(i, spare.length - 1)]!);
      this.change({ motif: motif.name, inks });
    }
  }

  /** The numbers that say how the fill lies. */
  private get placed(): number[] {
    return [this.size, this.angle, this.right, this.down].map(({ value }) => Math.round(Number(value)));
  }

  private place(placed: ArrayLike<number>): void {
    const made = this.made;
    if (made && made.kind !== "flat") {
      const begun = numbersOf(this.around(made.kind));
      this.change({ span: spanOf(FillTexts.spanAt(begun, Array.from(placed))) });
    }
  }

  /** Over all that is filled, once. */
  private stretch(): void {
    if (this.made?.kind === "pattern") {
      this.made = madeOf(FillTexts.stretched(textOf(this.made), this.box))!;
      this.show();
    } else if (this.made && this.made.kind !== "flat") {
      this.change({ span: this.around(this.made.kind) });
    }
  }

  private show(): void {
    const made = this.made!;
    this.work.endPreview();
    this.work.preview(textOf(made), this.cells);
    for (const button of all<HTMLButtonElement>("[data-kind]", this.panel)) {
      button.setAttribute("aria-pressed", String(button.dataset["kind"] === made.kind));
    }
    byId("kinds-gradient").hidden = made.kind !== "linear" && made.kind !== "radial";
    byId("kinds-pattern").hidden = made.kind !== "pattern";
    this.opacity.value = String(made.opacity);
    byId("kinds-opacity-said").textContent = `${made.opacity} %`;
    if (made.kind === "linear" || made.kind === "radial") {
      this.stops.show(made);
    } else if (made.kind === "pattern") {
      this.motifs.show(made);
      this.mirrored.checked = made.mirrored;
      this.flipped.checked = made.flipped;
    }
    this.showPlace(made);
    this.handles.show(made.kind === "flat" ? undefined : made.span);
    this.keeping.show(made);
    const lay = byId<HTMLButtonElement>("kinds-lay");
    lay.disabled = this.cells.length === 0;
    lay.textContent = this.cells.length === 0 ? "Click a region to fill" : `Lay on ${this.count(this.cells)}`;
    byId("kinds-said").textContent =
      made.kind === "flat"
        ? "Take a swatch from the shore."
        : "A swatch of the shore goes to the chosen stone; clicks on the sheet take regions along.";
  }

  private showPlace(made: Made): void {
    byId("kinds-span").hidden = made.kind === "flat";
    byId("kinds-mirrors").hidden = made.kind !== "pattern";
    if (made.kind === "flat" || this.cells.length === 0) {
      return;
    }
    const begun = numbersOf(this.around(made.kind));
    const placed = FillTexts.placeOf(begun, numbersOf(made.span));
    [this.size, this.angle, this.right, this.down].forEach((input, i) => (input.value = String(placed[i])));
    byId("kinds-size-said").textContent = `${placed[0]} %`;
  }
}

function numbersOf({ x1, y1, x2, y2 }: Span): number[] {
  return [x1, y1, x2, y2];
}

function spanOf(numbers: ArrayLike<number>): Span {
  const [x1, y1, x2, y2] = Array.from(numbers) as [number, number, number, number];
  return { x1, y1, x2, y2 };
}
