import type { WornElsewhere } from "messages";
import { button, el } from "../../shared/build";
import { byId } from "../../shared/dom";
import type { Gathering } from "../hand/gathering";
import type { Stack } from "../model/stack";
import type { Fills } from "../model/fills";
import { swatchesOf } from "../model/made";
import { countedPlaces, isStroke } from "../model/places";
import type { Regions } from "../model/regions";
import { NO_FILL } from "../model/state";
import type { Work } from "../model/work";
import type { Overlay } from "../view/overlay";
import type { SheetView } from "../view/sheet-view";
import type { Groups } from "./groups";
import { cutLink } from "./cut-link";
import { fillRow, lightUp } from "./fill-row";
import { PageFrame } from "./page-frame";
import { ledgerOf, nearTwins, type Row, type Twins } from "./ledger";

const SETTLE_MS = 150;

/** Every colour in use on the sheet: pointing at a row lights its regions up, a click gathers them. */
export class LedgerDrawer {
  private readonly place = byId("ledger");
  private readonly button = byId("ledger-button");
  private readonly order = byId<HTMLSelectElement>("ledger-order");
  private readonly threshold = byId<HTMLInputElement>("ledger-threshold");
  private readonly where = byId<HTMLSelectElement>("ledger-where");
  private settling: number | undefined;
  readonly frame: PageFrame;

  constructor(
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly view: SheetView,
    private readonly gathering: Gathering,
    private readonly groups: Groups,
    path: string,
    overlay: Overlay,
    private readonly stack: Stack,
  ) {
    this.frame = new PageFrame(path, work, view, overlay, () => this.renew());
    this.where.addEventListener("change", () => this.renew());
    groups.changed.listen(() => this.renew());
    this.order.addEventListener("change", () => this.renew());
    this.threshold.addEventListener("change", () => this.renew());
    const settle = () => {
      clearTimeout(this.settling);
      this.settling = setTimeout(() => this.renew(), SETTLE_MS);
    };
    fills.painted.listen(settle);
    regions.changed.listen(settle);
    stack.elsewhere.listen(settle);
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
    this.offerGroups();
    const rowsOf = (isMeant: (place: number) => boolean) =>
      ledgerOf(this.regions, this.fills, this.order.value, isMeant, (shadow) =>
        this.view.cellsUnderShadow(shadow),
      );
    const everywhere = rowsOf(() => true);
    const elsewhere = this.stack.elsewhere.get();
    const fills = [...everywhere, ...elsewhere].map(({ fill }) => fill).filter((fill) => fill !== NO_FILL);
    const swatches = fills.flatMap((fill) => swatchesOf(fill));
    this.button.querySelector(".count")!.textContent = String(
      new Set(swatches.filter((fill) => this.fills.swatch(fill))).size,
    );
    this.frame.show(this.isOpen && ["inside", "beside"].includes(this.where.value));
    if (this.place.hidden) {
      this.view.light(undefined);
      return;
    }
    const isFiltered = this.where.value !== "everywhere";
    const rows = isFiltered ? rowsOf(this.meant()) : everywhere;
    byId("ledger-rows").replaceChildren(...rows.map((row) => this.row(row)));
    byId("ledger-elsewhere").hidden = isFiltered || elsewhere.length === 0;
    byId("ledger-elsewhere-rows").replaceChildren(...elsewhere.map((worn) => this.elsewhere(worn)));
    const twins = nearTwins(rows, Number(this.threshold.value));
    byId("twins-none").hidden = twins.length > 0;
    byId("twins").replaceChildren(...twins.map((pair) => this.twins(pair)));
  }

  /** The cells and strokes that the filter lets through. */
  private meant(): (place: number) => boolean {
    const where = this.where.value;
    const group = this.groups.all.find((each) => each.id === where);
    if (group) {
      const cells = new Set(group.cells);
      return (place) => cells.has(place);
    }
    if (where === "everywhere") {
      return () => true;
    }
    if (where === "ink") {
      return isStroke;
    }
    return (cell) => {
      if (isStroke(cell)) {
        return false;
      }
      const { deepestX: x, deepestY: y } = this.regions.shape(this.regions.of(cell));
      return this.frame.has({ x, y }) === (where === "inside");
    };
  }

  private offerGroups(): void {
    const offer = byId("ledger-groups");
    const chosen = this.where.value;
    offer.hidden = this.groups.all.length === 0;
    offer.replaceChildren(...this.groups.all.map(({ id, name }) => el("option", { value: id }, name)));
    this.where.value = chosen;
    if (this.where.selectedIndex < 0) {
      this.where.value = "everywhere";
    }
  }

  private row(row: Row): HTMLElement {
    const share = row.share < 0.001 ? "under 0.1 %" : `${(100 * row.share).toFixed(1)} %`;
    const counted = countedPlaces(row.regions, row.strokes, row.shadows);
    const note = row.strokes > 0 ? `line, ${counted}` : row.shadows > 0 ? counted : `${counted}, ${share}`;
    const made = fillRow(
      this.fills,
      this.view,
      { ...row, note },
      {
        title: "Gather these; with Shift, these too",
        click: (event: MouseEvent) => this.gathering.gather(row.places, event.shiftKey),
      },
    );
    if (row.regions > 0) {
      made.append(cutLink({ cut: row.fill }, row.name));
      made.className = "relative [&:hover_.cut-link]:opacity-100";
    }
    return made;
  }

  private elsewhere({ standing, layer, fill, cell, regions, strokes, shadows }: WornElsewhere): HTMLElement {
    return fillRow(
      this.fills,
      this.view,
      {
        fill,
        name: this.fills.nameOf(fill),
        note: `${layer}, ${countedPlaces(regions, strokes, shadows)}`,
        places: [],
      },
      { title: `Go to the layer ${layer}`, click: () => this.stack.go(standing, cell) },
    );
  }

  private twins({ first, second, away }: Twins): HTMLElement {
    const keep = (kept: Row, dropped: Row) =>
      button(
        "group-act min-w-[32px] min-h-[32px] py-0 px-[6px] rounded-[8px] text-[0.84rem] hover:bg-line aria-pressed:bg-line",
        "Keep this",
        () => this.work.layAll(this.fills.replacing(dropped.fill, kept.fill)),
        { title: `Let all that wears ${dropped.name} on this sheet wear ${kept.name}` },
      );
    const half = (row: Row) => {
      const made = button("pt-[2px] [border-top:34px_solid] text-left", row.name, () =>
        this.gathering.gather(row.places),
      );
      made.style.borderTopColor = row.colour;
      lightUp(this.view, made, row.places);
      return made;
    };
    return el(
      "li",
      {
        className:
          "grid grid-cols-[1fr_1fr_auto] gap-0 items-end py-[4px] px-[14px] text-[0.86rem] [&_.quiet]:pl-[8px]",
      },
      half(first),
      half(second),
      el("span", { className: "quiet" }, away.toFixed(1)),
      keep(first, second),
      keep(second, first),
    );
  }
}
