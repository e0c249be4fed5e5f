import { SheetStrokes } from "rules";
import type { CellPlane, InkPlane, StrokePlane } from "../model/planes";
import type { Look, Rgba } from "../model/looks";
import type { Camera } from "../geometry/camera";
import type { Pass } from "./pass";
import type { Passes } from "./passes";
import { CellTable } from "./cell-table";
import { LookTextures } from "./look-textures";
import { StrokeTextures } from "./stroke-textures";
import { cellLevel, makeTiles, type Box, type Tile } from "./tiles";

/** How the sheet is looked at; none of it changes the sheet. */
export interface Looking {
  greys: boolean;
  /** 0 to 1 */
  ink: number;
  /** 0 to 1 */
  flats: number;
  /** Density from which on ink is shown black and all else as paper, 0 to 1; 0: ink is shown as it is. */
  inkCut: number;
  /** Whether other layers lie behind: what has no fill lets them through, and is not paper. */
  clear: boolean;
}

/** A ring that runs out from a point, inside the cells last given to {@link Renderer.ripple}. */
export interface Ripple {
  readonly x: number;
  readonly y: number;
  /** Sheet pixels. */
  readonly radius: number;
  /** 0 to 1 */
  readonly strength: number;
}

/** Bits of a cell's mark. */
const POINTED_AT = 1;
const RIPPLING = 2;
const GATHERED = 4;
const LIT = 8;
/** Regions thinner than this on screen, in CSS pixels, have no room for rings. */
const LEAST_RINGED_PX = 22;
/** Colours that run into each other over less than so many device pixels look no other than those that do not. */
const LEAST_SOFT_PX = 3;

/** Draws a layer with WebGL2: cell numbers and ink as textures, colours looked up in a small table. */
export class Renderer {
  private readonly gl: WebGL2RenderingContext;
  private readonly tiles: Tile[];
  private colours: CellTable;
  private marks: CellTable;
  private readonly looks: LookTextures;
  private pointed: Box | undefined;
  private rippled: Box | undefined;
  private gathered: Box | undefined;
  private isDimmed = false;
  private strokes: StrokeTextures | undefined;
  private meetingPx = 0;
  private readonly taps = Float32Array.from(SheetStrokes.meetingTaps());

  constructor(
    private readonly passes: Passes,
    cells: CellPlane,
    ink: InkPlane,
    cellCount: number,
    private strokePx: number,
  ) {
    const gl = passes.gl;
    this.gl = gl;
    this.colours = new CellTable(gl, "colour", cellCount);
    this.marks = new CellTable(gl, "number", cellCount);
    this.looks = new LookTextures(gl, cellCount);
    this.tiles = makeTiles(gl, cells, ink);
    gl.blendFuncSeparate(gl.SRC_ALPHA, gl.ONE_MINUS_SRC_ALPHA, gl.ONE, gl.ONE_MINUS_SRC_ALPHA);
  }

  setColour(cell: number, colour: Rgba): void {
    this.colours.bytes.set(colour, cell * 4);
    this.colours.touch();
  }

  /** Begins to show the colours of ink, or takes over other strokes; none is coloured yet. */
  showStrokes(sheet: CellPlane, plane: StrokePlane): void {
    this.dropStrokes();
    this.strokes = new StrokeTextures(this.gl, this.tiles, sheet, plane);
  }

  /** Shows other ink, of the same size. */
  showInk(ink: InkPlane): void {
    this.tiles.forEach((tile) => tile.showInk(ink));
  }

  /** Shows all ink black. */
  dropStrokes(): void {
    this.tiles.forEach((tile) => {
      tile.strokes?.dispose();
      tile.strokes = undefined;
    });
    this.strokes?.dispose();
    this.strokes = undefined;
  }

  /** @param isWorn whether it wears a swatch */
  setInkColour(stroke: number, colour: Rgba, isWorn: boolean): void {
    this.strokes?.setColour(stroke, colour, isWorn);
  }

  pointStrokes(strokes: readonly number[]): void {
    this.strokes?.point(strokes);
  }

  gatherStrokes(strokes: readonly number[]): void {
    this.strokes?.gather(strokes);
  }

  meanStrokes(strokes: readonly number[]): void {
    this.strokes?.mean(strokes);
  }

  /** How wide the disc is in which colours of ink that meet are mixed, in sheet pixels; 0: they are not. */
  setMeeting(px: number): void {
    this.meetingPx = px;
  }

  /** Lets a cell show a look of several colours, by its number; undefined: the colour of the cell. */
  setLook(cell: number, look: number | undefined): void {
    this.looks.set(cell, look);
  }

  /** Takes over looks as they are now. */
  learnLooks(all: readonly (Look | undefined)[], motifs: ReadonlyMap<string, ImageBitmap>): void {
    this.looks.learn(all, motifs);
  }

  /** Goes on with other cells; they have no colours yet. @param ink only if it is another too, of the same size */
  become(cells: CellPlane, cellCount: number, strokePx: number, ink?: InkPlane): void {
    this.strokePx = strokePx;
    this.colours.dispose();
    this.marks.dispose();
    this.looks.become(cellCount);
    this.colours = new CellTable(this.gl, "colour", cellCount);
    this.marks = new CellTable(this.gl, "number", cellCount);
    this.pointed = undefined;
    this.rippled = undefined;
    this.gathered = undefined;
    this.isDimmed = false;
    this.tiles.forEach((tile) => tile.become(cells, ink));
  }

