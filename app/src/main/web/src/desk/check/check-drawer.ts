import { el } from "../../mixer/build";
import { byId } from "../../shared/dom";
import { call } from "../../shared/http";
import type { Crop } from "../gaps/crop";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import type { Regions } from "../model/regions";
import type { Work } from "../model/work";
import type { SheetView } from "../view/sheet-view";

/** See FindingMessage on the server. */
interface Finding {
  readonly kind: "POCKET" | "UNFILLED" | "TOO_NEAR" | "OFF_CARD";
  readonly layer: string;
  readonly cells: number[];
  readonly likely: string | null;
  readonly swatch: string | null;
  readonly other: string | null;
  readonly difference: number;
}

const SETTLE_MS = 500;
const MOST_ROWS = 60;

/** What is wrong or suspicious on the sheet, each with a crop, a way there and an act. */
export class CheckDrawer {
  private readonly place = byId("check");
  private readonly button = byId("check-button");
  private settling: number | undefined;
  private asked = 0;

  constructor(
    private readonly path: string,
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly crop: Crop,
  ) {
    byId("check-pockets").addEventListener("click", () => void this.fillPockets());
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

  private async findings(): Promise<Finding[]> {
    const found = await call<Finding[]>(`${this.path}/check`);
    return found.filter((finding) => finding.layer === this.fills.layer);
  }

  /** Asks the server; an answer that was overtaken by another question is dropped. */
  private async look(): Promise<void> {
    const asked = ++this.asked;
    const found = await this.findings().catch(() => undefined);
    if (!found || asked !== this.asked) {
      return;
    }
    this.button.querySelector(".count")!.textContent = String(found.length);
    if (this.isOpen) {
      const pockets = found.filter((finding) => finding.kind === "POCKET").length;
      byId("check-pockets").hidden = pockets === 0;
      byId("check-pockets").textContent = pockets === 1 ? "Fill the pocket" : `Fill all ${pockets} pockets`;
      byId("check-clean").hidden = found.length > 0;
      byId("check-rows").replaceChildren(...found.slice(0, MOST_ROWS).map((finding) => this.row(finding)));
    }
  }

  private row(finding: Finding): HTMLElement {
    const picture = el("canvas", { width: 168, height: 128 });
    const shape = this.regions.map.cells[finding.cells[0]!]!;
    const middle = { x: shape.deepestX, y: shape.deepestY };
    this.crop.paintAround(picture, middle, Math.max(60, 1.6 * Math.max(shape.width, shape.height)));
    const go = () => {
      this.hand.goToCell(finding.cells[0]!);
      this.view.showClose(middle, Math.min(shape.width, shape.height));
    };
    const row = el(
      "li",
      { className: "gap" },
      picture,
      el(
        "div",
        {},
        el("button", { type: "button", className: "gap-title", click: go }, this.title(finding)),
        el("p", { className: "quiet" }, this.note(finding)),
      ),
    );
    if (finding.likely && (finding.kind === "POCKET" || finding.kind === "UNFILLED")) {
      const fill = finding.likely;
      row.append(
        el(
          "p",
          { className: "check-act" },
          el(
            "button",
            { type: "button", className: "button", click: () => this.work.lay(fill, finding.cells) },
            `Fill with ${this.fills.nameOf(fill)}`,
          ),
        ),
      );
    }
    row.addEventListener("pointerenter", () => this.view.light(finding.cells));
    row.addEventListener("pointerleave", () => this.view.light(undefined));
    return row;
  }

  private title({ kind }: Finding): string {
    switch (kind) {
      case "POCKET":
        return "A pocket was missed";
      case "UNFILLED":
        return "No fill yet";
      case "TOO_NEAR":
        return "Hard to tell apart";
      case "OFF_CARD":
        return "A colour on no card";
    }
  }

  private note(finding: Finding): string {
    const name = (fill: string | null) => this.fills.nameOf(fill ?? "");
    switch (finding.kind) {
      case "TOO_NEAR":
        return `${name(finding.swatch)} beside ${name(finding.other)}, no ink between, ${finding.difference.toFixed(1)} apart`;
      case "OFF_CARD":
        return `${name(finding.swatch)} is a loose colour`;
      default:
        return finding.likely
          ? `${name(finding.likely)} lies around most of it`
          : "nothing around it has a fill";
    }
  }

  /** All pockets at once, each with its likely fill. */
  private async fillPockets(): Promise<void> {
    const byFill = new Map<string, number[]>();
    for (const { kind, likely, cells } of await this.findings()) {
      if (kind === "POCKET" && likely) {
        byFill.set(likely, [...(byFill.get(likely) ?? []), ...cells]);
      }
    }
    byFill.forEach((cells, fill) => this.work.lay(fill, cells));
  }
}
