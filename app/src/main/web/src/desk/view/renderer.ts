import { strokeWidth, type CellPlane, type InkPlane } from "../model/planes";
import type { Rgba } from "../model/fills";
import type { Camera } from "./camera";
import { FRAGMENT, VERTEX } from "./shaders";

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

interface Tile {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly cells: WebGLTexture;
  readonly ink: WebGLTexture;
}

const TABLE_WIDTH = 1024;
/** Bits of a cell's mark. */
const POINTED_AT = 1;
const RIPPLING = 2;
const MAX_TILE_PX = 4096;
const UNIFORMS = [
  ...["tile", "placing", "viewport", "cells", "ink", "colours", "marks"],
  ...["ripple", "greys", "inkShown", "flatsShown", "inkCut", "strokePx"],
] as const;

/** Draws a layer with WebGL2: cell numbers and ink as textures, colours looked up in a small table. */
export class Renderer {
  private readonly gl: WebGL2RenderingContext;
  private readonly uniforms: Record<(typeof UNIFORMS)[number], WebGLUniformLocation | null>;
  private readonly tiles: Tile[];
  private readonly colours: Uint8Array<ArrayBuffer>;
  private readonly marks: Uint8Array<ArrayBuffer>;
  private readonly colourTable: WebGLTexture;
  private readonly markTable: WebGLTexture;
  private coloursChanged = true;
  private marksChanged = true;

  /** @throws Error if the browser has no WebGL2 */
  constructor(
    private readonly canvas: HTMLCanvasElement,
    cells: CellPlane,
    ink: InkPlane,
    cellCount: number,
  ) {
    const gl = canvas.getContext("webgl2", { alpha: true, antialias: false, premultipliedAlpha: true });
    if (!gl) {
      throw new Error("This browser does not offer WebGL2, which the desk draws with.");
    }
    this.gl = gl;
    const program = link(gl);
    gl.useProgram(program);
    this.uniforms = Object.fromEntries(
      UNIFORMS.map((name) => [name, gl.getUniformLocation(program, name)]),
    ) as typeof this.uniforms;
    const rows = Math.ceil(cellCount / TABLE_WIDTH);
    this.colours = new Uint8Array(rows * TABLE_WIDTH * 4);
    this.marks = new Uint8Array(rows * TABLE_WIDTH);
    this.colourTable = nearestTexture(gl);
    gl.texStorage2D(gl.TEXTURE_2D, 1, gl.RGBA8, TABLE_WIDTH, rows);
    this.markTable = nearestTexture(gl);
    gl.texStorage2D(gl.TEXTURE_2D, 1, gl.R8UI, TABLE_WIDTH, rows);
    this.tiles = makeTiles(gl, cells, ink);
    gl.uniform1f(this.uniforms.strokePx, strokeWidth(ink));
  }

  setColour(cell: number, colour: Rgba): void {
    this.colours.set(colour, cell * 4);
    this.coloursChanged = true;
  }

  /** Marks these cells and no others as pointed at. */
  point(cells: readonly number[]): void {
    this.mark(POINTED_AT, cells);
  }

