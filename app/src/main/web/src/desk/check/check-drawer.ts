import type { FindingMessage as Finding } from "messages";
import { button, el } from "../../shared/build";
import { byId } from "../../shared/dom";
import { call } from "../../shared/http";
import type { Crop } from "../view/crop";
import { placeRow } from "../view/place-row";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import { NO_FILL } from "../model/state";
import type { Differences } from "./differences";
import { countedPlaces, placeOfStroke } from "../model/places";
import type { Regions } from "../model/regions";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";

const SETTLE_MS = 500;
const MOST_ROWS = 60;

/** What is wrong or suspicious on the sheet, each with a crop, a way there and an act. */
export class CheckDrawer {
  private readonly place = byId("check");
  private readonly button = byId("check-button");
  private settling: number | undefined;
  private asked = 0;
  private showsAccepted = false;

  constructor(
    private readonly path: string,
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly crop: Crop,
    private readonly openKinds: (cells: number[]) => void,
    private readonly goTo: (standing: string, cell: number | undefined) => void,
    private readonly differences: Differences,
  ) {
    byId("check-pockets").addEventListener("click", () => void this.fillPockets());
    byId("check-accepted").addEventListener("click", () => {
      this.showsAccepted = !this.showsAccepted;
      void this.look();
    });
    work.outbox.waiting.listen((waiting) => {
      if (waiting === 0) {
        this.settle();
      }
    });
    this.settle();
  }

  get isOpen(): boolean {
    return !this.place.hidden;
  }

  show(open: boolean): void {
    this.place.hidden = !open;
    this.button.setAttribute("aria-expanded", String(open));
    if (open) {
      void this.look();
    }
  }

  private settle(): void {
    clearTimeout(this.settling);
    this.settling = setTimeout(() => void this.look(), SETTLE_MS);
  }

  /** On all layers of the sheet. */
  private findings(): Promise<Finding[]> {
    return call<Finding[]>(`${this.path}/check`);
  }

  /** Asks the server; an answer that was overtaken by another question is dropped. */
  private async look(): Promise<void> {
    const asked = ++this.asked;
    const everywhere = await this.findings().catch(() => undefined);
    if (!everywhere || asked !== this.asked) {
      return;
    }
    const found = everywhere.filter((finding) => finding.layer === this.fills.layer);
    const open = found.filter((finding) => !finding.isAccepted);
    const elsewhere = everywhere.filter(({ layer, isAccepted }) => layer !== this.fills.layer && !isAccepted);
    const unlike = await this.differences.showKept();
    this.button.querySelector(".count")!.textContent = String(open.length + elsewhere.length + unlike);
    if (this.isOpen) {
      const pockets = open.filter((finding) => finding.kind === "POCKET").length;
      byId("check-pockets").hidden = pockets === 0;
      byId("check-pockets").textContent = pockets === 1 ? "Fill the pocket" : `Fill all ${pockets} pockets`;
      byId("check-clean").hidden = open.length > 0;
      const accepted = found.length - open.length;
      const toggle = byId("check-accepted");
      toggle.hidden = accepted === 0;
      toggle.textContent = this.showsAccepted ? `Hide ${accepted} accepted` : `Show ${accepted} accepted`;
      toggle.setAttribute("aria-pressed", String(this.showsAccepted));
      const shown = this.showsAccepted ? found : open;
      byId("check-rows").replaceChildren(
        ...shown.slice(0, MOST_ROWS).map((finding) => this.row(finding)),
        ...byLayer(elsewhere).map(([{ layerName, standing, cells }, count]) =>
          el(
            "li",
            { className: "p-2" },
            button("button", `${count} on the layer ${layerName}`, () => this.goTo(standing, cells[0])),
          ),
        ),
      );
    }
  }

  private row(finding: Finding): HTMLElement {
    const places = [...finding.cells, ...finding.strokes.map(placeOfStroke)];
    const { middle, width, height } = this.placeOf(finding);
    return placeRow({
      title: this.title(finding),
      note: this.note(finding),
      acts: el("p", { className: "check-act" }, ...this.acts(finding)),
      paint: (picture) => this.crop.paintAround(picture, middle, Math.max(60, 1.6 * Math.max(width, height))),
      go: () => {
        if (finding.cells.length > 0) {
          this.hand.goToCell(finding.cells[0]!);
        }
        this.view.showClose(middle, Math.min(width, height));
      },
      begin: () => this.view.light(places),
      end: () => this.view.light(undefined),
    });
  }

  /** Where on the sheet it is to be seen. */
  private placeOf({ cells, at }: Finding): { middle: Point; width: number; height: number } {
    if (at) {
      const [width, height] = [at.xEndExclusive - at.xStart, at.yEndExclusive - at.yStart];
      return { middle: { x: at.xStart + width / 2, y: at.yStart + height / 2 }, width, height };
    }
    const { deepestX: x, deepestY: y, width, height } = this.regions.map.layer.cell(cells[0]!);
    return { middle: { x, y }, width, height };
  }

