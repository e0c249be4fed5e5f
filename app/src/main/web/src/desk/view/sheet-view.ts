import type { Fills } from "../model/fills";
import { packed, unpacked, type Rgba } from "../model/looks";
import { cellsAmong, isShadow, isStroke, shadowOf, strokeOf, strokesAmong } from "../model/places";
import type { CellMap, InkPlane, StrokePlane } from "../model/planes";
import type { Shadow } from "../model/shadows";
import { Camera, type Point } from "../geometry/camera";
import type { MotifPictures } from "./motif-pictures";
import type { Passes } from "./passes";
import type { Box } from "./tiles";
import { Renderer, type Looking, type Ripple } from "./renderer";
import { ShadowedCells, type Around } from "./shadowed-cells";

const RIPPLE_MS = 180;
const RIPPLE_PX = 90;
/** How large a place is shown when somebody goes there, and no closer than this scale. */
const CLOSE_PX = 46;
const CLOSEST = 4;

/** The sheet on screen. Draws at the next frame whenever something has changed, and not otherwise. */
export class SheetView {
  readonly camera: Camera;
  readonly looking: Looking = { greys: false, ink: 1, flats: 1, inkCut: 0, clear: false };

  private readonly canvas: HTMLCanvasElement;
  private readonly renderer: Renderer;
  private readonly calm = matchMedia("(prefers-reduced-motion: reduce)");
  private asked = false;
  private isFitted = true;
  private ripple: { at: Point; startMs: number } | undefined;
  private showFirst = () => {};
  /** Done when the sheet has been drawn once. */
  readonly firstPicture = new Promise<void>((resolve) => (this.showFirst = resolve));
  private readonly moved: (() => void)[] = [];
  private shadowed: ShadowedCells;
  private shadows: readonly Shadow[] = [];
  /** Pieces from this number on have no colours yet. */
  private painted = 0;
  private around: Around | undefined;
  private pointed: readonly number[] = [];

  constructor(
    passes: Passes,
    private map: CellMap,
    ink: InkPlane,
    private readonly fills: Fills,
    motifs: MotifPictures,
  ) {
    this.canvas = passes.canvas;
    this.camera = new Camera(map.plane);
    this.renderer = new Renderer(passes, map.plane, ink, map.layer.count(), map.layer.strokePx());
    this.shadowed = new ShadowedCells(map.plane, map.layer, 1);
    fills.onChange((place) => {
      if (isStroke(place)) {
        this.showStroke(place);
      } else if (isShadow(place)) {
        this.shadowed.cellsUnder(shadowOf(place)).forEach((cell) => this.showPieces(cell));
      } else {
        this.renderer.setColour(place, fills.colourOf(place));
        this.renderer.setLook(place, fills.lookOf(place));
        this.showPieces(place);
      }
      this.draw();
    });
    const learn = () => {
      this.renderer.learnLooks(fills.looks.all, motifs.pictures);
      this.draw();
    };
    fills.looks.changed.listen(() => {
      motifs.need(fills.looks.all);
      learn();
    });
    motifs.came.listen(learn);
    new ResizeObserver(() => this.resize()).observe(this.canvas);
    this.resize();
  }

  /** Begins to show the colours of ink, with strokes that may be others than before. */
  showStrokes(plane: StrokePlane): void {
    this.renderer.showStrokes(this.map.plane, plane);
    this.fills.strokes().forEach((place) => this.showStroke(place));
    this.draw();
  }

  private showStroke(place: number): void {
    const isWorn = this.fills.worn(place)[3] > 0;
    this.renderer.setInkColour(strokeOf(place), this.fills.inkColourOf(place), isWorn);
  }

  /** Lays shadows and rims over the cells, in the place of those before; also when what they follow from is another. */
  showShadows(shadows: readonly Shadow[], around: Around): void {
    const before = this.shadows;
    this.shadows = shadows;
    this.around = around;
    const boxes = this.shadowed.lay(shadows, around);
    if (boxes.length > 0) {
      this.renderer.patch(this.shadowed.plane, this.shadowed.count, boxes);
    }
    const faces = new Map(before.map((each) => [each.number, faceOf(each)]));
    const others = shadows.filter((each) => faces.get(each.number) !== faceOf(each));
    const cells = new Set(others.flatMap(({ number }) => this.shadowed.cellsUnder(number)));
    for (let piece = Math.max(this.painted, this.shadowed.first); piece < this.shadowed.count; piece++) {
      cells.add(this.shadowed.root(piece));
    }
    this.painted = this.shadowed.count;
    cells.forEach((cell) => this.showPieces(cell));
    this.draw();
  }

