import { atom } from "nanostores";
import { oncePerFrame } from "../../shared/frames";
import type { InkStrokes } from "./ink-strokes";
import type { Fills } from "../model/fills";
import type { SheetGroups } from "rules";
import type { Stack } from "../model/stack";
import { packed, putInked, unpacked, type Rgba } from "../model/looks";
import type { CellMap, CellPlane, InkPlane } from "../model/planes";
import type { Shadows } from "../model/shadows";
import { ShadowedCells } from "./shadowed-cells";

/** The present sheet's small picture, in the strip and on the map, painted again as it is filled. */
export class SmallPicture {
  /** Counts up when the canvases are empty because other planes are shown. */
  readonly emptied = atom(0);

  private cells: CellPlane | undefined;
  private ink: InkPlane | undefined;
  private shadowed: ShadowedCells | undefined;
  private sheetWidth = 1;
  private readonly paintSoon = oncePerFrame(() => this.paint());

  constructor(
    private readonly canvases: HTMLCanvasElement[],
    private readonly fills: Fills,
    private readonly strokes: InkStrokes,
    private readonly shadows: Shadows,
    private readonly groups: { readonly rules: SheetGroups },
    private readonly stack: Stack,
  ) {
    shadows.changed.listen(this.paintSoon);
    fills.painted.listen(this.paintSoon);
    strokes.changed.listen(this.paintSoon);
  }

  /** @param map of the sheet */
  show(cells: CellPlane, ink: InkPlane, map: CellMap): void {
    this.sheetWidth = map.plane.width;
    this.shadowed = new ShadowedCells(cells, map.layer, cells.width / map.plane.width);
    this.cells = cells;
    this.ink = ink;
    for (const canvas of this.canvases) {
      canvas.width = Math.round(Number(canvas.dataset["width"]) * devicePixelRatio);
      canvas.height = Math.round((canvas.width * cells.height) / cells.width);
    }
    this.emptied.set(this.emptied.get() + 1);
    this.paintSoon();
  }

  private through(piece: number, colour: Rgba): Rgba {
    const wearing = (shadow: number) => this.fills.shadowColour(shadow);
    return unpacked(this.shadowed!.through(piece, packed(colour), wearing));
  }

  private paint(): void {
    // That of several layers is not painted here; see LayeredSmall.
    if (!this.cells || !this.ink || !this.shadowed || this.stack.isLayered) {
      return;
    }
    const full = document.createElement("canvas");
    full.width = this.cells.width;
    full.height = this.cells.height;
    const context = full.getContext("2d")!;
    const image = context.createImageData(full.width, full.height);
    const { data } = image;
    this.shadowed.lay(this.shadows.shown, {
      groups: this.groups.rules,
      filledCells: () => this.fills.filledCells(),
    });
    const { numbers } = this.cells;
    const pieces = this.shadowed.plane.numbers;
    const { density } = this.ink;
    const step = this.sheetWidth / full.width;
    for (let i = 0; i < numbers.length; i++) {
      const [x, y] = [i % full.width, Math.floor(i / full.width)];
      const [sheetX, sheetY] = [(x + 0.5) * step, (y + 0.5) * step];
      const ink = this.strokes.colourAt(Math.floor(sheetX), Math.floor(sheetY), density[i]!);
      const worn = this.fills.wornAt(numbers[i]!, sheetX, sheetY);
      const shown = this.shadowed.isPiece(pieces[i]!) ? this.through(pieces[i]!, worn) : worn;
      putInked(data, 4 * i, shown, ink);
    }
    context.putImageData(image, 0, 0);
    for (const canvas of this.canvases) {
      const small = canvas.getContext("2d")!;
      small.imageSmoothingQuality = "high";
      small.drawImage(full, 0, 0, canvas.width, canvas.height);
    }
  }
}
