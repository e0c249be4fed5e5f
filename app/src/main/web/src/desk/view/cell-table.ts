import { nearestTexture } from "./texture";

/** As wide as the shaders take it to be. */
const WIDTH = 1024;

/** A few bytes for each cell that the shaders look up. */
export class CellTable {
  bytes: Uint8Array<ArrayBuffer> = new Uint8Array();
  texture!: WebGLTexture;
  private rows = 0;
  private changed = true;

  /** @param kind one byte for each cell, to be read as a whole number, or four, as a colour */
  constructor(
    private readonly gl: WebGL2RenderingContext,
    private readonly kind: "number" | "colour",
    cellCount: number,
  ) {
    this.make(cellCount);
  }

  /** Makes room for more cells; what is known of the others stays. */
  grow(cellCount: number): void {
    if (cellCount > this.rows * WIDTH) {
      const { bytes } = this;
      this.dispose();
      this.make(cellCount);
      this.bytes.set(bytes);
      this.changed = true;
    }
  }

  private make(cellCount: number): void {
    const { gl, kind } = this;
    this.rows = Math.ceil(cellCount / WIDTH);
    this.bytes = new Uint8Array(this.rows * WIDTH * (kind === "colour" ? 4 : 1));
    this.texture = nearestTexture(gl);
    gl.texStorage2D(gl.TEXTURE_2D, 1, kind === "colour" ? gl.RGBA8 : gl.R8UI, WIDTH, this.rows);
  }

  touch(): void {
    this.changed = true;
  }

  /** Sets a bit of these entries, and of no others. */
  mark(bit: number, entries: readonly number[]): void {
    for (let i = 0; i < this.bytes.length; i++) {
      this.bytes[i]! &= ~bit;
    }
    entries.forEach((entry) => (this.bytes[entry]! |= bit));
    this.touch();
  }

  /** Brings changed bytes to where they are drawn from. */
  upload(): void {
    if (this.changed) {
      const { gl, rows, bytes } = this;
      const format = this.kind === "colour" ? gl.RGBA : gl.RED_INTEGER;
      gl.pixelStorei(gl.UNPACK_ALIGNMENT, 1);
      gl.bindTexture(gl.TEXTURE_2D, this.texture);
      gl.texSubImage2D(gl.TEXTURE_2D, 0, 0, 0, WIDTH, rows, format, gl.UNSIGNED_BYTE, bytes);
      this.changed = false;
    }
  }

  dispose(): void {
    this.gl.deleteTexture(this.texture);
  }
}