  /** Goes on with more cells, which differ in some boxes alone. */
  patch(cells: CellPlane, cellCount: number, boxes: readonly Box[]): void {
    this.colours.grow(cellCount);
    this.marks.grow(cellCount);
    this.looks.grow(cellCount);
    boxes.forEach((box) => this.tiles.forEach((tile) => tile.patch(cells, box)));
  }

  /** Marks these cells, which lie in a box, and no others as pointed at. */
  point(cells: readonly number[], box: Box | undefined): void {
    this.pointed = box;
    this.marks.mark(POINTED_AT, cells);
  }

  /** Lets rings run in these cells, which lie in a box, and no others. */
  ripple(cells: readonly number[], box: Box | undefined): void {
    this.rippled = box;
    this.marks.mark(RIPPLING, cells);
  }

  /** Marks these cells, which lie in a box, and no others as gathered. */
  gather(cells: readonly number[], box: Box | undefined): void {
    this.gathered = box;
    this.marks.mark(GATHERED, cells);
  }

  /** Lights these cells up and dims all others; undefined: none is dimmed. */
  light(cells: readonly number[] | undefined): void {
    this.isDimmed = cells !== undefined;
    this.marks.mark(LIT, cells ?? []);
  }

  draw(camera: Camera, looking: Looking, ripple: Ripple | undefined): void {
    const gl = this.gl;
    this.colours.upload();
    this.marks.upload();
    gl.viewport(0, 0, this.passes.canvas.width, this.passes.canvas.height);
    gl.clearColor(0, 0, 0, 0);
    gl.clear(gl.COLOR_BUFFER_BIT);
    const sheet = this.sheetPass(camera, looking);
    this.begin(sheet, camera, looking);
    this.looks.bind(sheet);
    this.strokes?.bind(sheet, this.meetingPx, this.taps);
    sheet.set("inkCut", looking.inkCut);
    this.tiles.forEach((tile) => tile.draw(sheet));
    if (ripple && this.rippled) {
      this.begin(this.passes.ripple, camera, looking);
      this.passes.ripple.set("ripple", ripple.x, ripple.y, ripple.radius, ripple.strength);
      this.drawOver(this.passes.ripple, camera, this.rippled);
    }
    if (this.isDimmed) {
      this.begin(this.passes.dimmed, camera, looking);
      this.tiles.forEach((tile) => tile.draw(this.passes.dimmed));
    }
    if (this.gathered) {
      this.begin(this.passes.gathered, camera, looking);
      this.drawOver(this.passes.gathered, camera, this.gathered);
    }
    if (this.pointed) {
      this.begin(this.passes.outline, camera, looking);
      this.passes.outline.set("strokePx", this.strokePx);
      const thinnest = Math.min(this.pointed.width, this.pointed.height) - this.strokePx;
      this.passes.outline.set("hatched", thinnest * camera.scale < LEAST_RINGED_PX ? 1 : 0);
      this.drawOver(this.passes.outline, camera, this.pointed);
    }
  }

  private sheetPass(camera: Camera, looking: Looking): Pass {
    const ways = [
      ...(looking.clear ? ["CLEAR"] : []),
      ...(camera.scale * this.dense(camera) < 1 ? ["FINE"] : []),
      ...(looking.inkCut > 0 ? ["CUT"] : []),
      ...(looking.greys ? ["GREYS"] : []),
      ...(this.looks.areWorn ? ["LOOKS"] : []),
      ...(this.strokes ? ["LINES"] : []),
      ...(this.strokes && this.meetingPx * camera.scale * this.dense(camera) > LEAST_SOFT_PX ? ["SOFT"] : []),
    ];
    return this.passes.sheet(ways);
  }

  private begin(pass: Pass, camera: Camera, looking: Looking): void {
    const dense = this.dense(camera);
    pass.use();
    pass.set("placing", camera.scale * dense, camera.x * dense, camera.y * dense);
    pass.set("viewport", this.passes.canvas.width, this.passes.canvas.height);
    pass.set("inkShown", looking.ink);
    pass.set("flatsShown", looking.flats);
    pass.setWhole("cellLevel", cellLevel(camera.scale * dense));
    pass.bind(2, "colours", this.colours.texture);
    pass.bind(3, "marks", this.marks.texture);
  }

  /** Blends a pass over what is drawn, and touches nothing beside a box. */
  private drawOver(pass: Pass, camera: Camera, box: Box): void {
    const gl = this.gl;
    const dense = this.dense(camera);
    const { x, y } = camera.toScreen(box);
    const [width, height] = [box.width * camera.scale * dense, box.height * camera.scale * dense];
    gl.enable(gl.SCISSOR_TEST);
    gl.scissor(
      Math.floor(x * dense),
      Math.floor(this.passes.canvas.height - y * dense - height),
      Math.ceil(width) + 1,
      Math.ceil(height) + 1,
    );
    gl.enable(gl.BLEND);
    this.tiles.forEach((tile) => tile.draw(pass));
    gl.disable(gl.BLEND);
    gl.disable(gl.SCISSOR_TEST);
  }

  /** Device pixels a CSS pixel. */
  private dense(camera: Camera): number {
    return this.passes.canvas.width / camera.size.width;
  }
}
