import type { Fills } from "../model/fills";
import { cellsAmong, isStroke, strokeOf, strokesAmong } from "../model/places";
import type { CellMap, InkPlane, StrokePlane } from "../model/planes";
import { Camera, type Point } from "./camera";
import type { MotifPictures } from "./motif-pictures";
import type { Passes } from "./passes";
import type { Box } from "./tiles";
import { Renderer, type Looking, type Ripple } from "./renderer";

const RIPPLE_MS = 180;
const RIPPLE_PX = 90;
/** How large a place is shown when somebody goes there, and no closer than this scale. */
const CLOSE_PX = 46;
const CLOSEST = 4;

/** The sheet on screen. Draws at the next frame whenever something has changed, and not otherwise. */
export class SheetView {
  readonly camera: Camera;
  readonly looking: Looking = { greys: false, ink: 1, flats: 1, inkCut: 0 };

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
    fills.onChange((place) => {
      if (isStroke(place)) {
        this.showInk(place);
      } else {
        this.renderer.setColour(place, fills.colourOf(place));
        this.renderer.setLook(place, fills.lookOf(place));
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
    this.fills.strokes().forEach((place) => this.showInk(place));
    this.draw();
  }

  private showInk(place: number): void {
    const isWorn = this.fills.worn(place)[3] > 0;
    this.renderer.setInkColour(strokeOf(place), this.fills.inkColourOf(place), isWorn);
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
    this.renderer.become(map.plane, map.layer.count(), map.layer.strokePx(), ink);
    this.draw();
  }

  /** Goes on with more cells, which differ in some boxes alone. */
  patch(map: CellMap, boxes: readonly Box[]): void {
    this.map = map;
    this.renderer.patch(map.plane, map.layer.count(), boxes);
    this.draw();
  }

  /** Calls back whenever the sheet lies elsewhere on the screen. */
  onMove(moved: () => void): void {
    this.moved.push(moved);
  }

  /** The cell at a screen position; undefined beside the sheet. */
  cellAt(screen: Point): number | undefined {
    const { x, y } = this.camera.toSheet(screen);
    const { width, height, numbers } = this.map.plane;
    const inside = x >= 0 && y >= 0 && x < width && y < height;
    return inside ? numbers[Math.floor(y) * width + Math.floor(x)] : undefined;
  }

  /** Outlines these cells as the ones pointed at. */
  point(cells: readonly number[]): void {
    this.renderer.point(cells, this.boxOf(cells));
    this.draw();
  }

  /** Shows cells and strokes as gathered. */
  gather(places: readonly number[]): void {
    const cells = cellsAmong(places);
    this.renderer.gather(cells, this.boxOf(cells));
    this.renderer.gatherStrokes(strokesAmong(places));
    this.draw();
  }

  /** Lights cells up and dims the rest, or marks strokes; undefined ends it. */
  light(places: readonly number[] | undefined): void {
    const cells = cellsAmong(places ?? []);
    const strokes = strokesAmong(places ?? []);
    this.renderer.light(places && (cells.length > 0 || strokes.length === 0) ? cells : undefined);
    this.renderer.meanStrokes(strokes);
    this.draw();
  }

  startRipple(cells: readonly number[], screen: Point): void {
    if (!this.calm.matches) {
      this.renderer.ripple(cells, this.boxOf(cells));
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
