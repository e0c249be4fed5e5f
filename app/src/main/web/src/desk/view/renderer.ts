import { strokeWidth, type CellPlane, type InkPlane } from "../model/planes";
import type { Rgba } from "../model/fills";
import type { Camera } from "./camera";
import type { Pass } from "./pass";
import type { Passes } from "./passes";

/** How the sheet is looked at; none of it changes the sheet. */
export interface Looking {
  greys: boolean;
  /** 0 to 1 */
  ink: number;
  /** 0 to 1 */
  flats: number;
  /** Density from which on ink is shown black and all else as paper, 0 to 1; 0: ink is shown as it is. */
  inkCut: number;
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

/** Where something is drawn, in sheet pixels. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface Tile extends Box {
  readonly cells: WebGLTexture;
  readonly ink: WebGLTexture;
}

const TABLE_WIDTH = 1024;
/** Bits of a cell's mark. */
const POINTED_AT = 1;
const RIPPLING = 2;
/** Regions thinner than this on screen, in CSS pixels, have no room for rings. */
const LEAST_RINGED_PX = 22;
const MAX_TILE_PX = 4096;
/** Cells are also kept at a half, a quarter and an eighth of the size. */
const MAX_CELL_LEVEL = 3;
/** Draws a layer with WebGL2: cell numbers and ink as textures, colours looked up in a small table. */
export class Renderer {
  private readonly gl: WebGL2RenderingContext;
  private readonly tiles: Tile[];
  private readonly colours: Uint8Array<ArrayBuffer>;
  private readonly marks: Uint8Array<ArrayBuffer>;
  private readonly colourTable: WebGLTexture;
  private readonly markTable: WebGLTexture;
  private coloursChanged = true;
  private marksChanged = true;
  private readonly strokePx: number;
  private pointed: Box | undefined;
  private rippled: Box | undefined;

  constructor(
    private readonly passes: Passes,
    cells: CellPlane,
    ink: InkPlane,
    cellCount: number,
  ) {
    const gl = passes.gl;
    this.gl = gl;
    const rows = Math.ceil(cellCount / TABLE_WIDTH);
    this.colours = new Uint8Array(rows * TABLE_WIDTH * 4);
    this.marks = new Uint8Array(rows * TABLE_WIDTH);
    this.colourTable = nearestTexture(gl);
    gl.texStorage2D(gl.TEXTURE_2D, 1, gl.RGBA8, TABLE_WIDTH, rows);
    this.markTable = nearestTexture(gl);
    gl.texStorage2D(gl.TEXTURE_2D, 1, gl.R8UI, TABLE_WIDTH, rows);
    this.tiles = makeTiles(gl, cells, ink);
    this.strokePx = strokeWidth(ink);
    gl.blendFuncSeparate(gl.SRC_ALPHA, gl.ONE_MINUS_SRC_ALPHA, gl.ZERO, gl.ONE);
  }

  setColour(cell: number, colour: Rgba): void {
    this.colours.set(colour, cell * 4);
    this.coloursChanged = true;
  }

  /** Marks these cells, which lie in a box, and no others as pointed at. */
  point(cells: readonly number[], box: Box | undefined): void {
    this.pointed = box;
    this.mark(POINTED_AT, cells);
  }

  /** Lets rings run in these cells, which lie in a box, and no others. */
  ripple(cells: readonly number[], box: Box | undefined): void {
    this.rippled = box;
    this.mark(RIPPLING, cells);
  }

  private mark(bit: number, cells: readonly number[]): void {
    for (let i = 0; i < this.marks.length; i++) {
      this.marks[i]! &= ~bit;
    }
    cells.forEach((cell) => (this.marks[cell]! |= bit));
    this.marksChanged = true;
  }

