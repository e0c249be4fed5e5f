import { Shapes } from "rules";
import type { Overlay } from "../view/overlay";
import type { Drawing } from "../hand/tools";
import type { Hand } from "../hand/hand";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import { distance, pointsOf, wayOf } from "../geometry/way";

/** A press that moves less than this is a click, in CSS pixels. */
const CLICK_PX = 5;
/** A click this near to the first point closes the shape. */
const NEAR_PX = 11;
/** A click this near to the line of the shape that is open adds a point to it. */
const ON_LINE_PX = 5;
/** How far a shape may be from the line drawn by hand, in CSS pixels. */
const TOLERANCE_PX = 2.5;

/** What the shadow tool has done with. */
export interface ShadowTargets {
  /** A shape was drawn. */
  drawn(shape: string): void;
  /** The shape that is open for changes; undefined if there is none. */
  shape(): string | undefined;
  tried(shape: string | undefined): void;
  changed(shape: string): void;
  /** Opens the shadow at a place of the sheet; returns whether there is one. */
  take(at: Point): boolean;
  letGo(): unknown;
}

/** Draws shadows: a line around what is to be in shadow, or point by point; a press on the shape that is open moves it, and a click on its line adds a point. */
export class ShadowTool implements Drawing {
  private line: Point[] = [];
  private from: Point | undefined;
  private points: Point[] = [];
  private moving: { shape: string; from: Point; to: string } | undefined;

  constructor(
    private readonly view: SheetView,
    private readonly overlay: Overlay,
    private readonly hand: Hand,
    private readonly targets: ShadowTargets,
  ) {}

  /** Whether a shape is begun point by point. */
  get isOpen(): boolean {
    return this.points.length > 0;
  }

  begin(screen: Point): void {
    const at = this.view.camera.toSheet(screen);
    this.from = screen;
    this.line = [at];
    const open = this.targets.shape();
    if (open && this.points.length === 0 && Shapes.has(open, at.x, at.y)) {
      this.moving = { shape: open, from: at, to: open };
    }
  }

  move(screen: Point): void {
    if (!this.from) {
      return;
    }
    const at = this.view.camera.toSheet(screen);
    if (this.moving) {
      const { shape, from } = this.moving;
      if (this.hasMoved(screen)) {
        this.moving.to = Shapes.shifted(shape, at.x - from.x, at.y - from.y);
        this.targets.tried(this.moving.to);
      }
    } else if (this.points.length === 0) {
      this.line.push(at);
      this.overlay.draw([...this.line, this.line[0]!]);
    }
  }

  end(screen: Point): void {
    this.move(screen);
    const [line, moved, moving] = [this.line, this.hasMoved(screen), this.moving];
    this.cancelPress();
    if (moving && moved) {
      this.targets.changed(moving.to);
    } else if (moved && this.points.length === 0) {
      this.finish(() => Shapes.freehand(wayOf(line), TOLERANCE_PX / this.view.camera.scale));
    } else {
      this.click(screen);
    }
  }

  private click(screen: Point): void {
    const at = this.view.camera.toSheet(screen);
    const open = this.points.length === 0 ? this.targets.shape() : undefined;
    if (open && distance(at, pointsOf(Shapes.polygon(open))) * this.view.camera.scale < ON_LINE_PX) {
      this.targets.changed(Shapes.splitNear(open, at.x, at.y));
      this.hand.said.set("One more point");
      return;
    }
    if (this.points.length === 0 && this.targets.take(at)) {
      return;
    }
    const first = this.points[0] && this.view.camera.toScreen(this.points[0]);
    if (first && this.points.length > 2 && Math.hypot(first.x - screen.x, first.y - screen.y) < NEAR_PX) {
      this.close();
      return;
    }
    this.points.push(at);
    this.targets.letGo();
    this.showPoints();
    const left = 3 - this.points.length;
    this.hand.said.set(
      left > 0
        ? `Point ${this.points.length}; ${left} more at the least`
        : "Enter, or a click on the first point, closes the shape",
    );
  }

  private showPoints(): void {
    const { points } = this;
    this.overlay.outline(
      points.length > 2 ? pointsOf(Shapes.polygon(Shapes.through(wayOf(points)))) : points,
      points,
    );
  }

  /** Closes a shape begun point by point; returns whether there was one. */
  close(): boolean {
    if (this.points.length < 3) {
      return false;
    }
    const points = this.points;
    this.drop();
    this.finish(() => Shapes.through(wayOf(points)));
    return true;
  }

  /** Takes back the last point; returns whether there was one. */
  back(): boolean {
    const dropped = this.points.pop();
    if (dropped) {
      this.showPoints();
    }
    return dropped !== undefined;
  }

  private finish(make: () => string): void {
    try {
      this.targets.drawn(make());
    } catch (refusal) {
      this.hand.said.set((refusal as Error).message);
      this.targets.tried(undefined);
    }
  }

  /** Gives up a shape begun point by point. */
  drop(): void {
    this.points = [];
    this.overlay.outline([]);
  }

  cancel(): void {
    this.cancelPress();
    this.targets.tried(undefined);
  }

  private cancelPress(): void {
    this.from = undefined;
    this.moving = undefined;
    this.line = [];
    this.overlay.draw([]);
  }

  private hasMoved(screen: Point): boolean {
    const from = this.from;
    return from !== undefined && Math.hypot(screen.x - from.x, screen.y - from.y) > CLICK_PX;
  }
}
