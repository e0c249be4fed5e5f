import { atom } from "nanostores";
import { Shapes, type BlockedIn } from "rules";
import type { Overlay } from "../view/overlay";
import type { Drawing } from "../hand/tools";
import type { Hand } from "../hand/hand";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import { distance, pointsOf, wayOf } from "../geometry/way";
import type { ShapeSheet } from "./shape-sheet";

/** What a press on the sheet draws, or does. */
export type ShapeMode = "hand" | "points" | "rectangle" | "ellipse" | "sides" | "choose" | "divide";

/** A press that moves less than this is a click, in CSS pixels. */
const CLICK_PX = 5;
/** A click this near to the first point closes the shape. */
const CLOSE_PX = 11;
/** A click this near to the border of a shape adds a point to it. */
const ON_LINE_PX = 5;
/** How far a shape may be from the line drawn by hand, in CSS pixels. */
const TOLERANCE_PX = 2.5;
/** A point or a border of another shape pulls from so far, in CSS pixels. */
const REACH_PX = 9;

/** How shapes are drawn just now. */
export interface ShapeWays {
  readonly isUnder: boolean;
  readonly sharesBorders: boolean;
  readonly sides: number;
}

/** Draws shapes, chooses and moves them, and divides them by a line. */
export class ShapeTool implements Drawing {
  readonly mode = atom<ShapeMode>("hand");

  private from: Point | undefined;
  private line: Point[] = [];
  private points: { at: Point; isCorner: boolean }[] = [];
  private moving: readonly number[] | undefined;
  private isChoosing = false;
  private adds = false;
  /** The shape that was in the hand as the press began. */
  private wasChosen: number | undefined;

  constructor(
    private readonly sheet: ShapeSheet,
    private readonly view: SheetView,
    private readonly overlay: Overlay,
    private readonly hand: Hand,
    private readonly ways: () => ShapeWays,
  ) {
    this.mode.listen(() => this.letGo());
  }

  private get reach(): number {
    return REACH_PX / this.view.camera.scale;
  }

  /** @param choosing with Alt, a press chooses whatever the mode @param adding with Shift, to what is chosen already */
  begin(screen: Point, choosing: boolean, adding: boolean): void {
    const at = this.view.camera.toSheet(screen);
    this.from = screen;
    this.line = [at];
    this.adds = adding;
    this.isChoosing = choosing || this.mode.get() === "choose";
    this.moving = undefined;
    const number = this.at(screen);
    this.wasChosen = this.sheet.chosen.get()[0];
    if (this.isChoosing && number > 0) {
      const chosen = this.sheet.chosen.get();
      if (!adding && this.isOnBorder(screen)) {
        this.moving = chosen;
        return;
      }
      if (!chosen.includes(number)) {
        this.sheet.choose(adding ? [...chosen, number] : [number]);
      } else if (adding) {
        this.sheet.choose(chosen.filter((each) => each !== number));
      }
      this.moving = this.sheet.chosen.get();
    }
  }

  private at(screen: Point): number {
    return this.view.cellAt(screen) ?? 0;
  }

  move(screen: Point): void {
    if (!this.from || !this.hasMoved(screen)) {
      return;
    }
    const at = this.view.camera.toSheet(screen);
    const start = this.line[0]!;
    if (this.moving) {
      const moving = [...this.moving];
      this.sheet.try((rules) => rules.move(moving, at.x - start.x, at.y - start.y));
      return;
    }
    const mode = this.mode.get();
    this.line.push(at);
    if (this.isChoosing || mode === "hand") {
      this.overlay.draw([...this.line, start]);
    } else if (mode === "divide") {
      this.overlay.draw(this.line);
    } else if (mode !== "points") {
      this.overlay.outline(pointsOf(Shapes.polygon(this.figure(start, this.corner(start, at), mode))));
    }
  }

  end(screen: Point): void {
    this.move(screen);
    const { line, moving, isChoosing } = this;
    const moved = this.hasMoved(screen);
    const at = this.view.camera.toSheet(screen);
    const start = line[0];
    this.cancelPress();
    if (!start) {
      return;
    }
    if (moving && moved) {
      const numbers = [...moving];
      this.sheet.make(numbers.length === 1 ? "Moved a shape" : `Moved ${numbers.length} shapes`, (rules) =>
        rules.move(numbers, at.x - start.x, at.y - start.y),
      );
    } else if (isChoosing) {
      if (moved || this.adds || this.wasChosen === undefined || !this.addsPoint(screen)) {
        this.chooseEnd(line, moved, screen);
      }
    } else {
      this.drawn(line, start, at, moved, screen);
    }
  }

  private chooseEnd(line: readonly Point[], moved: boolean, screen: Point): void {
    if (moved) {
      const inside = [...this.sheet.present!.within(wayOf(line))];
      this.sheet.choose(this.adds ? [...new Set([...this.sheet.chosen.get(), ...inside])] : inside);
    } else if (this.at(screen) === 0 && !this.adds) {
      this.sheet.choose([]);
    }
  }

  private drawn(line: readonly Point[], start: Point, at: Point, moved: boolean, screen: Point): void {
    const mode = this.mode.get();
    if (mode === "points") {
      this.addPoint(moved ? start : at, !moved, screen);
    } else if (!moved) {
      this.clicked(this.at(screen));
    } else if (mode === "divide") {
      this.divide(line);
    } else if (mode === "hand") {
      this.draw(() => Shapes.freehand(wayOf(line), TOLERANCE_PX / this.view.camera.scale));
    } else {
      const to = this.corner(start, at);
      this.draw(() => this.figure(start, to, mode));
    }
  }