  draw(camera: Camera, looking: Looking, ripple: Ripple | undefined): void {
    const gl = this.gl;
    this.uploadTables();
    gl.viewport(0, 0, this.passes.canvas.width, this.passes.canvas.height);
    gl.clearColor(0, 0, 0, 0);
    gl.clear(gl.COLOR_BUFFER_BIT);
    const sheet = this.sheetPass(camera, looking);
    this.begin(sheet, camera, looking);
    sheet.set("inkCut", looking.inkCut);
    this.drawTiles(sheet);
    if (ripple && this.rippled) {
      this.begin(this.passes.ripple, camera, looking);
      this.passes.ripple.set("ripple", ripple.x, ripple.y, ripple.radius, ripple.strength);
      this.drawOver(this.passes.ripple, camera, this.rippled);
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
      ...(camera.scale * this.dense(camera) < 1 ? ["FINE"] : []),
      ...(looking.inkCut > 0 ? ["CUT"] : []),
      ...(looking.greys ? ["GREYS"] : []),
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
    pass.bind(2, "colours", this.colourTable);
    pass.bind(3, "marks", this.markTable);
  }

  private drawTiles(pass: Pass): void {
    for (const tile of this.tiles) {
      pass.set("tile", tile.x, tile.y, tile.width, tile.height);
      pass.bind(0, "cells", tile.cells);
      pass.bind(1, "ink", tile.ink);
      this.gl.drawArrays(this.gl.TRIANGLE_STRIP, 0, 4);
    }
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
    this.drawTiles(pass);
    gl.disable(gl.BLEND);
    gl.disable(gl.SCISSOR_TEST);
  }

  /** Device pixels a CSS pixel. */
  private dense(camera: Camera): number {
    return this.passes.canvas.width / camera.size.width;
  }

  private uploadTables(): void {
    const gl = this.gl;
    gl.pixelStorei(gl.UNPACK_ALIGNMENT, 1);
    if (this.coloursChanged) {
      const rows = this.colours.length / 4 / TABLE_WIDTH;
      gl.bindTexture(gl.TEXTURE_2D, this.colourTable);
      gl.texSubImage2D(gl.TEXTURE_2D, 0, 0, 0, TABLE_WIDTH, rows, gl.RGBA, gl.UNSIGNED_BYTE, this.colours);
      this.coloursChanged = false;
    }
    if (this.marksChanged) {
      const rows = this.marks.length / TABLE_WIDTH;
      gl.bindTexture(gl.TEXTURE_2D, this.markTable);
      gl.texSubImage2D(
        gl.TEXTURE_2D,
        0,
        0,
        0,
        TABLE_WIDTH,
        rows,
        gl.RED_INTEGER,
        gl.UNSIGNED_BYTE,
        this.marks,
      );
      this.marksChanged = false;
    }
  }
}

/** Cuts planes that are larger than a texture may be into tiles. */
function makeTiles(gl: WebGL2RenderingContext, cells: CellPlane, ink: InkPlane): Tile[] {
  const side = Math.min(MAX_TILE_PX, gl.getParameter(gl.MAX_TEXTURE_SIZE) as number);
  const tiles: Tile[] = [];
  for (let y = 0; y < cells.height; y += side) {
    for (let x = 0; x < cells.width; x += side) {
      const box = { x, y, width: Math.min(side, cells.width - x), height: Math.min(side, cells.height - y) };
      fromBox(gl, cells.width, box);
      const inkOfTile = inkTexture(gl, ink, box);
      tiles.push({ ...box, cells: cellTexture(gl, cells, box), ink: inkOfTile });
    }
  }
  return tiles;
}

/** Lets textures be filled out of a box of a plane. */
function fromBox(gl: WebGL2RenderingContext, rowLength: number, { x, y }: Box): void {
  gl.pixelStorei(gl.UNPACK_ALIGNMENT, 1);
  gl.pixelStorei(gl.UNPACK_ROW_LENGTH, rowLength);
  gl.pixelStorei(gl.UNPACK_SKIP_PIXELS, x);
  gl.pixelStorei(gl.UNPACK_SKIP_ROWS, y);
}

function fromTheStart(gl: WebGL2RenderingContext): void {
  fromBox(gl, 0, { x: 0, y: 0, width: 0, height: 0 });
}

/** With coarser copies of itself, so that a whole large page is drawn without reaching for all its pixels. */
function cellTexture(gl: WebGL2RenderingContext, cells: CellPlane, box: Box): WebGLTexture {
  const texture = nearestTexture(gl);
  const short = cells.numbers instanceof Uint16Array;
  const type = short ? gl.UNSIGNED_SHORT : gl.UNSIGNED_INT;
  const levels = 1 + Math.min(MAX_CELL_LEVEL, Math.floor(Math.log2(Math.max(box.width, box.height))));
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MIN_FILTER, gl.NEAREST_MIPMAP_NEAREST);
  gl.texStorage2D(gl.TEXTURE_2D, levels, short ? gl.R16UI : gl.R32UI, box.width, box.height);
  gl.texSubImage2D(gl.TEXTURE_2D, 0, 0, 0, box.width, box.height, gl.RED_INTEGER, type, cells.numbers);
  fromTheStart(gl);
  for (let level = 1; level < levels; level++) {
    const { width, height, numbers } = everyNth(cells, box, 1 << level);
    gl.texSubImage2D(gl.TEXTURE_2D, level, 0, 0, width, height, gl.RED_INTEGER, type, numbers);
  }
  return texture;
}

/** The cell numbers of every nth pixel of every nth row of a box. */
function everyNth(cells: CellPlane, box: Box, n: number): CellPlane {
  const width = Math.max(1, Math.floor(box.width / n));
  const height = Math.max(1, Math.floor(box.height / n));
  const numbers = new (cells.numbers instanceof Uint16Array ? Uint16Array : Uint32Array)(width * height);
  for (let y = 0, to = 0; y < height; y++) {
    let from = (box.y + y * n) * cells.width + box.x;
    for (const end = to + width; to < end; from += n) {
      numbers[to++] = cells.numbers[from]!;
    }
  }
  return { width, height, numbers };
}

/** The level whose pixels are at most half as large as those of the screen. */
function cellLevel(scale: number): number {
  return Math.min(MAX_CELL_LEVEL, Math.max(0, Math.floor(Math.log2(0.5 / scale))));
}

/** With smaller copies of itself, so that ink stays even when zoomed out. */
function inkTexture(gl: WebGL2RenderingContext, ink: InkPlane, { width, height }: Box): WebGLTexture {
  const texture = nearestTexture(gl);
  const levels = Math.floor(Math.log2(Math.max(width, height))) + 1;
  gl.texStorage2D(gl.TEXTURE_2D, levels, gl.R8, width, height);
  gl.texSubImage2D(gl.TEXTURE_2D, 0, 0, 0, width, height, gl.RED, gl.UNSIGNED_BYTE, ink.density);
  gl.generateMipmap(gl.TEXTURE_2D);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MIN_FILTER, gl.LINEAR_MIPMAP_LINEAR);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MAG_FILTER, gl.LINEAR);
  return texture;
}

function nearestTexture(gl: WebGL2RenderingContext): WebGLTexture {
  const texture = gl.createTexture();
  gl.bindTexture(gl.TEXTURE_2D, texture);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MIN_FILTER, gl.NEAREST);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MAG_FILTER, gl.NEAREST);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_WRAP_S, gl.CLAMP_TO_EDGE);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_WRAP_T, gl.CLAMP_TO_EDGE);
  return texture;
}
