import { all, byId } from "../../shared/dom";
import { el } from "../../shared/build";
import type { Fills } from "../model/fills";
import type { SheetPalette } from "../model/state";

/** Looking at the sheet, and at its neighbours in the strip, under its own light, as drawn, or under another. */
export class Lights {
  private palette: SheetPalette;
  private shown: string;

  constructor(
    palette: SheetPalette,
    private readonly fills: Fills,
  ) {
    this.palette = palette;
    this.shown = this.own;
    byId("light").addEventListener("click", () => this.next());
    this.show();
  }

  private get own(): string {
    return this.palette.lights[this.palette.light]!.id;
  }

  /** Gradients and patterns that are kept on cards. */
  get kept(): SheetPalette["kept"] {
    return this.palette.kept;
  }

  /** Takes over the colours as they are now; a sheet seen under its own light stays under it. */
  learn(palette: SheetPalette): void {
    const wasOwn = this.shown === this.own;
    this.palette = palette;
    if (wasOwn || !palette.lights.some((light) => light.id === this.shown)) {
      this.shown = this.own;
    }
    this.fills.learn(palette.cards);
    this.show();
  }

  /** The next light, and after the last one as drawn again. */
  next(): void {
    const { lights } = this.palette;
    const at = lights.findIndex((light) => light.id === this.shown);
    this.shown = lights[(at + 1) % lights.length]!.id;
    this.show();
  }

  private show(): void {
    const light = this.palette.lights.find((each) => each.id === this.shown)!;
    this.fills.underLight(light.colours);
    const isOwn = light.id === this.own;
    byId("light").dataset["shown"] = light.id || "plain";
    byId("light-name").replaceChildren(
      light.name,
      isOwn ? "" : el("span", { className: "quiet" }, " looked at"),
    );
    byId("light").hidden = this.palette.lights.length < 2;
    for (const picture of all<HTMLImageElement>(".strip-sheet img")) {
      const [path] = picture.src.split("?");
      const wanted = isOwn ? path! : `${path}?light=${light.id || "plain"}`;
      if (picture.src !== wanted) {
        picture.src = wanted;
      }
    }
  }
}
