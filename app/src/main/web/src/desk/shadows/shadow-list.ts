import { button, el } from "../../shared/build";
import { byId } from "../../shared/dom";
import type { Gathering } from "../hand/gathering";
import type { Groups } from "../ledger/groups";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import { cellsAmong, placeOfShadow } from "../model/places";
import { isRim, isSurface, kindOf, type Shadow, type Shadows } from "../model/shadows";
import { NO_FILL } from "../model/state";
import type { SheetView } from "../view/sheet-view";
import type { ShadowCalls } from "./shadow-calls";

/** Percent points of strength at a time. */
const STRONGER = 10;

/** All that lies on a sheet, the front one first, and what is done to many at once. */
export class ShadowList {
  constructor(
    private readonly shadows: Shadows,
    private readonly calls: ShadowCalls,
    private readonly fills: Fills,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly gathering: Gathering,
    private readonly groups: Groups,
    private readonly open: (number: number) => void,
  ) {
    groups.changed.listen(() => this.offerGroups());
    this.offerGroups();
    byId("shadow-stronger").addEventListener("click", () => this.strengthen(STRONGER));
    byId("shadow-weaker").addEventListener("click", () => this.strengthen(-STRONGER));
  }

  private offerGroups(): void {
    const offer = byId("shadow-groups");
    offer.hidden = this.groups.all.length === 0;
    offer.replaceChildren(...this.groups.all.map(({ id, name }) => el("option", { value: id }, name)));
  }

  /** @param opened the number of the one that is open */
  show(opened: number | undefined): void {
    const rows = [...this.shadows.stored].reverse().map((shadow) => this.row(shadow, opened));
    byId("shadow-list").replaceChildren(...rows);
    byId("shadow-none").hidden = rows.length > 0;
    byId("shadow-all").hidden = rows.length === 0;
  }

  private row(shadow: Shadow, opened: number | undefined): HTMLElement {
    const row = button(
      "shadow-row flex gap-[8px] items-center w-full min-h-[30px] py-[2px] px-[8px] rounded-[8px] text-left [&_.quiet]:ml-auto hover:bg-ground aria-pressed:bg-ground",
      shadow.name,
      () => this.open(shadow.number),
      {
        "aria-pressed": String(shadow.number === opened),
      },
    );
    const stone = el("span", {
      className:
        "flex-none w-[14px] h-[14px] border border-line rounded-full [background:linear-gradient(90deg,_white_50%,_var(--color-text)_50%)]",
      "aria-hidden": "true",
    });
    const fill = this.fills.of(placeOfShadow(shadow.number));
    stone.style.background = fill === NO_FILL ? "" : this.fills.css(fill);
    row.prepend(stone);
    row.append(el("span", { className: "quiet" }, noteOn(shadow)));
    return el("li", {}, row);
  }

  /** Those that an act for all of them is about: on this sheet, on what the swatch in the hand is of, on what is gathered, or in a group. */
  private strengthen(by: number): void {
    const numbers = this.view.shadingOn(this.cellsIn(byId<HTMLSelectElement>("shadow-scope").value));
    if (numbers.length === 0) {
      this.hand.said.set("There is no shadow there");
    } else {
      void this.calls.act({ act: "STRENGTHEN", numbers, by });
    }
  }

  private cellsIn(scope: string): readonly number[] {
    switch (scope) {
      case "sheet":
        return Array.from({ length: this.fills.cellCount }, (_, cell) => cell);
      case "gathered":
        return cellsAmong(this.gathering.gathered);
      case "card":
        return this.fills
          .filledCells()
          .filter((cell) => this.fills.cardOf(this.fills.of(cell))?.id === this.cardInHand);
      default:
        return this.groups.all.find(({ id }) => id === scope)?.cells ?? [];
    }
  }

  private get cardInHand(): string | undefined {
    return this.fills.cardOf(this.hand.present.get())?.id;
  }
}

function noteOn(shadow: Shadow): string {
  if (shadow.base === "cells") {
    return "lost its base";
  }
  return isRim(shadow) || isSurface(shadow) ? kindOf(shadow).toLowerCase() : `${shadow.strength} %`;
}
