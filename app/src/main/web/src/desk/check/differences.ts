import type { Difference } from "messages";
import { button, el } from "../../shared/build";
import { byId } from "../../shared/dom";
import { call } from "../../shared/http";
import type { Crop } from "../view/crop";
import { placeRow } from "../view/place-row";
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

  /** Shows those that were found when the sheet had been quiet; returns how many. */
  async showKept(): Promise<number> {
    const kept = await call<Difference[]>(`${this.path}/check/differences`).catch(() => []);
    byId("check-differing").replaceChildren(...kept.map((each) => this.row(each)));
    return kept.length;
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
    const shape = this.regions.shape(this.regions.of(cells[0]!));
    const middle = { x: shape.deepestX, y: shape.deepestY };
    const where = sheets.length === 1 ? sheets[0]! : `${sheets.length} other sheets`;
    const accepted = () => call(`${this.path}/check/accepted`, { key, isMeant: true });
    const wear = () => {
      this.work.lay(fill, cells);
      row.remove();
    };
    const row = placeRow({
      title: "Unlike other sheets",
      note: `${this.fills.nameOf(fill)} on ${where}, ${this.fills.nameOf(this.fills.of(cells[0]!))} here`,
      noteTitle: sheets.join(", "),
      acts: el(
        "p",
        { className: "check-act" },
        button("button", `Wear ${this.fills.nameOf(fill)}`, wear),
        button("button", "It is meant", () => void accepted().then(() => row.remove())),
      ),
      paint: (picture) =>
        this.crop.paintAround(picture, middle, Math.max(60, 1.6 * Math.max(shape.width, shape.height))),
      go: () => {
        this.hand.goToCell(cells[0]!);
        this.view.showClose(middle, Math.min(shape.width, shape.height));
      },
      begin: () => this.view.light(cells),
      end: () => this.view.light(undefined),
    });
    return row;
  }
}
