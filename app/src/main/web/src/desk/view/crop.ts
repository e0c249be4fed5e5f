import type { ReadableAtom } from "nanostores";
import type { InkStrokes } from "./ink-strokes";
import type { Fills } from "../model/fills";
import { putInked } from "../model/looks";
import type { InkPlane } from "../model/planes";
import type { Regions } from "../model/regions";
import type { Opening } from "../model/openings";
import type { Point } from "../geometry/camera";

/** A magnified crop around an opening, with the closure as dashes. */
export class Crop {
  constructor(
    private readonly regions: Regions,
    private readonly ink: ReadableAtom<InkPlane>,
    private readonly fills: Fills,
    private readonly strokes: InkStrokes,
  ) {}

  paint(canvas: HTMLCanvasElement, opening: Opening): void {
    const span = Math.max(3.2 * opening.widthPx, 9 * this.regions.strokePx, 24);
    const { left, top, step } = this.paintAround(canvas, opening.middle, span);
    const context = canvas.getContext("2d")!;
    for (const [colour, lineWidth, dash] of [
      ["white", 5, []],
      ["black", 2, [6, 5]],
    ] as const) {
      context.strokeStyle = colour;
      context.lineWidth = lineWidth;
      context.setLineDash([...dash]);
      context.beginPath();
      opening.line.forEach((point) => context.lineTo((point.x - left) / step, (point.y - top) / step));
      context.stroke();
    }
  }

  /** Paints the sheet around a place, so many of its pixels across; returns where the picture lies on the sheet. */
  paintAround(
    canvas: HTMLCanvasElement,
    middle: Point,
    span: number,
  ): { left: number; top: number; step: number } {
    const { width, height } = canvas;
    const step = span / width;
    const left = middle.x - span / 2;
    const top = middle.y - (step * height) / 2;
    const context = canvas.getContext("2d")!;
    const image = context.createImageData(width, height);
    for (let y = 0; y < height; y++) {
      for (let x = 0; x < width; x++) {
        this.paintPixel(
          image.data,
          4 * (y * width + x),
          Math.floor(left + x * step),
          Math.floor(top + y * step),
        );
      }
    }
    context.putImageData(image, 0, 0);
    return { left, top, step };
  }

  private paintPixel(data: Uint8ClampedArray, at: number, x: number, y: number): void {
    const { width, height, numbers } = this.regions.map.plane;
    if (x < 0 || y < 0 || x >= width || y >= height) {
      data.fill(184, at, at + 3);
      data[at + 3] = 255;
      return;
    }
    const ink = this.strokes.colourAt(x, y, this.ink.get().density[y * width + x]!);
    putInked(data, at, this.fills.wornAt(numbers[y * width + x]!, x + 0.5, y + 0.5), ink);
  }
}
