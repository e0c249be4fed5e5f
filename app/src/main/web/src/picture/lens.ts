const ZOOM = 8;

/** A magnifier that follows the pointer and shows the disc that would be taken. */
export class Lens {
  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly picture: HTMLImageElement,
  ) {}

  show(at: { x: number; y: number }, radiusPx: number): void {
    const { canvas, picture } = this;
    const context = canvas.getContext("2d")!;
    const side = canvas.width;
    const span = side / ZOOM;
    context.imageSmoothingEnabled = false;
    context.clearRect(0, 0, side, side);
    context.drawImage(picture, at.x + 0.5 - span / 2, at.y + 0.5 - span / 2, span, span, 0, 0, side, side);
    for (const [colour, width] of [
      ["white", 4],
      ["black", 1.5],
    ] as const) {
      context.strokeStyle = colour;
      context.lineWidth = width;
      context.beginPath();
      context.arc(side / 2, side / 2, Math.max(ZOOM / 2, (radiusPx + 0.5) * ZOOM), 0, 2 * Math.PI);
      context.stroke();
    }
    const box = picture.getBoundingClientRect();
    const shown = box.width / Number(picture.getAttribute("width"));
    const right = at.x * shown + 24 + side > box.width;
    canvas.style.left = `${at.x * shown + (right ? -24 - side : 24)}px`;
    canvas.style.top = `${Math.max(0, at.y * shown - side - 12)}px`;
    canvas.hidden = false;
  }

  hide(): void {
    this.canvas.hidden = true;
  }
}
