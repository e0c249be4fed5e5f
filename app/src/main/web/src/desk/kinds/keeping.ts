import type { KeepMessage, KeptFill } from "messages";
import { el } from "../../shared/build";
import { all, byId } from "../../shared/dom";
import { call } from "../../shared/http";
import { textOf, type Made } from "../model/made";
import type { Work } from "../model/work";

export type { KeptFill };

/** What keeping does with the fill that is set. */
export interface KeepingTargets {
  /** It is kept from now on, under an id: what is filled wears it. */
  keep(id: string): void;
  /** It is worn as none that is kept. */
  free(): void;
  close(): void;
}

/** Keeps a gradient or a pattern on a card under a name, and changes one that is kept wherever it is worn. */
export class Keeping {
  private readonly place = byId("kinds-keep");
  private readonly name = byId<HTMLInputElement>("kinds-name");
  private readonly card = byId<HTMLSelectElement>("kinds-card");
  private made: Made | undefined;

  constructor(
    private readonly project: string,
    private readonly work: Work,
    private readonly kept: () => readonly KeptFill[],
    private readonly renewPalette: () => Promise<void>,
    private readonly targets: KeepingTargets,
  ) {
    byId("kinds-keep-it").addEventListener("click", () => void this.keep());
    byId("kinds-everywhere").addEventListener("click", () => void this.everywhere());
    byId("kinds-free").addEventListener("click", () => targets.free());
    byId("kinds-drop-kept").addEventListener("click", () => void this.drop());
  }

  show(made: Made): void {
    this.made = made;
    const present = this.present;
    this.place.hidden = made.kind === "flat";
    byId("kinds-kept").hidden = !present;
    byId("kinds-not-kept").hidden = present !== undefined;
    byId("kinds-kept-name").textContent = present?.name ?? "";
    const chosen = this.card.value;
    const cards = all<HTMLElement>(".shore-card[data-card]", byId("shore"));
    this.card.replaceChildren(
      ...cards.map((card) =>
        el("option", { value: card.dataset["card"]! }, card.querySelector("h2 span")!.textContent),
      ),
    );
    this.card.value = chosen;
    this.card.selectedIndex = Math.max(0, this.card.selectedIndex);
  }

  private get present(): KeptFill | undefined {
    const id = this.made && this.made.kind !== "flat" ? this.made.kept : "";
    return this.kept().find((each) => each.id === id);
  }

  private async keep(): Promise<void> {
    const id = crypto.randomUUID();
    if (await this.send(id, this.name.value, this.card.value)) {
      this.name.value = "";
      this.targets.keep(id);
    }
  }

  private async everywhere(): Promise<void> {
    const present = this.present;
    if (present && (await this.send(present.id, present.name, present.card))) {
      this.targets.close();
      await this.work.resync();
    }
  }

  private async drop(): Promise<void> {
    const present = this.present;
    if (present) {
      await this.tell(() => call(`/projects/${this.project}/kept-fills/${present.id}/dropped`, {}));
      this.targets.free();
    }
  }

  private send(id: string, name: string, card: string): Promise<boolean> {
    const message: KeepMessage = { id, name, card, fill: textOf(this.made!) };
    return this.tell(() => call<KeptFill>(`/projects/${this.project}/kept-fills`, message));
  }

  /** Returns whether it was taken; the reason is said if not. */
  private async tell(act: () => Promise<unknown>): Promise<boolean> {
    try {
      await this.work.inTurn(act);
      await this.renewPalette();
      return true;
    } catch (error) {
      byId("kinds-said").textContent = (error as Error).message;
      return false;
    }
  }
}