  /** With Shift, a figure is as wide as it is high. */
  private corner(from: Point, to: Point): Point {
    if (!this.adds) {
      return to;
    }
    const size = Math.max(Math.abs(to.x - from.x), Math.abs(to.y - from.y));
    return { x: from.x + Math.sign(to.x - from.x) * size, y: from.y + Math.sign(to.y - from.y) * size };
  }

  /** Whether a place lies on the border of the one shape in the hand. */
  private isOnBorder(screen: Point): boolean {
    const [number, ...others] = this.sheet.chosen.get();
    const rules = this.sheet.present;
    if (!number || others.length > 0 || !rules) {
      return false;
    }
    const at = this.view.camera.toSheet(screen);
    const borders = Array.from({ length: rules.loops(number) }, (_, i) => pointsOf(rules.border(number, i)));
    return Math.min(...borders.map((border) => distance(at, border))) * this.view.camera.scale < ON_LINE_PX;
  }

  /** A click on the border of the one shape in the hand adds a point to it; returns whether it did. */
  private addsPoint(screen: Point): boolean {
    const number = this.sheet.chosen.get()[0]!;
    const at = this.view.camera.toSheet(screen);
    return (
      this.isOnBorder(screen) &&
      this.sheet.make("Added a point", (thinking) => thinking.addKnot(number, at.x, at.y))
    );
  }

  /** A click on a shape opens it for changes. */
  private clicked(number: number): void {
    this.sheet.choose(number > 0 ? [number] : []);
    if (number > 0) {
      this.mode.set("choose");
    }
  }

  private figure(from: Point, to: Point, mode: ShapeMode): string {
    if (mode === "rectangle") {
      return Shapes.rectangle(from.x, from.y, to.x, to.y);
    }
    return mode === "ellipse"
      ? Shapes.ellipse(from.x, from.y, to.x, to.y)
      : Shapes.evenSided(from.x, from.y, to.x, to.y, this.ways().sides);
  }

  private draw(outline: () => string): void {
    const { isUnder, sharesBorders } = this.ways();
    const crosses = (shape: string) => {
      if (Shapes.crossesItself(shape)) {
        this.hand.said.set("This border crosses itself; all that it runs around is inside.");
      }
      return shape;
    };
    this.sheet.make(
      "Drew a shape",
      (rules) => rules.draw(crosses(outline()), isUnder, sharesBorders ? this.reach : 0),
      [this.hand.present.get()],
    );
  }

  private addPoint(at: Point, isCorner: boolean, screen: Point): void {
    const first = this.points[0] && this.view.camera.toScreen(this.points[0].at);
    if (first && this.points.length > 2 && Math.hypot(first.x - screen.x, first.y - screen.y) < CLOSE_PX) {
      this.close();
      return;
    }
    this.points.push({ at: this.snapped(at, []), isCorner });
    this.showPoints();
    const left = 3 - this.points.length;
    this.hand.said.set(
      left > 0
        ? `Point ${this.points.length}; ${left} more at the least`
        : "Enter, or a click on the first point, closes the shape",
    );
  }

  /** Where a place goes that is near to a point or a border of another shape. */
  snapped(at: Point, without: readonly number[]): Point {
    const near = this.sheet.present?.snapped(at.x, at.y, [...without], this.reach) ?? [];
    return near.length === 0 ? at : { x: near[0]!, y: near[1]! };
  }

  private showPoints(): void {
    const places = this.points.map(({ at }) => at);
    this.overlay.outline(places.length > 2 ? pointsOf(Shapes.polygon(this.through())) : places, places);
  }

  private through(): string {
    const corners = this.points.flatMap(({ isCorner }, i) => (isCorner ? [i] : []));
    return Shapes.throughCorners(wayOf(this.points.map(({ at }) => at)), corners);
  }

  /** Closes a shape begun point by point; returns whether there was one. */
  close(): boolean {
    if (this.points.length < 3) {
      return false;
    }
    const shape = this.through();
    this.letGo();
    this.draw(() => shape);
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

  /** Gives up what is begun; returns whether something was. */
  letGo(): boolean {
    const isBegun = this.points.length > 0;
    this.points = [];
    this.cancel();
    return isBegun;
  }

  private divide(line: readonly Point[]): void {
    const middle = line[Math.floor(line.length / 2)]!;
    const number = this.at(this.view.camera.toScreen(middle));
    if (number === 0) {
      this.hand.said.set("Draw across a shape: the ground cannot be divided.");
      return;
    }
    const tolerance = TOLERANCE_PX / this.view.camera.scale;
    let parts = 0;
    let lines = 0;
    const think = (rules: BlockedIn) => {
      lines = rules.lineCount();
      const change = rules.divide(number, wayOf(line), this.reach, tolerance);
      parts = change.chosen.length;
      lines = change.lines.length - lines;
      return change;
    };
    if (this.sheet.make("Divided a shape", think)) {
      this.hand.said.set(
        parts > 1
          ? `Divided into ${parts} parts; the ends meet the border`
          : lines > 0
            ? "This line does not meet a border at both ends yet; a ring shows where"
            : "This line divides nothing",
      );
    }
  }

  cancel(): void {
    if (this.moving) {
      this.sheet.drop();
    }
    this.cancelPress();
    this.overlay.outline([]);
  }

  private cancelPress(): void {
    this.from = undefined;
    this.moving = undefined;
    this.line = [];
    this.overlay.draw([]);
    if (this.points.length === 0) {
      this.overlay.outline([]);
    }
  }

  private hasMoved(screen: Point): boolean {
    const from = this.from;
    return from !== undefined && Math.hypot(screen.x - from.x, screen.y - from.y) > CLICK_PX;
  }
}
