import { byId } from "../../shared/dom";
import type { Gathering } from "../hand/gathering";
import type { Hand } from "../hand/hand";
import type { NewCells } from "../model/new-cells";
import { cellsAmong } from "../model/places";
import type { Regions } from "../model/regions";
import type { Work } from "../model/work";

/** Divides what is gathered of line art evenly, by dams: spokes, rings, strips or a grid around the middle of its box. */
export class Evenly {
  private readonly panel = byId<HTMLFormElement>("evenly");

  constructor(
    private readonly gathering: Gathering,
    private readonly regions: Regions,
    private readonly newCells: NewCells,
    private readonly work: Work,
    private readonly hand: Hand,
  ) {
    byId("gather-evenly").addEventListener("click", () => (this.panel.hidden = false));
    byId("evenly-leave").addEventListener("click", () => this.close());
    this.panel.addEventListener("submit", (event) => {
      event.preventDefault();
      void this.divide();
    });
    gathering.count.listen((count) => count === 0 && this.close());
  }

  /** Returns whether it was open. */
  close(): boolean {
    const wasOpen = !this.panel.hidden;
    this.panel.hidden = true;
    return wasOpen;
  }

  private async divide(): Promise<void> {
    const cells = cellsAmong(this.gathering.gathered);
    const [left, top, right, bottom] = this.regions.boxOf(cells) as [number, number, number, number];
    const [parts, rows, degrees] = ["parts", "rows", "degrees"].map((id) =>
      Number(byId<HTMLInputElement>(`evenly-${id}`).value),
    ) as [number, number, number];
    const evenly = byId<HTMLSelectElement>("evenly-kind").value;
    const [x, y] = [(left + right) / 2, (top + bottom) / 2];
    try {
      const isParted = await this.newCells.draw("dams/evenly", { cells, evenly, parts, rows, degrees, x, y });
      const made = this.newCells.parted
        .filter(({ cell }) => cells.includes(cell))
        .flatMap((each) => [...each.parts]);
      this.gathering.gather([...cells, ...made]);
      this.hand.said.set(isParted ? "Divided evenly" : "These lines part nothing");
      this.close();
    } catch (error) {
      this.work.notice.set((error as Error).message);
    }
  }
}
