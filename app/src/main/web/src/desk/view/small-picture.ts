import { oncePerFrame } from "../../shared/frames";
import type { InkStrokes } from "../lines/ink-strokes";
import type { Fills } from "../model/fills";
import { putInked } from "../model/looks";
import type { CellPlane, InkPlane } from "../model/planes";

/** The present sheet's small picture, in the strip and on the map, painted again as it is filled. */
export class SmallPicture {
  private cells: CellPlane | undefined;
  private ink: InkPlane | undefined;
  private sheetWidth = 1;
  private readonly paintSoon = oncePerFrame(() => this.paint());

  constructor(
    private readonly canvases: HTMLCanvasElement[],
    private readonly fills: Fills,
    private readonly strokes: InkStrokes,
  ) {
    fills.painted.listen(this.paintSoon);
    strokes.changed.listen(this.paintSoon);
  }

  /** @param sheetWidth in sheet pixels */
  show(cells: CellPlane, ink: InkPlane, sheetWidth: number): void {
    this.sheetWidth = sheetWidth;
    this.cells = cells;
    this.ink = ink;
    for (const canvas of this.canvases) {
      canvas.width = Math.round(Number(canvas.dataset["width"]) * devicePixelRatio);
      canvas.height = Math.round((canvas.width * cells.height) / cells.width);
    }
    this.paintSoon();
  }

  private paint(): void {
    if (!this.cells || !this.ink) {
      return;
    }
    const full = document.createElement("canvas");
    full.width = this.cells.width;
    full.height = this.cells.height;
    const context = full.getContext("2d")!;
    const image = context.createImageData(full.width, full.height);
    const { data } = image;
    const { numbers } = this.cells;
    const { density } = this.ink;
    const step = this.sheetWidth / full.width;
    for (let i = 0; i < numbers.length; i++) {
      const [x, y] = [i % full.width, Math.floor(i / full.width)];
      const [sheetX, sheetY] = [(x + 0.5) * step, (y + 0.5) * step];
      const ink = this.strokes.colourAt(Math.floor(sheetX), Math.floor(sheetY), density[i]!);
      putInked(data, 4 * i, this.fills.wornAt(numbers[i]!, sheetX, sheetY), ink);
    }
    context.putImageData(image, 0, 0);
    for (const canvas of this.canvases) {
      const small = canvas.getContext("2d")!;
      small.imageSmoothingQuality = "high";
      small.drawImage(full, 0, 0, canvas.width, canvas.height);
    }
  }
}