  /** Lets rings run in these cells and no others. */
  ripple(cells: readonly number[]): void {
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
    const uniforms = this.uniforms;
    const dense = this.canvas.width / camera.size.width;
    this.uploadTables();
    gl.viewport(0, 0, this.canvas.width, this.canvas.height);
    gl.clearColor(0, 0, 0, 0);
    gl.clear(gl.COLOR_BUFFER_BIT);
    gl.uniform3f(uniforms.placing, camera.scale * dense, camera.x * dense, camera.y * dense);
    gl.uniform2f(uniforms.viewport, this.canvas.width, this.canvas.height);
    gl.uniform1f(uniforms.greys, looking.greys ? 1 : 0);
    gl.uniform1f(uniforms.inkShown, looking.ink);
    gl.uniform1f(uniforms.flatsShown, looking.flats);
    gl.uniform1f(uniforms.inkCut, looking.inkCut);
    gl.uniform4f(uniforms.ripple, ripple?.x ?? 0, ripple?.y ?? 0, ripple?.radius ?? 0, ripple?.strength ?? 0);
    bind(gl, 2, uniforms.colours, this.colourTable);
    bind(gl, 3, uniforms.marks, this.markTable);
    for (const tile of this.tiles) {
      gl.uniform4f(uniforms.tile, tile.x, tile.y, tile.width, tile.height);
      bind(gl, 0, uniforms.cells, tile.cells);
      bind(gl, 1, uniforms.ink, tile.ink);
      gl.drawArrays(gl.TRIANGLE_STRIP, 0, 4);
    }
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

function link(gl: WebGL2RenderingContext): WebGLProgram {
  const program = gl.createProgram();
  for (const [kind, source] of [
    [gl.VERTEX_SHADER, VERTEX],
    [gl.FRAGMENT_SHADER, FRAGMENT],
  ] as const) {
    const shader = gl.createShader(kind)!;
    gl.shaderSource(shader, source);
    gl.compileShader(shader);
    gl.attachShader(program, shader);
  }
  gl.linkProgram(program);
  if (!gl.getProgramParameter(program, gl.LINK_STATUS)) {
    const logs = gl.getAttachedShaders(program)!.map((shader) => gl.getShaderInfoLog(shader));
    throw new Error(`The desk's shaders do not link: ${gl.getProgramInfoLog(program)} ${logs.join(" ")}`);
  }
  return program;
}

/** Cuts planes that are larger than a texture may be into tiles. */
function makeTiles(gl: WebGL2RenderingContext, cells: CellPlane, ink: InkPlane): Tile[] {
  const side = Math.min(MAX_TILE_PX, gl.getParameter(gl.MAX_TEXTURE_SIZE) as number);
  const tiles: Tile[] = [];
  for (let y = 0; y < cells.height; y += side) {
    for (let x = 0; x < cells.width; x += side) {
      const box = { x, y, width: Math.min(side, cells.width - x), height: Math.min(side, cells.height - y) };
      gl.pixelStorei(gl.UNPACK_ALIGNMENT, 1);
      gl.pixelStorei(gl.UNPACK_ROW_LENGTH, cells.width);
      gl.pixelStorei(gl.UNPACK_SKIP_PIXELS, x);
      gl.pixelStorei(gl.UNPACK_SKIP_ROWS, y);
      tiles.push({ ...box, cells: cellTexture(gl, cells, box), ink: inkTexture(gl, ink, box) });
    }
  }
  for (const setting of [gl.UNPACK_ROW_LENGTH, gl.UNPACK_SKIP_PIXELS, gl.UNPACK_SKIP_ROWS]) {
    gl.pixelStorei(setting, 0);
  }
  return tiles;
}

type TileSize = Pick<Tile, "width" | "height">;

function cellTexture(
  gl: WebGL2RenderingContext,
  cells: CellPlane,
  { width, height }: TileSize,
): WebGLTexture {
  const texture = nearestTexture(gl);
  const short = cells.numbers instanceof Uint16Array;
  const type = short ? gl.UNSIGNED_SHORT : gl.UNSIGNED_INT;
  gl.texStorage2D(gl.TEXTURE_2D, 1, short ? gl.R16UI : gl.R32UI, width, height);
  gl.texSubImage2D(gl.TEXTURE_2D, 0, 0, 0, width, height, gl.RED_INTEGER, type, cells.numbers);
  return texture;
}

/** With smaller copies of itself, so that ink stays even when zoomed out. */
function inkTexture(gl: WebGL2RenderingContext, ink: InkPlane, { width, height }: TileSize): WebGLTexture {
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

function bind(
  gl: WebGL2RenderingContext,
  unit: number,
  uniform: WebGLUniformLocation | null,
  texture: WebGLTexture,
): void {
  gl.activeTexture(gl.TEXTURE0 + unit);
  gl.bindTexture(gl.TEXTURE_2D, texture);
  gl.uniform1i(uniform, unit);
}
