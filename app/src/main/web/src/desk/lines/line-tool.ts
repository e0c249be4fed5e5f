import type { Drawing } from "../hand/tools";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import { strokeOf } from "../model/places";
import { NO_FILL, type Fill } from "../model/state";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import type { InkStrokes } from "../view/ink-strokes";

/** Ink this near to the pointer is meant, in CSS pixels. */
const NEAR_PX = 9;
/** A sweep looks for ink every so many CSS pixels. */
const STEP_PX = 3;

/** Colours ink: a click on a stroke, or a sweep over several, lays the swatch in the hand; with Alt they go back to black; with Shift all ink that wears the same is meant. */
export class LineTool implements Drawing {
  private swept: Set<number> | undefined;
  private laid: Fill = NO_FILL;
  private last: Point | undefined;
  private pointer: Point | undefined;

  constructor(
    private readonly strokes: InkStrokes,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly view: SheetView,
  ) {
    hand.stroke.listen((place) => view.pointStrokes(place === undefined ? [] : [strokeOf(place)]));
    strokes.changed.listen(() => this.pointAt(this.pointer));
    hand.whenHeld("line", (lining) => {
      if (lining) {
        void strokes.need();
      } else {
        this.pointAt(undefined);
      }
    });
  }

  /** The stroke under the pointer, as a place. */
  at(screen: Point): number | undefined {
    const { camera } = this.view;
    return this.strokes.near(camera.toSheet(screen), Math.min(64, NEAR_PX / camera.scale));
  }

  pointAt(screen: Point | undefined): void {
    this.pointer = screen;
    if (this.hand.has("line") || screen === undefined) {
      const place = screen && this.at(screen);
      this.hand.pointAtStroke(place);
    }
  }

  begin(screen: Point, lifting: boolean, allAlike: boolean): void {
    const held = lifting ? NO_FILL : this.hand.present.get();
    if (!this.hand.mayBeOnInk(held)) {
      return;
    }
    if (!this.strokes.areThere) {
      this.work.notice.set("The ink can be coloured as soon as the gaps of this sheet have been found.");
      return;
    }
    const again = () => {
      this.begin(screen, lifting, allAlike);
      this.end(screen);
    };
    if (!this.strokes.areKnownOr(again)) {
      return;
    }
    this.laid = held;
    const place = this.at(screen);
    if (allAlike) {
      if (place !== undefined) {
        this.hand.layOnInk(held, this.alike(place));
      }
      return;
    }
    this.swept = new Set();
    this.last = screen;
    this.pass(place);
  }

  private alike(place: number): number[] {
    const worn = this.fills.of(place);
    return this.fills.strokes().filter((each) => this.fills.of(each) === worn);
  }

  move(screen: Point): void {
    const from = this.last;
    if (!this.swept || !from) {
      return;
    }
    const steps = Math.max(1, Math.ceil(Math.hypot(screen.x - from.x, screen.y - from.y) / STEP_PX));
    for (let i = 1; i <= steps; i++) {
      const share = i / steps;
      this.pass(
        this.at({ x: from.x + share * (screen.x - from.x), y: from.y + share * (screen.y - from.y) }),
      );
    }
    this.last = screen;
  }

  private pass(place: number | undefined): void {
    if (this.swept && place !== undefined && !this.swept.has(place)) {
      this.swept.add(place);
      this.view.pointStrokes([]);
      this.work.preview(this.laid, [place]);
    }
  }

  end(screen: Point): void {
    this.move(screen);
    const places = [...(this.swept ?? [])];
    this.cancel();
    this.hand.layOnInk(this.laid, places);
  }

  cancel(): void {
    if (this.swept) {
      this.work.endPreview();
      this.swept = undefined;
    }
  }
}
