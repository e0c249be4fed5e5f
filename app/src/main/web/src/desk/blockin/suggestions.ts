import type { Suggestion } from "messages";
import { Shapes } from "rules";
import { button, el, whilePointedAt } from "../../shared/build";
import { byId } from "../../shared/dom";
import { call, Refusal } from "../../shared/http";
import type { Overlay } from "../view/overlay";
import type { Fill } from "../model/state";
import type { Mixing } from "../shore/mixing";
import type { Point } from "../geometry/camera";
import { pointsOf } from "../geometry/way";
import type { ShapeSheet } from "./shape-sheet";

const CARD = "From pictures";
const SVG = "http://www.w3.org/2000/svg";

/** The big shapes of the reference picture, as a proposal: taken one by one, or all, with the colours that they were taken from. */
export class Suggestions {
  private readonly list = byId("suggested");
  private left: Suggestion[] = [];

  constructor(
    private readonly path: string,
    private readonly sheet: ShapeSheet,
    private readonly overlay: Overlay,
    private readonly mixing: Mixing,
    private readonly page: { readonly width: number; readonly height: number },
  ) {
    byId("suggest").addEventListener("click", () => void this.ask());
    byId("suggest-all").addEventListener("click", () => void this.takeThese(this.left));
    byId("suggest-drop").addEventListener("click", () => this.show([]));
    this.show([]);
  }

  private async ask(): Promise<void> {
    const count = Number(byId<HTMLInputElement>("suggest-count").value);
    const detail = Number(byId<HTMLInputElement>("suggest-detail").value) / 100;
    const asking = byId<HTMLButtonElement>("suggest");
    asking.disabled = true;
    byId("suggest-said").textContent = "Looking for shapes";
    try {
      const found = await call<Suggestion[]>(`${this.path}/reference/shapes?count=${count}&detail=${detail}`);
      this.show(found);
    } catch (error) {
      byId("suggest-said").textContent =
        error instanceof Refusal ? error.message : "No shapes could be looked for just now.";
    }
    asking.disabled = false;
  }

  private show(suggested: Suggestion[]): void {
    this.left = suggested;
    this.overlay.suggest([]);
    byId("suggest-all").hidden = suggested.length === 0;
    byId("suggest-drop").hidden = suggested.length === 0;
    byId("suggest-all").textContent = `Take all ${suggested.length}`;
    byId("suggest-said").textContent = suggested.length === 0 ? "" : `${suggested.length} shapes`;
    this.list.replaceChildren(...suggested.map((each) => this.row(each)));
    this.overlay.suggest(suggested.flatMap(bordersOf));
  }

  private row(suggestion: Suggestion): HTMLElement {
    const take = button(
      "suggested-take w-full border border-line rounded-[8px] bg-white [&_svg]:block [&_svg]:w-full [&_svg]:max-h-[72px]",
      "",
      () => void this.takeThese([suggestion]),
      {
        "aria-label": `Take the shape in ${suggestion.name}, ${Math.round(100 * suggestion.share)} %`,
        title: "Take this shape",
      },
    );
    take.append(this.picture(suggestion));
    whilePointedAt(
      take,
      () => this.overlay.suggest(bordersOf(suggestion)),
      () => this.overlay.suggest(this.left.flatMap(bordersOf)),
    );
    return el("li", {}, take);
  }

  private picture(suggestion: Suggestion): Element {
    const { width, height } = this.page;
    const svg = document.createElementNS(SVG, "svg");
    svg.setAttribute("viewBox", `0 0 ${width} ${height}`);
    svg.setAttribute("aria-hidden", "true");
    const path = document.createElementNS(SVG, "path");
    const way = (border: Point[]) =>
      `M${border.map(({ x, y }) => `${x.toFixed(0)} ${y.toFixed(0)}`).join("L")}Z`;
    path.setAttribute("d", bordersOf(suggestion).map(way).join(""));
    path.setAttribute("fill", suggestion.colour);
    path.setAttribute("fill-rule", "evenodd");
    svg.append(path);
    return svg;
  }

  private async takeThese(taken: readonly Suggestion[]): Promise<void> {
    await this.sheet.open();
    const wears = await this.swatches(taken);
    if (!wears) {
      return;
    }
    const shapes = taken.map(({ shape }) => shape);
    const words = taken.length === 1 ? "Took a suggested shape" : `Took ${taken.length} suggested shapes`;
    if (this.sheet.make(words, (rules) => rules.takeAll(shapes), wears)) {
      this.show(this.left.filter((each) => !taken.includes(each)));
    }
  }

  /** A swatch for each; those that are there already are taken as they are. */
  private async swatches(taken: readonly Suggestion[]): Promise<Fill[] | undefined> {
    const ids = await this.mixing.swatchesOn(CARD, taken);
    return ids && taken.map(({ colour }) => ids.get(colour)!);
  }
}

function bordersOf({ shape }: Suggestion): Point[][] {
  return shape
    .slice(shape.indexOf(":") + 1)
    .split(";")
    .map((loop) => pointsOf(Shapes.polygon(`drawn ${loop.trim()}`)));
}
