import { STEPS, type Look } from "../model/looks";
import { CellTable } from "./cell-table";
import type { Pass } from "./pass";
import { nearestTexture } from "./texture";

/** Places along the side of a motif; see Motif in the core. */
const MOTIF_PX = 256;
const KINDS = { linear: 0, radial: 1, pattern: 2 } as const;

/** What the shaders need to draw fills of several colours. */
export class LookTextures {
  /** Whether any cell wears one. */
  areWorn = false;
  private cells: CellTable;
  private colours: WebGLTexture | undefined;
  private places: WebGLTexture | undefined;
  private motifs: WebGLTexture | undefined;
  private layers: readonly string[] = [];

  constructor(
    private readonly gl: WebGL2RenderingContext,
    cellCount: number,
  ) {
    this.cells = new CellTable(gl, "colour", cellCount);
  }

  become(cellCount: number): void {
    this.cells.dispose();
    this.cells = new CellTable(this.gl, "colour", cellCount);
  }

  grow(cellCount: number): void {
    this.cells.grow(cellCount);
  }

  set(cell: number, look: number | undefined): void {
    const number = look === undefined ? 0 : look + 1;
    this.cells.bytes.set([number & 255, number >> 8, 0, 0], 4 * cell);
    this.cells.touch();
  }

  learn(all: readonly (Look | undefined)[], motifs: ReadonlyMap<string, ImageBitmap>): void {
    this.areWorn = all.some((look) => look !== undefined);
    if (!this.areWorn) {
      return;
    }
    const names = [...motifs.keys()];
    if (!this.motifs || names.join() !== this.layers.join()) {
      this.gl.deleteTexture(this.motifs ?? null);
      this.motifs = this.motifTexture([...motifs.values()]);
      this.layers = names;
    }
    const colours = new Uint8Array(4 * STEPS * all.length);
    const places = new Float32Array(8 * all.length);
    all.forEach((look, row) => {
      if (look) {
        colours.set(look.colours, 4 * STEPS * row);
        const { made } = look;
        const { x1, y1, x2, y2 } = made.span;
        const layer = made.kind === "pattern" ? this.layers.indexOf(made.motif) : 0;
        const seen = made.kind === "pattern" ? Number(made.mirrored) + 2 * Number(made.flipped) : 0;
        const height = made.kind === "pattern" ? made.height / 100 : 1;
        places.set([x1, y1, x2, y2, KINDS[made.kind], seen, Math.max(0, layer), height], 8 * row);
      }
    });
    const { gl } = this;
    gl.deleteTexture(this.colours ?? null);
    gl.deleteTexture(this.places ?? null);
    this.colours = nearestTexture(gl);
    gl.texStorage2D(gl.TEXTURE_2D, 1, gl.RGBA8, STEPS, all.length);
    gl.texSubImage2D(gl.TEXTURE_2D, 0, 0, 0, STEPS, all.length, gl.RGBA, gl.UNSIGNED_BYTE, colours);
    this.places = nearestTexture(gl);
    gl.texStorage2D(gl.TEXTURE_2D, 1, gl.RGBA32F, 2, all.length);
    gl.texSubImage2D(gl.TEXTURE_2D, 0, 0, 0, 2, all.length, gl.RGBA, gl.FLOAT, places);
  }

  bind(pass: Pass): void {
    if (this.areWorn) {
      this.cells.upload();
      pass.bind(4, "lookOfCell", this.cells.texture);
      pass.bind(5, "lookColours", this.colours!);
      pass.bind(6, "lookPlaces", this.places!);
      pass.bind(7, "motifs", this.motifs!, this.gl.TEXTURE_2D_ARRAY);
    }
  }

  private motifTexture(pictures: readonly ImageBitmap[]): WebGLTexture {
    const { gl } = this;
    const texture = gl.createTexture();
    gl.bindTexture(gl.TEXTURE_2D_ARRAY, texture);
    const levels = Math.log2(MOTIF_PX) + 1;
    gl.texStorage3D(gl.TEXTURE_2D_ARRAY, levels, gl.RGBA8, MOTIF_PX, MOTIF_PX, Math.max(1, pictures.length));
    pictures.forEach((picture, layer) =>
      gl.texSubImage3D(
        gl.TEXTURE_2D_ARRAY,
        0,
        0,
        0,
        layer,
        MOTIF_PX,
        MOTIF_PX,
        1,
        gl.RGBA,
        gl.UNSIGNED_BYTE,
        picture,
      ),
    );
    gl.generateMipmap(gl.TEXTURE_2D_ARRAY);
    gl.texParameteri(gl.TEXTURE_2D_ARRAY, gl.TEXTURE_MIN_FILTER, gl.LINEAR_MIPMAP_NEAREST);
    gl.texParameteri(gl.TEXTURE_2D_ARRAY, gl.TEXTURE_MAG_FILTER, gl.LINEAR);
    gl.texParameteri(gl.TEXTURE_2D_ARRAY, gl.TEXTURE_WRAP_S, gl.REPEAT);
    gl.texParameteri(gl.TEXTURE_2D_ARRAY, gl.TEXTURE_WRAP_T, gl.REPEAT);
    return texture;
  }
}