  private acts(finding: Finding): HTMLElement[] {
    const { kind, likely, cells } = finding;
    const acts: HTMLElement[] = [];
    const act = (label: string, click: () => void) => acts.push(button("button", label, click));
    if (kind === "RUNS_OUT") {
      act("Dam it, clear the outside", () => this.takeIn(finding));
    } else if (kind === "TOO_NEAR") {
      act(`Make both ${this.fills.nameOf(finding.other!)}`, () => this.work.lay(finding.other!, cells));
    } else if (kind === "LIGHT_LINE") {
      act("Make it black", () => this.work.lay(NO_FILL, finding.strokes.map(placeOfStroke)));
    } else if (kind === "LOST_STOP") {
      act("Choose another swatch", () => this.openKinds(cells));
    } else if (likely) {
      const { swatch } = finding;
      act(`${swatch ? "Wear" : "Fill with"} ${this.fills.nameOf(likely)}`, () =>
        swatch ? this.work.layAll(this.fills.replacing(swatch, likely)) : this.work.lay(likely, cells),
      );
    }
    act(finding.isAccepted ? "Not meant after all" : "It is meant", () => void this.accept(finding));
    return acts;
  }

  /** Dams the ways out, and takes the fill away outside. */
  private takeIn({ cells, openings }: Finding): void {
    const fill = this.fills.of(cells[0]!);
    const before = this.regions.cellsWith(cells[0]!);
    this.work.dam(new Map(openings.map((index) => [index, "SHUT"] as const)));
    const inside = new Set(cells);
    this.work.lay(
      NO_FILL,
      before.filter((cell) => !inside.has(cell) && this.fills.of(cell) === fill),
    );
  }

  private async accept({ key, isAccepted }: Finding): Promise<void> {
    await call(`${this.path}/check/accepted`, { key, isMeant: !isAccepted });
    await this.look();
  }

  private title({ kind }: Finding): string {
    switch (kind) {
      case "POCKET":
        return "A pocket was missed";
      case "SPECK":
        return "A speck has no fill";
      case "REGION":
        return "No fill yet";
      case "RUNS_OUT":
        return "This fill ran out";
      case "TOO_NEAR":
        return "Hard to tell apart";
      case "TWINS":
        return "Near twins";
      case "OFF_CARD":
        return "A colour on no card";
      case "LOST_STOP":
        return "A stop lost its swatch";
      case "LIGHT_LINE":
        return "A line lighter than its sides";
    }
  }

  private note(finding: Finding): string {
    const name = (fill: string | null) => this.fills.nameOf(fill ?? "");
    const away = finding.difference.toFixed(1);
    switch (finding.kind) {
      case "RUNS_OUT":
        return `${name(this.fills.of(finding.cells[0]!))} reaches the edge of the page through ${finding.openings.length === 1 ? "a gap" : `${finding.openings.length} gaps`}`;
      case "TOO_NEAR":
        return `${name(finding.swatch)} beside ${name(finding.other)}, no ink between, ${away} apart`;
      case "TWINS":
        return `${name(finding.swatch)} and ${name(finding.other)} are ${away} apart; more wears the second`;
      case "LOST_STOP":
        return `${name(this.fills.of(finding.cells[0]!))} is shown without that colour; give the stop another swatch`;
      case "LIGHT_LINE":
        return `${name(finding.swatch)} on ${countedPlaces(0, finding.strokes.length)} is lighter than all beside`;
      case "OFF_CARD":
        return finding.likely
          ? `${name(finding.swatch)} is a loose colour, close to ${name(finding.likely)}`
          : `${name(finding.swatch)} is a loose colour, close to none on the cards`;
      default:
        return finding.likely
          ? `${name(finding.likely)} lies around most of it`
          : "nothing around it has a fill";
    }
  }

  /** All pockets at once, each with its likely fill. */
  private async fillPockets(): Promise<void> {
    const byFill = new Map<string, number[]>();
    const own = (await this.findings()).filter(({ layer }) => layer === this.fills.layer);
    for (const { kind, likely, cells } of own) {
      if (kind === "POCKET" && likely) {
        byFill.set(likely, [...(byFill.get(likely) ?? []), ...cells]);
      }
    }
    this.work.layAll(byFill);
  }
}

/** The first finding of each layer, and how many it has. */
function byLayer(findings: readonly Finding[]): [Finding, number][] {
  const counts = new Map<string, [Finding, number]>();
  for (const finding of findings) {
    const [first, count] = counts.get(finding.layer) ?? [finding, 0];
    counts.set(finding.layer, [first, count + 1]);
  }
  return [...counts.values()];
}
