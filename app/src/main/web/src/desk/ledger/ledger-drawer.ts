import { el } from "../../mixer/build";
import { byId } from "../../shared/dom";
import type { Gathering } from "../hand/gathering";
import type { Fills } from "../model/fills";
import type { Regions } from "../model/regions";
import { NO_FILL } from "../model/state";
import type { Work } from "../model/work";
import type { SheetView } from "../view/sheet-view";
import { ledgerOf, nearTwins, type Order, type Row, type Twins } from "./ledger";

const SETTLE_MS = 150;

/** Every colour in use on the sheet: pointing at a row lights its regions up, a click gathers them. */
export class LedgerDrawer {
  private readonly place = byId("ledger");
  private readonly button = byId("ledger-button");
  private readonly order = byId<HTMLSelectElement>("ledger-order");
  private readonly threshold = byId<HTMLInputElement>("ledger-threshold");
  private settling: number | undefined;

  constructor(
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly view: SheetView,
    private readonly gathering: Gathering,
  ) {
    this.order.addEventListener("change", () => this.renew());
    this.threshold.addEventListener("change", () => this.renew());
    const settle = () => {
      clearTimeout(this.settling);
      this.settling = setTimeout(() => this.renew(), SETTLE_MS);
    };
    fills.painted.listen(settle);
    regions.changed.listen(settle);
  }

  get isOpen(): boolean {
    return !this.place.hidden;
  }

  show(open: boolean): void {
    this.place.hidden = !open;
    this.button.setAttribute("aria-expanded", String(open));
    this.renew();
  }

  private renew(): void {
    const rows = ledgerOf(this.regions, this.fills, this.order.value as Order);
    const inUse = rows.filter((row) => row.fill !== NO_FILL).length;
    this.button.querySelector(".count")!.textContent = String(inUse);
    if (this.place.hidden) {
      this.view.light(undefined);
      return;
    }
    byId("ledger-rows").replaceChildren(...rows.map((row) => this.row(row)));
    const twins = nearTwins(rows, Number(this.threshold.value));
    byId("twins-none").hidden = twins.length > 0;
    byId("twins").replaceChildren(...twins.map((pair) => this.twins(pair)));
  }

  private row(row: Row): HTMLElement {
    const stone = el("span", { className: "ledger-stone" });
    stone.style.backgroundColor = row.colour;
    const share = row.share < 0.001 ? "under 0.1 %" : `${(100 * row.share).toFixed(1)} %`;
    const button = el(
      "button",
      {
        type: "button",
        className: "ledger-row",
        title: "Gather these regions",
        click: () => this.gathering.wearing(row.fill),
      },
      stone,
      el(
        "span",
        {},
        el("strong", {}, row.name),
        el(
          "span",
          { className: "quiet" },
          `${row.regions === 1 ? "1 region" : `${row.regions} regions`}, ${share}`,
        ),
      ),
    );
    this.lightsUp(button, row.cells);
    return el("li", {}, button);
  }

  private twins({ first, second, away }: Twins): HTMLElement {
    const keep = (kept: Row, dropped: Row) =>
      el(
        "button",
        {
          type: "button",
          className: "group-act",
          title: `Let all that wears ${dropped.name} on this sheet wear ${kept.name}`,
          click: () => this.work.lay(kept.fill, dropped.cells),
        },
        "Keep this",
      );
    const half = (row: Row) => {
      const button = el(
        "button",
        { type: "button", className: "twin", click: () => this.gathering.wearing(row.fill) },
        row.name,
      );
      button.style.borderTopColor = row.colour;
      this.lightsUp(button, row.cells);
      return button;
    };
    return el(
      "li",
      { className: "twins-pair" },
      half(first),
      half(second),
      el("span", { className: "quiet" }, away.toFixed(1)),
      keep(first, second),
      keep(second, first),
    );
  }

  private lightsUp(element: HTMLElement, cells: readonly number[]): void {
    element.addEventListener("pointerenter", () => this.view.light(cells));
    element.addEventListener("pointerleave", () => this.view.light(undefined));
    element.addEventListener("focus", () => this.view.light(cells));
    element.addEventListener("blur", () => this.view.light(undefined));
  }
}