  /** The cells that a shadow is seen on. */
  cellsUnderShadow(shadow: number): number[] {
    return this.shadowed.cellsUnder(shadow);
  }

  /** The shadows that can be made stronger, of those that lie on some cells. */
  shadingOn(cells: readonly number[]): number[] {
    return this.shadowed.shadingOn(cells);
  }

  /** Whether there are more shadows than can be shown. */
  get areTooManyShadows(): boolean {
    return this.shadowed.isFull;
  }

  private showPieces(cell: number): void {
    const pieces = this.shadowed.piecesOf(cell);
    if (pieces.length === 0) {
      return;
    }
    const own = this.fills.underneath(cell);
    const look = this.fills.lookOf(cell);
    const shown = new Map<number, Rgba>([[cell, own ?? this.fills.colourOf(cell)]]);
    const looks = new Map([[cell, look]]);
    for (const piece of pieces) {
      const under = this.shadowed.under(piece);
      const wearing = this.fills.shadowColour(this.shadowed.topmost(piece));
      const over = (colours: ArrayLike<number>) => this.shadowed.over(piece, colours, wearing);
      const colour = own ? unpacked(over([packed(shown.get(under)!)])[0]!) : shown.get(under)!;
      shown.set(piece, colour);
      this.renderer.setColour(piece, own ? this.fills.seen(colour) : colour);
      const underLook = looks.get(under);
      if (underLook === undefined) {
        this.fills.looks.underive(piece);
      } else {
        looks.set(piece, this.fills.looks.derive(piece, underLook, over));
      }
      this.renderer.setLook(piece, looks.get(piece));
    }
  }

  /** Shows other ink than the one that the layer has, of the same size. */
  showInk(ink: InkPlane): void {
    this.renderer.showInk(ink);
    this.draw();
  }

  /** Shows all ink black: there are no strokes any more. */
  dropStrokes(): void {
    this.renderer.dropStrokes();
    this.draw();
  }

  /** Marks these strokes as the ones pointed at. */
  pointStrokes(strokes: readonly number[]): void {
    this.renderer.pointStrokes(strokes);
    this.draw();
  }

  /** Marks the strokes that an act would be about. */
  meanStrokes(strokes: readonly number[]): void {
    this.renderer.meanStrokes(strokes);
    this.draw();
  }

  /** @param meetingPx how far colours of ink that meet run into each other, in sheet pixels; 0: not at all */
  letInkMeet(meetingPx: number): void {
    this.renderer.setMeeting(meetingPx);
    this.draw();
  }

  /** Goes on with other cells; their colours come with their fills. @param ink only if it is another too, of the same size */
  become(map: CellMap, ink?: InkPlane): void {
    this.map = map;
    this.shadowed = new ShadowedCells(map.plane, map.layer, 1);
    this.painted = 0;
    this.renderer.become(map.plane, map.layer.count(), map.layer.strokePx(), ink);
    this.shadows = [];
    this.draw();
  }

  /** Goes on with more cells, which differ in some boxes alone. */
  patch(map: CellMap, boxes: readonly Box[]): void {
    this.map = map;
    const [before, around] = [this.shadowed, this.around];
    let changed = boxes;
    if (around && !before.grow(map.layer, boxes, this.shadows, around)) {
      // No numbers are left below those of the pieces: they begin anew.
      this.shadowed = new ShadowedCells(map.plane, map.layer, 1);
      this.painted = 0;
      changed = [...boxes, ...before.boxes, ...this.shadowed.lay(this.shadows, around)];
    }
    this.renderer.patch(this.shadowed.plane, this.shadowed.count, changed);
    this.draw();
  }

