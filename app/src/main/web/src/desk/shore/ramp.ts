import { Ramps, type TiedSwatch } from "rules";
import { button, el } from "../../shared/build";
import { byId } from "../../shared/dom";
import type { Edit } from "../../mixer/palette-calls";
import type { Fills } from "../model/fills";
import type { Fill } from "../model/state";
import type { Work } from "../model/work";
import type { Mixing } from "./mixing";
import type { Hand } from "../hand/hand";

/** A part that a step of a ramp is laid on. */
export interface RampPart {
  readonly cells: readonly number[];
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

const MOST_STOPS = 8;

/** Steps a colour over parts: over gathered regions, or over shapes, in even steps between swatches, or around the circle of hues. The steps are swatches tied to those that they come from. */
export class Ramp {
  private readonly panel = byId("ramp");
  private readonly kind = byId<HTMLSelectElement>("ramp-kind");
  private readonly order = byId<HTMLSelectElement>("ramp-order");
  private parts: readonly RampPart[] = [];
  private stops: Fill[] = [];
  private done = () => {};

  constructor(
    private readonly hand: Hand,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly mixing: Mixing,
  ) {
    byId("ramp-add").addEventListener("click", () => this.add());
    byId("ramp-lay").addEventListener("click", () => void this.lay());
    byId("ramp-close").addEventListener("click", () => this.close());
    this.panel.addEventListener("submit", (event) => event.preventDefault());
    [this.kind, this.order].forEach((each) => each.addEventListener("change", () => this.show()));
    hand.present.subscribe((fill) => {
      const isSwatch = fills.swatch(fill) !== undefined;
      byId<HTMLButtonElement>("ramp-add").disabled = !isSwatch;
      byId("ramp-add").textContent = isSwatch ? `Add ${fills.nameOf(fill)}` : "Hold a swatch to add it";
    });
  }

  /** @param parts in the order in which they were chosen @param done called when it is laid */
  open(parts: readonly RampPart[], done: () => void): void {
    this.parts = parts;
    this.done = done;
    const held = [this.hand.present.get(), this.hand.other.get()].filter((fill) => this.fills.swatch(fill));
    this.stops = [...new Set(held)];
    this.panel.hidden = false;
    this.show();
  }

  /** Returns whether it was open. */
  close(): boolean {
    const wasOpen = !this.panel.hidden;
    this.panel.hidden = true;
    return wasOpen;
  }

  private add(): void {
    const held = this.hand.present.get();
    if (this.stops.length < MOST_STOPS && this.stops[this.stops.length - 1] !== held) {
      this.stops.push(held);
    }
    this.show();
  }

  private show(): void {
    byId("ramp-stops").replaceChildren(
      ...this.stops.map((stop, i) => {
        const made = button(
          "w-[26px] h-[26px] border border-[oklch(0_0_0_/_0.25)] rounded-[46%_54%_51%_49%_/_50%_47%_53%_50%]",
          "",
          () => this.drop(i),
          {
            title: `${this.fills.nameOf(stop)}: leave out`,
            "aria-label": `Leave ${this.fills.nameOf(stop)} out`,
          },
        );
        made.style.backgroundColor = this.fills.swatch(stop)!.colour;
        return made;
      }),
    );
    let steps: TiedSwatch[] = [];
    let said = "";
    try {
      steps = this.steps();
      said = this.lessened(steps);
    } catch (refusal) {
      said = (refusal as Error).message;
    }
    byId("ramp-said").textContent = said;
    byId("ramp-steps").replaceChildren(
      ...steps.map(({ colour }) => {
        const made = el("span", { className: "ramp-step flex-1", title: colour });
        made.style.backgroundColor = colour;
        return made;
      }),
    );
    byId<HTMLButtonElement>("ramp-lay").disabled = steps.length === 0;
    byId("ramp-lay").textContent = `Lay ${this.parts.length} steps`;
  }

  private drop(stop: number): void {
    this.stops.splice(stop, 1);
    this.show();
  }

  private steps(): TiedSwatch[] {
    const count = this.parts.length;
    const colours = this.stops.map((stop) => this.fills.swatch(stop)!.colour);
    switch (this.kind.value) {
      case "hues":
        return this.stops.length > 0 ? Ramps.around(this.stops[0]!, colours[0]!, count) : [];
      case "circle":
        return this.stops.length > 1 && count % this.stops.length === 0
          ? Ramps.circle(this.stops, colours, count / this.stops.length - 1)
          : [];
      default:
        return this.stops.length > 1 ? Ramps.between(this.stops, colours, count) : [];
    }
  }

  private lessened(steps: readonly TiedSwatch[]): string {
    const { value } = this.kind;
    if (this.stops.length === 0 || (value !== "hues" && this.stops.length < 2)) {
      return value === "hues" ? "Add the swatch that it begins at." : "Add two swatches or more.";
    }
    if (value === "circle" && steps.length === 0) {
      return `${this.parts.length} parts do not go evenly around ${this.stops.length} swatches.`;
    }
    return value === "hues" && !steps[0]!.same
      ? "With less chroma, so that every hue can be shown."
      : `${this.parts.length} parts`;
  }

  private inOrder(): readonly RampPart[] {
    const { value } = this.order;
    if (value === "chosen") {
      return this.parts;
    }
    const middles = this.parts.flatMap(({ x, y }) => [x, y]);
    const widths = this.parts.map(({ width }) => Math.round(width));
    return Array.from(Ramps.order(middles, widths, value === "around"), (i) => this.parts[i]!);
  }

  private async lay(): Promise<void> {
    const parts = this.inOrder();
    if (this.work.refusesLocked(parts.flatMap(({ cells }) => cells))) {
      return;
    }
    const steps = this.steps().map(({ same, colour, paint }) => ({
      same,
      colour,
      paint,
      swatch: same || crypto.randomUUID(),
    }));
    const name = this.stops.map((stop) => this.fills.nameOf(stop)).join(" to ");
    const laid = new Map<Fill, number[]>();
    steps.forEach(({ swatch }, i) => laid.set(swatch, [...(laid.get(swatch) ?? []), ...parts[i]!.cells]));
    const additions = steps
      .filter(({ same }) => !same)
      .map(({ swatch, colour, paint }, i) => {
        const edit: Edit = { kind: "ADD", swatch, colour, paint, name: `${name} ${i + 1}`.slice(0, 100) };
        return { beside: this.stops[0]!, edit };
      });
    if (await this.mixing.layNew(additions, laid)) {
      this.hand.said.set(`Laid ${parts.length} steps from ${name}`);
      this.close();
      this.done();
    }
  }
}
