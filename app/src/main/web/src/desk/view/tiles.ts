import type { CellPlane, InkPlane } from "../model/planes";
import type { Pass } from "./pass";
import type { TileStrokes } from "./stroke-textures";
import { nearestTexture } from "./texture";

const MAX_TILE_PX = 4096;
/** Cells are also kept at a half, a quarter and an eighth of the size. */
const MAX_CELL_LEVEL = 3;

/** Where something is drawn, in sheet pixels. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The part of a layer that a texture can hold. */
export class Tile {
  /** Only while ink is coloured, or about to be. */
  strokes: TileStrokes | undefined;
  private ink: WebGLTexture;
  private cells: WebGLTexture;

  constructor(
    private readonly gl: WebGL2RenderingContext,
    readonly box: Box,
    cells: CellPlane,
    ink: InkPlane,
  ) {
    this.ink = inkTexture(gl, ink, box);
    this.cells = cellTexture(gl, cells, box);
  }

  /** @param ink only if it is another too */
  become(cells: CellPlane, ink?: InkPlane): void {
    this.gl.deleteTexture(this.cells);
    this.cells = cellTexture(this.gl, cells, this.box);
    if (ink) {
      this.showInk(ink);
    }
  }

  showInk(ink: InkPlane): void {
    this.gl.deleteTexture(this.ink);
    this.ink = inkTexture(this.gl, ink, this.box);
  }

  /** Takes over cells that differ in a box alone. */
  patch(cells: CellPlane, changed: Box): void {
    const box = common(this.box, changed);
    if (box.width <= 0 || box.height <= 0) {
      return;
    }
    this.gl.bindTexture(this.gl.TEXTURE_2D, this.cells);
    for (let level = 0; level < levelsOf(this.box); level++) {
      fillLevel(this.gl, cells, this.box, level, box);
    }
  }

  draw(pass: Pass): void {
    const { x, y, width, height } = this.box;
    pass.set("tile", x, y, width, height);
    pass.bind(0, "cells", this.cells);
    pass.bind(1, "ink", this.ink);
    this.strokes?.bind(pass);
    this.gl.drawArrays(this.gl.TRIANGLE_STRIP, 0, 4);
  }
}

/** Cuts planes that are larger than a texture may be into tiles. */
export function makeTiles(gl: WebGL2RenderingContext, cells: CellPlane, ink: InkPlane): Tile[] {
  const side = Math.min(MAX_TILE_PX, gl.getParameter(gl.MAX_TEXTURE_SIZE) as number);
  const tiles: Tile[] = [];
  for (let y = 0; y < cells.height; y += side) {
    for (let x = 0; x < cells.width; x += side) {
      const box = { x, y, width: Math.min(side, cells.width - x), height: Math.min(side, cells.height - y) };
      tiles.push(new Tile(gl, box, cells, ink));
    }
  }
  return tiles;
}

/** Lets textures be filled out of a box of a plane. */
export function fromBox(gl: WebGL2RenderingContext, rowLength: number, { x, y }: Box): void {
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
  const levels = levelsOf(box);
  const short = cells.numbers instanceof Uint16Array;
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MIN_FILTER, gl.NEAREST_MIPMAP_NEAREST);
  gl.texStorage2D(gl.TEXTURE_2D, levels, short ? gl.R16UI : gl.R32UI, box.width, box.height);
  for (let level = 0; level < levels; level++) {
    fillLevel(gl, cells, box, level, box);
  }
  return texture;
}

function levelsOf(box: Box): number {
  return 1 + Math.min(MAX_CELL_LEVEL, Math.floor(Math.log2(Math.max(box.width, box.height))));
}

/**
 * Brings the cells of a part of a tile to a level of its texture, which is bound: every second, fourth, eighth pixel of every such row.
 *
 * @param part within the tile
 */
function fillLevel(gl: WebGL2RenderingContext, cells: CellPlane, tile: Box, level: number, part: Box): void {
  const type = cells.numbers instanceof Uint16Array ? gl.UNSIGNED_SHORT : gl.UNSIGNED_INT;
  if (level === 0) {
    fromBox(gl, cells.width, part);
    const [x, y] = [part.x - tile.x, part.y - tile.y];
    gl.texSubImage2D(gl.TEXTURE_2D, 0, x, y, part.width, part.height, gl.RED_INTEGER, type, cells.numbers);
    fromTheStart(gl);
    return;
  }
  const n = 1 << level;
  const [columns, rows] = [Math.max(1, Math.floor(tile.width / n)), Math.max(1, Math.floor(tile.height / n))];
  const xStart = Math.ceil((part.x - tile.x) / n);
  const yStart = Math.ceil((part.y - tile.y) / n);
  const width = Math.min(columns, Math.ceil((part.x + part.width - tile.x) / n)) - xStart;
  const height = Math.min(rows, Math.ceil((part.y + part.height - tile.y) / n)) - yStart;
  if (width <= 0 || height <= 0) {
    return;
  }
  const numbers = new (cells.numbers instanceof Uint16Array ? Uint16Array : Uint32Array)(width * height);
  for (let y = 0, to = 0; y < height; y++) {
    let from = (tile.y + (yStart + y) * n) * cells.width + tile.x + xStart * n;
    for (const end = to + width; to < end; from += n) {
      numbers[to++] = cells.numbers[from]!;
    }
  }
  gl.pixelStorei(gl.UNPACK_ALIGNMENT, 1);
  gl.texSubImage2D(gl.TEXTURE_2D, level, xStart, yStart, width, height, gl.RED_INTEGER, type, numbers);
}

/** What two boxes have in common; without width or height if they have nothing. */
function common(a: Box, b: Box): Box {
  const [x, y] = [Math.max(a.x, b.x), Math.max(a.y, b.y)];
  const width = Math.min(a.x + a.width, b.x + b.width) - x;
  const height = Math.min(a.y + a.height, b.y + b.height) - y;
  return { x, y, width, height };
}

/** The level of a tile's cells whose pixels are at most half as large as those of the screen. */
export function cellLevel(scale: number): number {
  return Math.min(MAX_CELL_LEVEL, Math.max(0, Math.floor(Math.log2(0.5 / scale))));
}

/** With smaller copies of itself, so that ink stays even when zoomed out. */
function inkTexture(gl: WebGL2RenderingContext, ink: InkPlane, box: Box): WebGLTexture {
  const { width, height } = box;
  const texture = nearestTexture(gl);
  fromBox(gl, ink.width, box);
  const levels = Math.floor(Math.log2(Math.max(width, height))) + 1;
  gl.texStorage2D(gl.TEXTURE_2D, levels, gl.R8, width, height);
  gl.texSubImage2D(gl.TEXTURE_2D, 0, 0, 0, width, height, gl.RED, gl.UNSIGNED_BYTE, ink.density);
  fromTheStart(gl);
  gl.generateMipmap(gl.TEXTURE_2D);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MIN_FILTER, gl.LINEAR_MIPMAP_LINEAR);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MAG_FILTER, gl.LINEAR);
  return texture;
}
