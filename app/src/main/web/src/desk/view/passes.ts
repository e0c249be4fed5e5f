import { Pass } from "./pass";
import { DIMMED, GATHERED, OUTLINE, RIPPLE, SHEET } from "./shaders";

/** The WebGL2 context of a canvas and the programs that draw a sheet on it; made before there is a sheet, so that they are compiled by then. */
export class Passes {
  readonly gl: WebGL2RenderingContext;
  readonly outline: Pass;
  readonly ripple: Pass;
  readonly gathered: Pass;
  readonly dimmed: Pass;
  private readonly sheets = new Map<string, Pass>();

  /** @throws Error if the browser has no WebGL2 */
  constructor(readonly canvas: HTMLCanvasElement) {
    const gl = canvas.getContext("webgl2", { alpha: true, antialias: false, premultipliedAlpha: true });
    if (!gl) {
      throw new Error("This browser does not offer WebGL2, which the desk draws with.");
    }
    this.gl = gl;
    this.sheet(["FINE"]);
    this.outline = new Pass(gl, OUTLINE);
    this.ripple = new Pass(gl, RIPPLE);
    this.gathered = new Pass(gl, GATHERED);
    this.dimmed = new Pass(gl, DIMMED);
  }

  /** @param ways of looking, out of CLEAR, FINE, CUT, GREYS, LOOKS, LINES and SOFT, in this order */
  sheet(ways: readonly string[]): Pass {
    const key = ways.join();
    const pass = this.sheets.get(key) ?? new Pass(this.gl, SHEET, ways);
    this.sheets.set(key, pass);
    return pass;
  }
}
