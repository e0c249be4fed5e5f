import { Colours, type Channel } from "rules";
import { el } from "../shared/build";
import { MODELS, type Model, type Polar } from "./models";

const KEPT_MODEL = "pond/model";

/** The numbers of a colour in the model of one's choice, to slide and to type. */
export class Sliders {
  readonly models = el("select", { "aria-label": "Colour model", change: () => this.choose() });
  readonly element = el("div", { className: "flex flex-col gap-[6px]" });
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
    const numbers = Colours.numbers(this.model.id, hex);
    const channels = Colours.channels(this.model.id);
    if (this.element.dataset["model"] !== this.model.id) {
      this.element.dataset["model"] = this.model.id;
      this.element.replaceChildren(...channels.map((channel, i) => this.row(channel, i)));
    }
    [...this.element.children].forEach((row, i) => {
      for (const input of row.querySelectorAll("input")) {
        if (input !== document.activeElement) {
          input.value = numbers[i]!.toFixed(channels[i]!.step < 1 ? 1 : 0);
        }
      }
    });
  }

  private row(channel: Channel, i: number): HTMLElement {
    const label = this.model.channels[i]!;
    const range = { min: channel.min, max: channel.max, step: channel.step };
    const changed = (event: Event) => this.change(i, Number((event.target as HTMLInputElement).value));
    return el(
      "label",
      { className: "grid grid-cols-[72px_minmax(0,1fr)_66px_12px] gap-[6px] items-center" },
      el("span", {}, label),
      el("input", {
        type: "range",
        ...range,
        input: changed,
        "aria-label": label,
        "data-unit": channel.unit,
      }),
      el("input", {
        type: "number",
        ...range,
        change: changed,
        "aria-label": `${label}${channel.unit && `, ${channel.unit}`}`,
      }),
      el("span", { className: "quiet" }, channel.unit),
    );
  }

  private change(i: number, value: number): void {
    const numbers = Colours.numbers(this.model.id, this.hex);
    numbers[i] = value;
    if (this.model.id === "oklch") {
      const [l, c, h] = numbers as unknown as [number, number, number];
      this.take({ l: l / 100, c: c / 100, h });
    } else {
      this.takeHex(Colours.ofNumbers(this.model.id, numbers).hex);
    }
  }

  private choose(): void {
    this.model = MODELS.find((each) => each.id === this.models.value)!;
    localStorage.setItem(KEPT_MODEL, this.model.id);
    this.show(this.hex);
  }
}
