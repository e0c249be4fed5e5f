import { byId } from "../../shared/dom";
import type { SheetView } from "./sheet-view";

const SURROUNDS = ["light", "middle", "dark"] as const;
const INKS = [
  ["shown", 1],
  ["faint", 0.25],
  ["off", 0],
] as const;
const KEPT = "pond/surround";

/** How the sheet is looked at: greys, flats, ink, surround. Their keys lie side by side. */
export class Look {
  private ink = 0;
  private surround = Math.max(
    0,
    SURROUNDS.findIndex((each) => each === localStorage.getItem(KEPT)),
  );

  constructor(private readonly view: SheetView) {
    if (!localStorage.getItem(KEPT)) {
      this.surround = 1;
    }
    for (const key of ["v", "b", "n", "m"]) {
      byId(`look-${key}`).addEventListener("click", () => this.byKey(key));
    }
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
      case "m":
        this.surround = (this.surround + 1) % SURROUNDS.length;
        localStorage.setItem(KEPT, SURROUNDS[this.surround]!);
        break;
      default:
        return false;
    }
    this.show();
    return true;
  }

  private show(): void {
    document.documentElement.dataset["surround"] = SURROUNDS[this.surround]!;
    const { greys, flats } = this.view.looking;
    const states: Record<string, string> = {
      v: greys ? "on" : "off",
      b: flats ? "shown" : "off",
      n: INKS[this.ink]![0],
      m: SURROUNDS[this.surround]!,
    };
    for (const [key, state] of Object.entries(states)) {
      byId(`look-${key}`).querySelector(".look-state")!.textContent = state;
    }
    byId("look").classList.toggle("is-altered", greys || !flats || this.ink > 0);
  }
}
