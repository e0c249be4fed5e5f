import { byId } from "../../shared/dom";
import { Ramps } from "rules";
import type { Edit } from "../../mixer/palette-calls";
import type { Fills } from "../model/fills";
import type { Fill } from "../model/state";
import type { Work } from "../model/work";
import type { Mixing } from "../shore/mixing";
import type { Gathering } from "./gathering";
import type { Hand } from "./hand";

/** Even steps over the gathered regions, in the order in which they were gathered, from the swatch in the hand to the other one; the steps between are tied to both. */
export class Ramp {
  private readonly button = byId<HTMLButtonElement>("gather-ramp");

  constructor(
    private readonly gathering: Gathering,
    private readonly hand: Hand,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly mixing: Mixing,
  ) {
    this.button.addEventListener("click", () => void this.lay());
    const renew = () => {
      const [from, to] = [hand.present.get(), hand.other.get()];
      this.button.disabled =
        !fills.swatch(from) || !fills.swatch(to) || from === to || gathering.count.get() < 3;
      this.button.textContent = this.button.disabled
        ? "Ramp: hold two swatches, gather three regions"
        : `Ramp from ${fills.nameOf(from)} to ${fills.nameOf(to)}`;
    };
    hand.present.subscribe(renew);
    hand.other.listen(renew);
    gathering.count.listen(renew);
  }

  private async lay(): Promise<void> {
    const regions = this.gathering.inOrder;
    const [from, to] = [this.hand.present.get(), this.hand.other.get()];
    const colours = [from, to].map((fill) => this.fills.swatch(fill)!.colour);
    const all = Ramps.between([from, to], colours, regions.length).map((step) => ({
      ...step,
      swatch: (step.same || crypto.randomUUID()) as Fill,
    }));
    const between = all
      .filter(({ same }) => !same)
      .map(({ colour, paint, swatch }) => ({ colour, paint, swatch }));
    const steps = all.map(({ swatch }) => swatch);
    const name = `${this.fills.nameOf(from)} to ${this.fills.nameOf(to)}`;
    const edits: Edit[] = between.map((step, i) => ({ kind: "ADD", ...step, name: `${name} ${i + 1}` }));
    const laid = new Map(regions.map((region, i) => [steps[i]!, region.cells]));
    const additions = edits.map((edit) => ({ beside: from, edit }));
    if (!this.work.refusesLocked([...laid.values()].flat()) && (await this.mixing.layNew(additions, laid))) {
      this.hand.said.set(`Laid ${regions.length} steps from ${name}`);
      this.gathering.letGo();
    }
  }
}
