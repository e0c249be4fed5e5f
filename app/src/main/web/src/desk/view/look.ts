import { Colours } from "rules";
import { byId } from "../../shared/dom";
import type { Fills } from "../model/fills";
import type { Rgba } from "../model/looks";
import type { Regions } from "../model/regions";
import { NO_FILL } from "../model/state";
import type { SheetView } from "./sheet-view";

const SURROUNDS = ["light", "middle", "dark"] as const;
const INKS = [
  ["shown", 1],
  ["faint", 0.25],
  ["off", 0],
] as const;
const KEPT = "pond/surround";

/** Names, and as the core calls them. */
const VISIONS = [
  ["usual", undefined],
  ["red-weak", "RED_WEAK"],
  ["green-weak", "GREEN_WEAK"],
  ["blue-weak", "BLUE_WEAK"],
] as const;
const EMPTY: Rgba = [64, 64, 64, 255];
const LAID: Rgba = [255, 255, 255, 255];

/** How the sheet is looked at: greys, flats, ink, surround. Their keys lie side by side. */
export class Look {
  private ink = 0;
  private vision = 0;
  private cells: "worn" | "empty" | "regions" = "worn";
  private surround = Math.max(
    0,
    SURROUNDS.findIndex((each) => each === localStorage.getItem(KEPT)),
  );

  constructor(
    private readonly view: SheetView,
    private readonly fills: Fills,
    private readonly regions: Regions,
  ) {
    if (!localStorage.getItem(KEPT)) {
      this.surround = 1;
    }
    for (const key of ["v", "b", "n", "u", "z", "c"]) {
      byId(`look-${key}`).addEventListener("click", () => this.byKey(key));
    }
    byId("look-m").addEventListener("click", () => this.nextSurround());
    this.show();
  }

  /** False if the key has no meaning here. */
  byKey(key: string): boolean {
    const looking = this.view.looking;
    switch (key) {
      case "v":
        this.view.look({ greys: !looking.greys });
        break;
      case "b":
        this.view.look({ flats: looking.flats === 0 ? 1 : 0 });
        break;
      case "n":
        this.ink = (this.ink + 1) % INKS.length;
        this.view.look({ ink: INKS[this.ink]![1] });
        break;
      case "u":
        this.showCells(this.cells === "empty" ? "worn" : "empty");
        break;
      case "z":
        this.showCells(this.cells === "regions" ? "worn" : "regions");
        break;
      case "c":
        this.vision = (this.vision + 1) % VISIONS.length;
        this.fills.seeThrough(eyesOf(VISIONS[this.vision]![1]));
        break;
      default:
        return false;
    }
    this.show();
    return true;
  }

  nextSurround(): void {
    this.surround = (this.surround + 1) % SURROUNDS.length;
    localStorage.setItem(KEPT, SURROUNDS[this.surround]!);
    this.show();
  }

  private showCells(cells: "worn" | "empty" | "regions"): void {
    this.cells = cells;
    this.fills.showAs(
      {
        worn: undefined,
        empty: (cell: number) => (this.fills.of(cell) === NO_FILL ? EMPTY : LAID),
        regions: (cell: number) => greyOf(this.regions.of(cell)),
      }[cells],
    );
  }

  private show(): void {
    document.documentElement.dataset["surround"] = SURROUNDS[this.surround]!;
    const { greys, flats } = this.view.looking;
    const states: Record<string, string> = {
      v: greys ? "on" : "off",
      b: flats ? "shown" : "off",
      n: INKS[this.ink]![0],
      m: SURROUNDS[this.surround]!,
      u: this.cells === "empty" ? "on" : "off",
      z: this.cells === "regions" ? "on" : "off",
      c: VISIONS[this.vision]![0],
    };
    for (const [key, state] of Object.entries(states)) {
      byId(`look-${key}`).querySelector(".look-state")!.textContent = state;
    }
    byId("look").classList.toggle(
      "is-altered",
      greys || !flats || this.ink > 0 || this.vision > 0 || this.cells !== "worn",
    );
  }
}

/** Greys far apart for numbers that follow each other: steps of the golden ratio. */
function greyOf(region: number): Rgba {
  const grey = Math.round(70 + 170 * ((region * 0.618034) % 1));
  return [grey, grey, grey, 255];
}

function eyesOf(vision: string | undefined): ((colour: Rgba) => Rgba) | undefined {
  return (vision &&
    (([red, green, blue, opacity]) => {
      const seen = Colours.seen(vision, (red << 16) | (green << 8) | blue);
      return [(seen >> 16) & 255, (seen >> 8) & 255, seen & 255, opacity];
    })) as ((colour: Rgba) => Rgba) | undefined;
}