  /** Calls back whenever the sheet lies elsewhere on the screen. */
  onMove(moved: () => void): void {
    this.moved.push(moved);
  }

  /** The cell at a screen position; undefined beside the sheet. */
  cellAt(screen: Point): number | undefined {
    return this.cellOfPixel(this.camera.toSheet(screen));
  }

  /** The cell at a place of the sheet; undefined beside it. */
  cellOfPixel({ x, y }: Point): number | undefined {
    const { width, height, numbers } = this.map.plane;
    const inside = x >= 0 && y >= 0 && x < width && y < height;
    return inside ? numbers[Math.floor(y) * width + Math.floor(x)] : undefined;
  }

  /** Outlines these cells as the ones pointed at. */
  point(cells: readonly number[]): void {
    this.pointed = cells;
    this.renderer.point(this.shadowed.withPieces(cells), this.boxOf(cells));
    this.draw();
  }

  /** Shows cells and strokes as gathered. */
  gather(places: readonly number[]): void {
    const cells = cellsAmong(places);
    this.renderer.gather(this.shadowed.withPieces(cells), this.boxOf(cells));
    this.renderer.gatherStrokes(strokesAmong(places));
    this.draw();
  }

  /** Lights cells up and dims the rest, or marks strokes; undefined ends it. */
  light(places: readonly number[] | undefined): void {
    const cells = cellsAmong(places ?? []);
    const strokes = strokesAmong(places ?? []);
    const lit = places && (cells.length > 0 || strokes.length === 0);
    this.renderer.light(lit ? this.shadowed.withPieces(cells) : undefined);
    this.renderer.meanStrokes(strokes);
    this.draw();
  }

  /** Paints what is seen as it is just now, without what marks the region pointed at. @param others ids of the layers beside that are seen too */
  paintOn(context: CanvasRenderingContext2D, others: readonly string[]): void {
    const { width, height } = this.camera.size;
    this.renderer.point([], undefined);
    this.renderer.draw(this.camera, this.looking, undefined);
    const beside = others.map((id) => document.querySelector<HTMLImageElement>(`#${id}:not([hidden]) img`));
    const paint = (image: HTMLImageElement | null | undefined) => {
      if (image?.complete && image.naturalWidth > 0) {
        const [box, view] = [image.getBoundingClientRect(), this.canvas.getBoundingClientRect()];
        context.drawImage(image, box.x - view.x, box.y - view.y, box.width, box.height);
      }
    };
    paint(beside[0]);
    context.drawImage(this.canvas, 0, 0, width, height);
    paint(beside[1]);
    this.renderer.point(this.shadowed.withPieces(this.pointed), this.boxOf(this.pointed));
    this.draw();
  }

  startRipple(cells: readonly number[], screen: Point): void {
    if (!this.calm.matches) {
      this.renderer.ripple(this.shadowed.withPieces(cells), this.boxOf(cells));
      this.ripple = { at: this.camera.toSheet(screen), startMs: performance.now() };
      this.draw();
    }
  }

  private boxOf(numbers: readonly number[]): Box | undefined {
    const cells = numbers.map((number) => this.map.layer.cell(number));
    if (cells.length === 0) {
      return undefined;
    }
    const left = Math.min(...cells.map((cell) => cell.x));
    const top = Math.min(...cells.map((cell) => cell.y));
    const right = Math.max(...cells.map((cell) => cell.x + cell.width));
    const bottom = Math.max(...cells.map((cell) => cell.y + cell.height));
    return { x: left, y: top, width: right - left, height: bottom - top };
  }

  look(change: Partial<Looking>): void {
    Object.assign(this.looking, change);
    this.canvas.dataset["greys"] = String(this.looking.greys);
    this.draw();
  }

  /** Whether the whole sheet is shown, as large as it goes. */
  get fitted(): boolean {
    return this.isFitted;
  }

  /** The sheet position in the middle of the view. */
  get middle(): Point {
    return this.camera.toSheet(this.camera.middle);
  }

