import { el } from "./build";
import { hexOf, MODELS, numbersOf, type Model, type Polar } from "./models";

const KEPT_MODEL = "pond/model";

/** The numbers of a colour in the model of one's choice, to slide and to type. */
export class Sliders {
  readonly models = el("select", { "aria-label": "Colour model", change: () => this.choose() });
  readonly element = el("div", { className: "mixer-sliders" });
  private model: Model = MODELS.find((each) => each.id === localStorage.getItem(KEPT_MODEL)) ?? MODELS[0]!;
  private hex = "#000000";

  /** @param take for models whose numbers say more than a hex code holds */
  constructor(
    private readonly take: (colour: Polar) => void,
    private readonly takeHex: (hex: string) => void,
  ) {
    for (const model of MODELS) {
      this.models.append(
        el("option", { value: model.id, selected: model.id === this.model.id }, model.label),
      );
    }
  }

  show(hex: string): void {
    this.hex = hex;
    const numbers = numbersOf(this.model, hex);
    if (this.element.dataset["model"] !== this.model.id) {
      this.element.dataset["model"] = this.model.id;
      this.element.replaceChildren(...this.model.channels.map((_, i) => this.row(i)));
    }
    [...this.element.children].forEach((row, i) => {
      for (const input of row.querySelectorAll("input")) {
        if (input !== document.activeElement) {
          input.value = numbers[i]!.toFixed(this.model.channels[i]!.step < 1 ? 1 : 0);
        }
      }
    });
  }

  private row(i: number): HTMLElement {
    const channel = this.model.channels[i]!;
    const range = { min: channel.min, max: channel.max, step: channel.step };
    const changed = (event: Event) => this.change(i, Number((event.target as HTMLInputElement).value));
    return el(
      "label",
      { className: "mixer-slider" },
      el("span", {}, channel.label),
      el("input", { type: "range", ...range, input: changed, "aria-label": channel.label }),
      el("input", {
        type: "number",
        ...range,
        change: changed,
        "aria-label": `${channel.label}${channel.unit && `, ${channel.unit}`}`,
      }),
      el("span", { className: "quiet" }, channel.unit),
    );
  }

  private change(i: number, value: number): void {
    const numbers = numbersOf(this.model, this.hex);
    numbers[i] = value;
    if (this.model.id === "oklch") {
      const [l, c, h] = numbers as [number, number, number];
      this.take({ l: l / 100, c: c / 100, h });
    } else {
      this.takeHex(hexOf(this.model, numbers).hex);
    }
  }

  private choose(): void {
    this.model = MODELS.find((each) => each.id === this.models.value)!;
    localStorage.setItem(KEPT_MODEL, this.model.id);
    this.show(this.hex);
  }
}
