import type { Fills } from "../model/fills";
import type { CellPlane, InkPlane } from "../model/planes";

/** The present sheet's small picture in the strip, painted again as it is filled. */
export class SmallPicture {
  private readonly context: CanvasRenderingContext2D;
  private readonly image: ImageData;
  private asked = false;

  constructor(
    canvas: HTMLCanvasElement,
    private readonly cells: CellPlane,
    private readonly ink: InkPlane,
    private readonly fills: Fills,
  ) {
    canvas.width = cells.width;
    canvas.height = cells.height;
    this.context = canvas.getContext("2d")!;
    this.image = this.context.createImageData(cells.width, cells.height);
    fills.filled.listen(() => this.paintSoon());
    this.paintSoon();
  }

  paintSoon(): void {
    if (!this.asked) {
      this.asked = true;
      requestAnimationFrame(() => this.paint());
    }
  }

  private paint(): void {
    this.asked = false;
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
    this.context.putImageData(this.image, 0, 0);
  }
}
