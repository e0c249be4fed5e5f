import { el } from "../shared/build";
import type { About, PaletteCalls } from "./palette-calls";

const INKS = ["cyan", "magenta", "yellow", "black"] as const;
const NAMES = { cyan: "Cyan", magenta: "Magenta", yellow: "Yellow", black: "Black" };

/** The four process inks in percent, under the print condition of the project; the server knows what they make. */
export class Inks {
  readonly element = el(
    "details",
    {
      className:
        "[&_label]:flex [&_label]:flex-col [&_label]:flex-1 [&_label]:min-w-0 [&_label]:text-[0.78rem] [&_input]:w-full",
    },
    el("summary", {}, "Inks, in percent"),
  );
  private readonly inputs = INKS.map((ink) =>
    el("input", {
      type: "number",
      min: 0,
      max: 100,
      step: 1,
      "aria-label": `${NAMES[ink]}, percent`,
      change: () => void this.mix(),
    }),
  );

  constructor(
    private readonly calls: PaletteCalls,
    private readonly taken: (hex: string) => void,
  ) {
    this.element.append(
      el(
        "div",
        { className: "mixer-row" },
        ...INKS.map((ink, i) => el("label", {}, NAMES[ink], this.inputs[i]!)),
      ),
    );
  }

  show({ inks }: About): void {
    this.element.hidden = inks === null;
    if (inks) {
      INKS.forEach((ink, i) => {
        if (this.inputs[i] !== document.activeElement) {
          this.inputs[i]!.value = String(Math.round(100 * inks[ink]));
        }
      });
    }
  }

  private async mix(): Promise<void> {
    const hex = await this.calls.printed(
      this.inputs.map((input) => Math.min(100, Math.max(0, Number(input.value))) / 100),
    );
    if (hex) {
      this.taken(hex);
    }
  }
}
