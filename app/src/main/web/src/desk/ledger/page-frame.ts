import type { FrameMessage as Frame } from "messages";
import { byId } from "../../shared/dom";
import { call } from "../../shared/http";
import type { Overlay } from "../view/overlay";
import type { Drawing } from "../hand/tools";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";

/** Which part of the sheet is the page; drawn on it by pulling a rectangle. */
export class PageFrame implements Drawing {
  isDrawing = false;
  private frame: Frame | undefined;
  private from: Point | undefined;
  private readonly button = byId("frame-draw");

  constructor(
    private readonly path: string,
    private readonly work: Work,
    private readonly view: SheetView,
    private readonly overlay: Overlay,
    private readonly changed: () => void,
  ) {
    this.button.addEventListener("click", () => this.wait(!this.isDrawing));
    void this.load();
  }

  async load(): Promise<void> {
    this.take(await call<Frame>(`${this.path}/frame`));
  }

  has({ x, y }: Point): boolean {
    const frame = this.frame;
    return (
      !frame || (x >= frame.x && y >= frame.y && x < frame.x + frame.width && y < frame.y + frame.height)
    );
  }

  /** Shows where it lies, as long as somebody cares. */
  show(shown: boolean): void {
    this.button.hidden = !shown;
    this.overlay.frame(shown && this.frame ? corners(this.frame) : []);
    if (!shown) {
      this.wait(false);
    }
  }

  begin(screen: Point): void {
    this.from = this.view.camera.toSheet(screen);
  }

  move(screen: Point): void {
    if (this.from) {
      this.overlay.frame(corners(between(this.from, this.view.camera.toSheet(screen))));
    }
  }

  end(screen: Point): void {
    if (this.from) {
      const frame = between(this.from, this.view.camera.toSheet(screen));
      this.from = undefined;
      this.wait(false);
      void this.work
        .inTurn(() => call<Frame>(`${this.path}/frame`, frame))
        .then((kept) => this.take(kept))
        .catch((error: unknown) => {
          this.work.notice.set((error as Error).message);
          this.show(true);
        });
    }
  }

  cancel(): void {
    this.from = undefined;
    this.show(!this.button.hidden);
  }

  private wait(drawing: boolean): void {
    this.isDrawing = drawing;
    this.button.setAttribute("aria-pressed", String(drawing));
    this.button.textContent = drawing ? "Pull it over the page" : "Draw the page frame";
  }

  private take(frame: Frame): void {
    this.frame = frame;
    this.changed();
  }
}

function between(a: Point, b: Point): Frame {
  const [x, y] = [Math.round(Math.min(a.x, b.x)), Math.round(Math.min(a.y, b.y))];
  return { x, y, width: Math.round(Math.abs(a.x - b.x)), height: Math.round(Math.abs(a.y - b.y)) };
}

function corners({ x, y, width, height }: Frame): Point[] {
  const [right, bottom] = [x + width, y + height];
  return [
    { x, y },
    { x: right, y },
    { x: right, y: bottom },
    { x, y: bottom },
    { x, y },
  ];
}
