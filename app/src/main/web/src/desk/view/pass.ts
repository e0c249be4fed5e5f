import { VERTEX } from "./shaders";

const VERSION = "#version 300 es\n";

/** A program that draws tiles, with its uniforms by name. */
export class Pass {
  private readonly program: WebGLProgram;
  private readonly places = new Map<string, WebGLUniformLocation | null>();

  private checked = false;

  /** Begins to compile; the browser may do so while other things happen, until the pass is first used. */
  constructor(
    private readonly gl: WebGL2RenderingContext,
    fragment: string,
    defines: readonly string[] = [],
  ) {
    const program = gl.createProgram();
    const flags = defines.map((define) => `#define ${define}\n`).join("");
    attach(gl, program, gl.VERTEX_SHADER, VERTEX);
    attach(gl, program, gl.FRAGMENT_SHADER, VERSION + flags + fragment);
    gl.linkProgram(program);
    this.program = program;
  }

  /** @throws Error if the program does not link */
  use(): void {
    this.check();
    this.gl.useProgram(this.program);
  }

  private check(): void {
    const { gl, program } = this;
    if (this.checked) {
      return;
    }
    if (!gl.getProgramParameter(program, gl.LINK_STATUS)) {
      const logs = gl.getAttachedShaders(program)!.map((shader) => gl.getShaderInfoLog(shader));
      throw new Error(`The desk's shaders do not link: ${gl.getProgramInfoLog(program)} ${logs.join(" ")}`);
    }
    this.checked = true;
  }

  /** Sets a uniform of one to four numbers. */
  set(name: string, ...values: number[]): void {
    const place = this.placeOf(name);
    const [x = 0, y = 0, z = 0, w = 0] = values;
    switch (values.length) {
      case 1:
        return this.gl.uniform1f(place, x);
      case 2:
        return this.gl.uniform2f(place, x, y);
      case 3:
        return this.gl.uniform3f(place, x, y, z);
      default:
        return this.gl.uniform4f(place, x, y, z, w);
    }
  }

  /** Sets a uniform of pairs of numbers. */
  setPairs(name: string, pairs: Float32Array): void {
    this.gl.uniform2fv(this.placeOf(name), pairs);
  }

  setWhole(name: string, value: number): void {
    this.gl.uniform1i(this.placeOf(name), value);
  }

  bind(unit: number, name: string, texture: WebGLTexture, kind: number = this.gl.TEXTURE_2D): void {
    this.gl.activeTexture(this.gl.TEXTURE0 + unit);
    this.gl.bindTexture(kind, texture);
    this.setWhole(name, unit);
  }

  private placeOf(name: string): WebGLUniformLocation | null {
    if (!this.places.has(name)) {
      this.places.set(name, this.gl.getUniformLocation(this.program, name));
    }
    return this.places.get(name)!;
  }
}

function attach(gl: WebGL2RenderingContext, program: WebGLProgram, kind: number, source: string): void {
  const shader = gl.createShader(kind)!;
  gl.shaderSource(shader, source);
  gl.compileShader(shader);
  gl.attachShader(program, shader);
}
