import { call } from "../../shared/http";
import type { Hand } from "../hand/hand";
import type { SheetView } from "../view/sheet-view";
import type { SmallPicture } from "../view/small-picture";
import type { Fills } from "./fills";
import { fetchOpenings } from "./openings";
import { fetchCellMap, fetchCells, fetchInk } from "./planes";
import type { Regions } from "./regions";
import type { DeskState, LayerState } from "./state";
import type { Work } from "./work";

/** Takes over cells that the server has cut anew (a dam drawn by hand, gaps found meanwhile) while the sheet stays open as it is. */
export class NewCells {
  private asked = false;
  private running: Promise<void> | undefined;

  constructor(
    private readonly sheetPath: string,
    private present: LayerState,
    private readonly fills: Fills,
    private readonly regions: Regions,
    private readonly view: SheetView,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly small: SmallPicture,
  ) {}

  /** Done when the sheet is shown as the server has it; asked again meanwhile, it looks again. */
  takeOver(): Promise<void> {
    this.asked = true;
    this.running ??= this.run().finally(() => (this.running = undefined));
    return this.running;
  }

  private async run(): Promise<void> {
    while (this.asked) {
      this.asked = false;
      const state = await call<DeskState>(`${this.sheetPath}/desk`);
      const layer = state.layers[0]!;
      if (layer.ink !== this.present.ink) {
        // Other ink is another picture altogether.
        location.reload();
        return;
      }
      if (layer.id !== this.present.id) {
        await this.become(state, layer);
      }
    }
  }

  private async become(state: DeskState, layer: LayerState): Promise<void> {
    const [map, openings, smallCells, smallInk] = await Promise.all([
      fetchCellMap(layer.cells, layer.cellCount),
      fetchOpenings(layer.openings),
      fetchCells(layer.smallCells, layer.cellCount),
      fetchInk(layer.smallInk),
    ]);
    this.present = layer;
    this.hand.letGo();
    this.view.become(map);
    this.fills.become(layer.id, layer.cellCount);
    this.regions.become(map, openings, layer);
    this.work.takeOver(state);
    this.small.show(smallCells, smallInk, layer.widthPx);
  }
}