  /** The part of the sheet in view, as shares of its size; parts beside the sheet are cut off. */
  get shown(): { x: number; y: number; width: number; height: number } {
    const { width, height } = this.map.plane;
    const from = this.camera.toSheet({ x: 0, y: 0 });
    const to = this.camera.toSheet({ x: this.camera.size.width, y: this.camera.size.height });
    const within = (value: number) => Math.min(1, Math.max(0, value));
    const [x, y] = [within(from.x / width), within(from.y / height)];
    return { x, y, width: within(to.x / width) - x, height: within(to.y / height) - y };
  }

  /** Whether parts of the sheet are out of view. */
  get reachesOut(): boolean {
    const { width, height } = this.shown;
    return width < 0.999 || height < 0.999;
  }

  /** Puts a place, given as shares of the sheet's size, in the middle. */
  centreOn(x: number, y: number): void {
    const { width, height } = this.map.plane;
    this.lookAt({ x: x * width, y: y * height }, this.camera.scale);
  }

  /** Puts a sheet position in the middle, at a scale. */
  lookAt(sheet: Point, scale: number): void {
    this.camera.zoomTo(scale, this.camera.middle);
    const at = this.camera.toScreen(sheet);
    const middle = this.camera.middle;
    this.camera.panBy(middle.x - at.x, middle.y - at.y);
    this.afterMove(false);
  }

  /** Shows a place so close that a span around it is well seen; a view that does so already stays. */
  showClose(place: Point, spanPx: number): void {
    const at = this.camera.toScreen(place);
    const { width, height } = this.camera.size;
    const inView = at.x > 60 && at.y > 60 && at.x < width - 60 && at.y < height - 60;
    const scale = Math.max(this.camera.scale, CLOSE_PX / spanPx);
    if (!inView || scale > 1.5 * this.camera.scale) {
      this.lookAt(place, Math.min(scale, CLOSEST));
    }
  }

  fit(): void {
    this.camera.fit();
    this.afterMove(true);
  }

  zoomBy(factor: number, at: Point = this.camera.middle): void {
    this.camera.zoomBy(factor, at);
    this.afterMove(false);
  }

  zoomTo(scale: number, at: Point = this.camera.middle): void {
    this.camera.zoomTo(scale, at);
    this.afterMove(false);
  }

  panBy(dx: number, dy: number): void {
    this.camera.panBy(dx, dy);
    this.afterMove(false);
  }

  /** Pans as little as needed to show a place. */
  reveal(place: Point): void {
    this.camera.reveal(place, 60);
    this.afterMove(this.isFitted);
  }

  private afterMove(fitted: boolean): void {
    this.isFitted = fitted;
    // Where the sheet lies, for whoever drives the desk from outside.
    const { scale, x, y } = this.camera;
    this.canvas.dataset["view"] = JSON.stringify({ scale, x, y });
    this.moved.forEach((tell) => tell());
    this.draw();
  }

  private resize(): void {
    const { clientWidth: width, clientHeight: height } = this.canvas;
    if (width === 0 || height === 0) {
      return;
    }
    this.canvas.width = Math.round(width * devicePixelRatio);
    this.canvas.height = Math.round(height * devicePixelRatio);
    this.camera.resize({ width, height });
    if (this.isFitted) {
      this.camera.fit();
    }
    this.afterMove(this.isFitted);
  }

  private draw(): void {
    if (!this.asked) {
      this.asked = true;
      requestAnimationFrame((now) => this.frame(now));
    }
  }

  private frame(now: number): void {
    this.asked = false;
    this.renderer.draw(this.camera, this.looking, this.rippleAt(now));
    this.showFirst();
  }

  private rippleAt(now: number): Ripple | undefined {
    if (!this.ripple) {
      return undefined;
    }
    const part = Math.max(0, now - this.ripple.startMs) / RIPPLE_MS;
    if (part >= 1) {
      this.ripple = undefined;
      return undefined;
    }
    this.draw();
    const { at } = this.ripple;
    return {
      x: at.x,
      y: at.y,
      radius: (part * RIPPLE_PX) / this.camera.scale,
      strength: 0.7 * (1 - part),
    };
  }
}

/** What of a shadow its colour follows from, beside what it wears and where it lies. */
function faceOf({ mode, darker, strength, form }: Shadow): string {
  return `${mode} ${darker} ${strength} ${form.split(" ")[0]}`;
}
