import { oncePerFrame } from "../../shared/frames";
import type { Fills } from "../model/fills";
import type { CellPlane, InkPlane } from "../model/planes";

/** The present sheet's small picture, in the strip and on the map, painted again as it is filled. */
export class SmallPicture {
  private readonly full: CanvasRenderingContext2D;
  private readonly image: ImageData;

  constructor(
    private readonly canvases: HTMLCanvasElement[],
    private readonly cells: CellPlane,
    private readonly ink: InkPlane,
    private readonly fills: Fills,
  ) {
    const full = document.createElement("canvas");
    full.width = cells.width;
    full.height = cells.height;
    this.full = full.getContext("2d")!;
    this.image = this.full.createImageData(cells.width, cells.height);
    for (const canvas of canvases) {
      canvas.width = Math.round(Number(canvas.dataset["width"]) * devicePixelRatio);
      canvas.height = Math.round((canvas.width * cells.height) / cells.width);
    }
    const paintSoon = oncePerFrame(() => this.paint());
    fills.painted.listen(paintSoon);
    paintSoon();
  }

  private paint(): void {
    const { data } = this.image;
    const { numbers } = this.cells;
    const { density } = this.ink;
    for (let i = 0; i < numbers.length; i++) {
      const colour = this.fills.colourOf(numbers[i]!);
      const light = (255 - density[i]!) / 255;
      const paper = colour[3] === 0;
      data[4 * i] = (paper ? 255 : colour[0]) * light;
      data[4 * i + 1] = (paper ? 255 : colour[1]) * light;
      data[4 * i + 2] = (paper ? 255 : colour[2]) * light;
      data[4 * i + 3] = 255;
    }
    this.full.putImageData(this.image, 0, 0);
    for (const canvas of this.canvases) {
      const small = canvas.getContext("2d")!;
      small.imageSmoothingQuality = "high";
      small.drawImage(this.full.canvas, 0, 0, canvas.width, canvas.height);
    }
  }
}
