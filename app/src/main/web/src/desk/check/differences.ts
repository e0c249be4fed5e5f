import type { Difference } from "messages";
import { el } from "../../mixer/build";
import { byId } from "../../shared/dom";
import { call } from "../../shared/http";
import type { Crop } from "../gaps/crop";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import type { Regions } from "../model/regions";
import type { Work } from "../model/work";
import type { SheetView } from "../view/sheet-view";

/** Regions that wear something else than the same part does on other sheets; looked for when asked, since it takes a while. */
export class Differences {
  private readonly button = byId<HTMLButtonElement>("check-differences");

  constructor(
    private readonly path: string,
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly crop: Crop,
  ) {
    this.button.addEventListener("click", () => void this.look());
  }

  private async look(): Promise<void> {
    const said = byId("check-differences-said");
    this.button.disabled = true;
    said.textContent = "Looking for the same parts on other sheets";
    try {
      const found = await call<Difference[]>(`${this.path}/carry/differences`);
      said.textContent = found.length === 0 ? "Every part that was recognised wears the same there." : "";
      byId("check-differing").replaceChildren(...found.map((each) => this.row(each)));
    } catch (error) {
      said.textContent = (error as Error).message;
    }
    this.button.disabled = false;
  }

  private row({ cells, fill, sheets, key }: Difference): HTMLElement {
    const picture = el("canvas", { width: 168, height: 128 });
    const shape = this.regions.shape(this.regions.of(cells[0]!));
    const middle = { x: shape.deepestX, y: shape.deepestY };
    this.crop.paintAround(picture, middle, Math.max(60, 1.6 * Math.max(shape.width, shape.height)));
    const go = () => {
      this.hand.goToCell(cells[0]!);
      this.view.showClose(middle, Math.min(shape.width, shape.height));
    };
    const where = sheets.length === 1 ? sheets[0]! : `${sheets.length} other sheets`;
    const row: HTMLElement = el(
      "li",
      { className: "gap" },
      picture,
      el(
        "div",
        {},
        el("button", { type: "button", className: "gap-title", click: go }, "Unlike other sheets"),
        el(
          "p",
          { className: "quiet", title: sheets.join(", ") },
          `${this.fills.nameOf(fill)} on ${where}, ${this.fills.nameOf(this.fills.of(cells[0]!))} here`,
        ),
      ),
      el(
        "p",
        { className: "check-act" },
        el(
          "button",
          {
            type: "button",
            className: "button",
            click: () => {
              this.work.lay(fill, cells);
              row.remove();
            },
          },
          `Wear ${this.fills.nameOf(fill)}`,
        ),
        el(
          "button",
          {
            type: "button",
            className: "button",
            click: () =>
              void call(`${this.path}/check/accepted`, { key, isMeant: true }).then(() => row.remove()),
          },
          "It is meant",
        ),
      ),
    );
    row.addEventListener("pointerenter", () => this.view.light(cells));
    row.addEventListener("pointerleave", () => this.view.light(undefined));
    return row;
  }
}
