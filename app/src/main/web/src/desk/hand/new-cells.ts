import type { EvenMessage, Seen, Stored } from "messages";
import { atom, type WritableAtom } from "nanostores";
import { call, lines, Refusal } from "../../shared/http";
import type { CellParts, LayerPatch } from "rules";
import type { InkStrokes } from "../view/ink-strokes";
import type { Hand } from "./hand";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import type { SmallPicture } from "../view/small-picture";
import type { Fills } from "../model/fills";
import { fetchCellMap, fetchCells, fetchInk, hasShortNumbers, putInto, type InkPlane } from "../model/planes";
import type { Regions } from "../model/regions";
import type { Shadows } from "../model/shadows";
import type { DeskState, Fill, LayerState } from "../model/state";
import type { Work } from "../model/work";

/** Takes over cells that the server has cut anew (a dam drawn by hand, gaps found meanwhile) while the sheet stays open as it is. */
export class NewCells {
  /** Counts up when the server had other cells than those that were shown. */
  readonly becameOthers = atom(0);

  /** What the last line drawn has parted. */
  parted: readonly CellParts[] = [];

  private asked = false;
  /** Cuttings that this page has made itself and the server does not have yet. */
  private readonly ahead = new Set<string>();
  private running: Promise<void> | undefined;

  constructor(
    private readonly sheetPath: string,
    private present: LayerState,
    private readonly ink: WritableAtom<InkPlane>,
    private readonly fills: Fills,
    private readonly regions: Regions,
    private readonly view: SheetView,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly small: SmallPicture,
    private readonly strokes: InkStrokes,
    private readonly shadows: Shadows,
  ) {}

  /**
   * Has the server draw a line, or divide a region evenly, and shows what it cuts before that is stored; done when it is. Until then changes wait.
   *
   * @returns whether the line changes anything; throws if it could not be stored
   */
  draw(
    what: "dams" | "dams/extended" | "dams/evenly" | "joins",
    line: readonly Point[] | EvenMessage,
  ): Promise<boolean> {
    return this.work.inTurn(async () => {
      let changed = false;
      let stored = false;
      this.parted = [];
      let reason = "The line could not be stored.";
      try {
        for await (const answer of lines<Partial<Seen & Stored>>(`${this.sheetPath}/${what}`, line)) {
          if (answer.patch) {
            changed = true;
            // It speaks of the cells that were stored before it.
            await this.running;
            this.patch(answer.layer!, answer.patch);
          }
          stored ||= answer.stored === true;
          reason = answer.reason ?? reason;
        }
      } finally {
        if (changed) {
          await this.takeOver();
        }
      }
      if (changed && !stored) {
        throw new Refusal(409, reason);
      }
      return changed;
    });
  }

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
      const { layer } = state;
      if (this.ahead.size > 0) {
        // What is shown is newer; whoever made it looks again when it is stored.
        return;
      }
      if (layer.widthPx !== this.present.widthPx || layer.heightPx !== this.present.heightPx) {
        // A drawing of another size: nothing that is shown stays where it is.
        location.reload();
        return;
      }
      if (layer.id !== this.present.id) {
        await this.become(state, layer);
      } else if (layer.cells !== this.present.cells) {
        await this.settle(state, layer);
      }
    }
  }

  private async become(state: DeskState, layer: LayerState): Promise<void> {
    const [map, smallCells, smallInk, ink] = await Promise.all([
      fetchCellMap(layer.cells, layer.openings, layer.cellCount),
      fetchCells(layer.smallCells, layer.cellCount),
      fetchInk(layer.smallInk),
      layer.ink === this.present.ink ? undefined : fetchInk(layer.ink),
    ]);
    if (this.ahead.size > 0) {
      return;
    }
    this.present = layer;
    this.hand.letGo();
    if (ink) {
      this.ink.set(ink);
    }
    this.view.become(map, ink);
    this.fills.become(layer.id, layer.cellCount, layer.strokes?.count ?? 0);
    this.regions.renumber(map, layer);
    this.work.takeOver(state);
    this.shadows.take(layer.shadows);
    this.strokes.become(layer);
    this.small.show(smallCells, smallInk, this.regions.map);
    this.becameOthers.set(this.becameOthers.get() + 1);
  }

  /** The layer that is shown, as the server has told it last. */
  get layer(): LayerState {
    return this.present;
  }

  /**
   * Goes on with cells that this page has made of shapes itself.
   *
   * @param id that the layer has then
   * @param worn cells that wear something else now
   */
  take(id: string, { layer, boxes }: LayerPatch, worn: readonly (readonly [number, Fill])[]): void {
    const map = { plane: this.regions.map.plane, layer };
    putInto(map.plane, boxes);
    this.ahead.add(id);
    this.present = { ...this.present, id, cellCount: layer.count() };
    this.hand.letGo();
    this.view.patch(map, boxes);
    this.fills.grow(id, layer.count());
    this.fills.setAll(worn);
    this.regions.become(map, this.present);
  }

  /** A cutting that this page has made is stored, or could not be: then the server is asked what there is. */
  async stored(id: string): Promise<void> {
    this.ahead.delete(id);
    if (this.ahead.size === 0) {
      await this.takeOver();
    }
  }

  /** Goes on with cells that are not stored yet; the planes of the present layer are those from before. */
  private patch(id: string, base64: string): void {
    const sent = Int8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
    const { plane, layer: before } = this.regions.map;
    const patch = before.patched(sent);
    if (id === this.present.id || hasShortNumbers(before.count()) !== hasShortNumbers(patch.layer.count())) {
      // They are shown already, or are too many for short numbers: the stored plane comes with long ones.
      return;
    }
    putInto(plane, patch.boxes);
    const map = { plane, layer: patch.layer };
    const said = this.regions.dams();
    const shut = [...new Set([...said.shut, ...patch.dam])];
    const open = said.open.filter((opening) => !patch.dam.includes(opening));
    this.present = { ...this.present, ...said, id, cellCount: patch.layer.count(), shut, open };
    this.hand.letGo();
    const worn = patch.split.map(({ cell, parts }) => ({ fill: this.fills.of(cell), parts }));
    this.view.patch(map, patch.boxes);
    this.fills.grow(id, patch.layer.count());
    this.fills.setAll(worn.flatMap(({ fill, parts }) => [...parts].map((part) => [part, fill] as const)));
    this.regions.become(map, this.present);
    this.shadows.split(patch.split);
    this.parted = patch.split;
    performance.mark("new cells");
  }

  /** The cells that are shown have been stored. */
  private async settle(state: DeskState, layer: LayerState): Promise<void> {
    const [smallCells, smallInk] = await Promise.all([
      fetchCells(layer.smallCells, layer.cellCount),
      fetchInk(layer.smallInk),
    ]);
    if (this.ahead.size > 0) {
      return;
    }
    const hadStrokes = this.present.strokes?.plane;
    this.present = layer;
    if (layer.strokes?.plane !== hadStrokes) {
      this.fills.become(layer.id, layer.cellCount, layer.strokes?.count ?? 0);
      this.strokes.become(layer);
    }
    this.work.takeOver(state);
    this.shadows.take(layer.shadows);
    this.small.show(smallCells, smallInk, this.regions.map);
  }
}
