import { atom } from "nanostores";
import { Colours } from "rules";
import { byId } from "../../shared/dom";
import type { Command } from "../hand/commands";
import type { Fills } from "../model/fills";
import type { Rgba } from "../model/looks";
import type { Regions } from "../model/regions";
import { NO_FILL } from "../model/state";
import type { SheetView } from "../view/sheet-view";

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
  /** Counts up when the sheet is looked at otherwise. */
  readonly changed = atom(0);
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
    this.show();
  }

  commands(): Command[] {
    const { looking } = this.view;
    const look = (
      name: string,
      key: string,
      label: string,
      help: string,
      state: () => string,
      turn: () => void,
    ): Command => ({
      name: `look-${name}`,
      keys: [key],
      chapter: "Look",
      tells: label.toLowerCase(),
      entry: { menu: "look", label: () => label, state, help },
      run: () => {
        turn();
        this.show();
      },
    });
    return [
      look(
        "greys",
        "V",
        "Greys",
        "Greys show the sheet as values only.",
        () => (looking.greys ? "on" : "off"),
        () => this.view.look({ greys: !looking.greys }),
      ),
      look(
        "flats",
        "B",
        "Flats",
        "Hides the flats, so that the ink is seen alone.",
        () => (looking.flats ? "shown" : "off"),
        () => this.view.look({ flats: looking.flats === 0 ? 1 : 0 }),
      ),
      look(
        "ink",
        "N",
        "Ink",
        "Makes the ink faint, then hides it, so that slivers and specks are seen.",
        () => INKS[this.ink]![0],
        () => {
          this.ink = (this.ink + 1) % INKS.length;
          this.view.look({ ink: INKS[this.ink]![1] });
        },
      ),
      look(
        "empty",
        "U",
        "Only what is empty",
        "Shows only what has no fill yet; all else is white.",
        () => this.isOn("empty"),
        () => this.showCells(this.cells === "empty" ? "worn" : "empty"),
      ),
      look(
        "regions",
        "Z",
        "Regions in greys",
        "Gives every region a grey of its own, whatever it wears, so that each is seen by itself.",
        () => this.isOn("regions"),
        () => this.showCells(this.cells === "regions" ? "worn" : "regions"),
      ),
      look(
        "vision",
        "C",
        "Colour vision",
        "Shows the colours as people see them whose eyes tell fewer colours apart.",
        () => VISIONS[this.vision]![0],
        () => {
          this.vision = (this.vision + 1) % VISIONS.length;
          this.fills.seeThrough(eyesOf(VISIONS[this.vision]![1]));
        },
      ),
      look(
        "surround",
        "Shift M",
        "Surround",
        "Changes the grey around the sheet: light, middle, dark.",
        () => SURROUNDS[this.surround]!,
        () => {
          this.surround = (this.surround + 1) % SURROUNDS.length;
          localStorage.setItem(KEPT, SURROUNDS[this.surround]!);
        },
      ),
    ];
  }

  private isOn(cells: "empty" | "regions"): string {
    return this.cells === cells ? "on" : "off";
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
    this.changed.set(this.changed.get() + 1);
    const { greys, flats } = this.view.looking;
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
