export interface Point {
  readonly x: number;
  readonly y: number;
}

export interface Size {
  readonly width: number;
  readonly height: number;
}

const MAX_SCALE = 32;
/** How far a sheet may be made smaller than what fits. */
const MIN_OF_FIT = 0.5;
const FIT_MARGIN_PX = 28;
/** Below lie the count of what is left and the zoom: they cover nothing of a sheet that is fitted. */
const FIT_BELOW_PX = 46;

/** Where the sheet lies on the screen. Screen positions are CSS pixels from the top left of the canvas. */
export class Camera {
  /** Screen pixels a sheet pixel. */
  scale = 1;
  /** The screen position of the sheet's top left corner. */
  x = 0;
  y = 0;

  private viewport: Size = { width: 1, height: 1 };

  constructor(private readonly sheet: Size) {}

  /** Keeps the middle of the view in the middle. */
  resize(viewport: Size): void {
    const middle = this.toSheet({ x: this.viewport.width / 2, y: this.viewport.height / 2 });
    this.viewport = viewport;
    this.x = viewport.width / 2 - middle.x * this.scale;
    this.y = viewport.height / 2 - middle.y * this.scale;
  }

  get size(): Size {
    return this.viewport;
  }

  get fitScale(): number {
    return Math.min(
      (this.viewport.width - 2 * FIT_MARGIN_PX) / this.sheet.width,
      (this.viewport.height - FIT_MARGIN_PX - FIT_BELOW_PX) / this.sheet.height,
    );
  }

  fit(): void {
    this.scale = this.fitScale;
    this.x = (this.viewport.width - this.sheet.width * this.scale) / 2;
    this.y = (this.viewport.height + FIT_MARGIN_PX - FIT_BELOW_PX - this.sheet.height * this.scale) / 2;
  }

  /** Brings the sheet to another scale while what lies at a screen position stays there. */
  zoomTo(scale: number, at: Point): void {
    const fixed = this.toSheet(at);
    this.scale = Math.min(MAX_SCALE, Math.max(this.fitScale * MIN_OF_FIT, scale));
    this.x = at.x - fixed.x * this.scale;
    this.y = at.y - fixed.y * this.scale;
    this.keepInSight();
  }

  zoomBy(factor: number, at: Point): void {
    this.zoomTo(this.scale * factor, at);
  }

  panBy(dx: number, dy: number): void {
    this.x += dx;
    this.y += dy;
    this.keepInSight();
  }

  get middle(): Point {
    return { x: this.viewport.width / 2, y: this.viewport.height / 2 };
  }

  toSheet(screen: Point): Point {
    return { x: (screen.x - this.x) / this.scale, y: (screen.y - this.y) / this.scale };
  }

  toScreen(sheet: Point): Point {
    return { x: sheet.x * this.scale + this.x, y: sheet.y * this.scale + this.y };
  }

  /** Pans as little as needed for a sheet position to be seen. */
  reveal(sheet: Point, marginPx: number): void {
    const at = this.toScreen(sheet);
    this.x += Math.max(0, marginPx - at.x) - Math.max(0, at.x - (this.viewport.width - marginPx));
    this.y += Math.max(0, marginPx - at.y) - Math.max(0, at.y - (this.viewport.height - marginPx));
  }

  /** At least a strip of the sheet stays on the screen. */
  private keepInSight(): void {
    const strip = 80;
    this.x = Math.min(this.viewport.width - strip, Math.max(strip - this.sheet.width * this.scale, this.x));
    this.y = Math.min(this.viewport.height - strip, Math.max(strip - this.sheet.height * this.scale, this.y));
  }
}
