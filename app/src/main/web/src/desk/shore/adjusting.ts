import { Colours } from "rules";
import { byId, all } from "../../shared/dom";
import type { Edit } from "../../mixer/palette-calls";
import type { Fills } from "../model/fills";
import { swatchesOf, wearing } from "../model/made";
import { NO_FILL, type Fill } from "../model/state";
import type { Work } from "../model/work";
import type { Mixing } from "./mixing";
import type { Gathering } from "../hand/gathering";

const SOFT_DEGREES = 20;

/** Shifts the colours of all that is gathered: seen on the sheet while it is set, then taken once here, or everywhere the swatches are. */
export class Adjusting {
  private readonly panel = byId("adjust");
  private readonly inputs = all<HTMLInputElement>("input", this.panel);
  private cells: number[] = [];
  /** By swatch, what it would become. */
  private adjusted = new Map<Fill, string>();

  constructor(
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly gathering: Gathering,
    private readonly mixing: Mixing,
  ) {
    this.inputs.forEach((input) => input.addEventListener("input", () => this.look()));
    byId("adjust-tied").addEventListener("click", () => void this.takeHere());
    byId("adjust-everywhere").addEventListener("click", () => void this.takeEverywhere());
    byId("adjust-close").addEventListener("click", () => this.close());
    this.panel.addEventListener("keydown", (event) => {
      if (event.key === "Escape") {
        this.close();
        event.preventDefault();
      }
    });
    const before = byId("adjust-before");
    const hold = (held: boolean) => () => this.show(!held);
    before.addEventListener("pointerdown", hold(true));
    ["pointerup", "pointerleave", "blur"].forEach((end) => before.addEventListener(end, hold(false)));
    before.addEventListener("keydown", (event) => event.key === " " && this.show(false));
    before.addEventListener("keyup", (event) => event.key === " " && this.show(true));
  }

  open(): void {
    this.cells = this.gathering.gatheredPlaces.filter((place) => this.fills.of(place) !== NO_FILL);
    this.panel.hidden = false;
    this.gathering.veil(true);
    this.inputs.forEach((input) => {
      input.value = input.defaultValue;
      input.checked = input.defaultChecked;
    });
    this.inputs[0]!.focus();
    this.look();
  }

  close(): void {
    if (!this.panel.hidden) {
      this.panel.hidden = true;
      this.fills.tryOn({});
      this.gathering.veil(false);
      byId("sheet").focus({ preventScroll: true });
    }
  }

  private number(name: string): number {
    return Number(byId<HTMLInputElement>(`adjust-${name}`).value);
  }

  private ticked(name: string): boolean {
    return byId<HTMLInputElement>(`adjust-${name}`).checked;
  }

  /** Works out what the colours become. */
  private look(): void {
    const swatches = [...new Set(this.cells.flatMap((cell) => swatchesOf(this.fills.of(cell))))].filter(
      (swatch) => this.fills.swatch(swatch),
    );
    const colours = Colours.adjusted(
      swatches.map((swatch) => this.fills.swatch(swatch)!.colour),
      this.number("lightness"),
      this.number("chroma"),
      this.number("hue"),
      this.ticked("only") ? [this.number("middle"), this.number("width"), SOFT_DEGREES] : [],
      this.ticked("skin"),
      this.ticked("neutrals"),
    );
    this.adjusted = new Map(
      swatches
        .map((swatch, i) => [swatch, colours[i]!] as const)
        .filter(([swatch, colour]) => colour !== this.fills.swatch(swatch)!.colour),
    );
    this.show(true);
  }

  private show(after: boolean): void {
    const changed = this.adjusted.size;
    byId("adjust-said").textContent =
      changed === 0
        ? "No colour changes yet."
        : changed === 1
          ? "1 colour changes."
          : `${changed} colours change.`;
    for (const take of ["tied", "everywhere"]) {
      byId<HTMLButtonElement>(`adjust-${take}`).disabled = changed === 0;
    }
    this.fills.tryOnCells(
      new Map(
        (after ? this.cells : []).flatMap((cell) => {
          const colour = this.adjusted.get(this.fills.of(cell));
          return colour ? [[cell, colour] as const] : [];
        }),
      ),
      after ? this.adjusted : new Map(),
    );
  }

  /** Lays new swatches here only: tied to those that were worn, or loose. */
  private async takeHere(): Promise<void> {
    const tied = [...this.adjusted].map(([swatch, colour]) => ({ swatch, colour, id: crypto.randomUUID() }));
    const additions = tied.map(({ swatch, colour, id }) => ({
      beside: swatch,
      edit: {
        kind: "ADD" as const,
        swatch: id,
        name: `${this.fills.nameOf(swatch)}, adjusted`,
        colour,
        ...(this.ticked("loose") ? {} : { follows: swatch }),
      },
    }));
    const idOf = new Map(tied.map(({ swatch, id }) => [swatch, id]));
    const cellsByFill = new Map<Fill, number[]>();
    for (const cell of this.cells) {
      const fill = wearing(this.fills.of(cell), (swatch) => idOf.get(swatch) ?? swatch);
      cellsByFill.set(fill, [...(cellsByFill.get(fill) ?? []), cell]);
    }
    if (
      !this.work.refusesLocked(this.cells) &&
      (await this.mixing.layNew(additions, cellsByFill, this.ticked("loose")))
    ) {
      this.close();
      this.gathering.letGo();
    }
  }

  /** Changes the swatches themselves; one that follows another of them changes with it. */
  private async takeEverywhere(): Promise<void> {
    const edits: Edit[] = [...this.adjusted].map(([swatch, colour]) => ({ kind: "CHANGE", swatch, colour }));
    if (await this.mixing.make(edits)) {
      this.close();
    }
  }
}
