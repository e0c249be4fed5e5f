import type { Work } from "../model/work";
import type { SmallPicture } from "../view/small-picture";
import type { Stack } from "../model/stack";

const SETTLE_MS = 400;

/** The small picture of a sheet of several layers, which the server paints: nobody here has the planes of the others. */
export class LayeredSmall {
  private settling: number | undefined;

  constructor(
    private readonly canvases: readonly HTMLCanvasElement[],
    private readonly path: string,
    private readonly stack: Stack,
    work: Work,
    small: SmallPicture,
  ) {
    small.emptied.listen(() => this.renewSoon());
    work.outbox.waiting.listen((waiting) => waiting === 0 && this.renewSoon());
    stack.layers.listen(() => this.renewSoon());
    this.renewSoon();
  }

  /** The sheet looks otherwise. */
  renewSoon(): void {
    clearTimeout(this.settling);
    this.settling = setTimeout(() => void this.renew(), SETTLE_MS);
  }

  private async renew(): Promise<void> {
    if (!this.stack.isLayered) {
      return;
    }
    const picture = new Image();
    picture.src = `${this.path}/small.png?asked=${Date.now()}`;
    // One that cannot be had just now leaves the one before it.
    await picture.decode().then(
      () => this.canvases.forEach((canvas) => paint(canvas, picture)),
      () => undefined,
    );
  }
}

function paint(canvas: HTMLCanvasElement, picture: HTMLImageElement): void {
  const context = canvas.getContext("2d")!;
  context.imageSmoothingQuality = "high";
  context.drawImage(picture, 0, 0, canvas.width, canvas.height);
}
