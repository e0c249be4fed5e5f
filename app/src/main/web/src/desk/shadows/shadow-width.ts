import { byId } from "../../shared/dom";

const IN_PIXELS = { min: 1, max: 160, step: 1 };
const IN_STROKES = { min: 0.5, max: 20, step: 0.5 };

/** How wide a strip, a rim, a grain or an edge is: set in pixels of the sheet, or in widths of a stroke. */
export class ShadowWidth {
  readonly slider = byId<HTMLInputElement>("shadow-width");
  private readonly unit = byId<HTMLSelectElement>("shadow-unit");

  /** @param strokePx how wide a stroke is */
  constructor(private readonly strokePx: () => number) {
    this.unit.addEventListener("change", () => {
      const px = this.inStrokes
        ? Number(this.slider.value)
        : Number(this.slider.value) * Math.max(1, this.strokePx());
      this.range();
      this.set(px);
    });
  }

  private get inStrokes(): boolean {
    return this.unit.value === "strokes";
  }

  private range(): void {
    Object.assign(this.slider, this.inStrokes ? IN_STROKES : IN_PIXELS);
  }

  /** In pixels of the sheet, to a tenth. */
  get px(): number {
    const value = Number(this.slider.value);
    return this.inStrokes ? Math.max(1, Math.round(10 * value * this.strokePx()) / 10) : value;
  }

  set(px: number): void {
    this.slider.value = String(this.inStrokes ? px / Math.max(1, this.strokePx()) : px);
    this.say();
  }

  say(): void {
    byId("shadow-width-said").textContent = this.slider.value;
  }
}
