import type { CellPlane, StrokePlane } from "../model/planes";
import { CellTable } from "./cell-table";
import type { Pass } from "./pass";
import { nearestTexture } from "./texture";
import { fromBox, type Box, type Tile } from "./tiles";

/** Bits of a stroke's mark. */
const POINTED_AT = 1;
const MEANT = 2;
const GATHERED = 4;

/** What the shaders look up to colour ink: the stroke of each pixel, tile by tile, and what each stroke shows. */
export class StrokeTextures {
  private readonly colours: CellTable;
  private readonly marks: CellTable;

  /** @param sheet the size of the sheet; the plane has a size of its own */
  constructor(
    gl: WebGL2RenderingContext,
    tiles: readonly Tile[],
    sheet: CellPlane,
    private readonly plane: StrokePlane,
  ) {
    const count = plane.solids.length;
    this.colours = new CellTable(gl, "colour", count);
    this.colours.bytes.fill(255);
    this.marks = new CellTable(gl, "number", count);
    tiles.forEach((tile) => (tile.strokes = new TileStrokes(gl, tile.box, sheet, plane)));
  }

  /** @param isWorn else the ink is shown as dense as it was drawn */
  setColour(stroke: number, [red, green, blue]: readonly number[], isWorn: boolean): void {
    const solid = isWorn ? this.plane.solids[stroke]! : 255;
    this.colours.bytes.set([red!, green!, blue!, solid], stroke * 4);
    this.colours.touch();
  }

  point(strokes: readonly number[]): void {
    this.marks.mark(POINTED_AT, strokes);
  }

  /** Marks the strokes that an act would be about. */
  mean(strokes: readonly number[]): void {
    this.marks.mark(MEANT, strokes);
  }

  gather(strokes: readonly number[]): void {
    this.marks.mark(GATHERED, strokes);
  }

  /** @param meetingPx how wide the disc is in which colours that meet are mixed, in sheet pixels; 0: they are not */
  bind(pass: Pass, meetingPx: number, taps: Float32Array): void {
    this.colours.upload();
    this.marks.upload();
    pass.bind(8, "inkColours", this.colours.texture);
    pass.bind(9, "strokeMarks", this.marks.texture);
    pass.set("meeting", meetingPx / 2);
    pass.setPairs("taps", taps);
  }

  dispose(): void {
    this.colours.dispose();
    this.marks.dispose();
  }
}

/** The strokes in one tile. */
export class TileStrokes {
  private readonly texture: WebGLTexture;
  private readonly placing: readonly [number, number, number, number];

  constructor(
    private readonly gl: WebGL2RenderingContext,
    tile: Box,
    sheet: CellPlane,
    plane: CellPlane,
  ) {
    const [across, down] = [plane.width / sheet.width, plane.height / sheet.height];
    const [x, y] = [Math.floor(tile.x * across), Math.floor(tile.y * down)];
    const width = Math.min(plane.width, Math.ceil((tile.x + tile.width) * across)) - x;
    const height = Math.min(plane.height, Math.ceil((tile.y + tile.height) * down)) - y;
    this.placing = [x, y, across, down];
    this.texture = nearestTexture(gl);
    gl.texStorage2D(gl.TEXTURE_2D, 1, gl.R16UI, width, height);
    fromBox(gl, plane.width, { x, y, width, height });
    const type = gl.UNSIGNED_SHORT;
    gl.texSubImage2D(gl.TEXTURE_2D, 0, 0, 0, width, height, gl.RED_INTEGER, type, plane.numbers);
    fromBox(gl, 0, { x: 0, y: 0, width: 0, height: 0 });
  }

  bind(pass: Pass): void {
    pass.bind(10, "strokes", this.texture);
    pass.set("strokePlacing", ...this.placing);
  }

  dispose(): void {
    this.gl.deleteTexture(this.texture);
  }
}
