import { FillTexts } from "rules";
import { el } from "../../shared/build";
import { byId } from "../../shared/dom";
import type { Fills } from "../model/fills";
import { hexOf, STEPS } from "../model/looks";
import { madeOf, textOf, type Gradient, type Stop } from "../model/made";

/** The stops of a gradient along a track: pressed to choose, dragged or moved with arrow keys along it. */
export class Stops {
  chosen = 0;
  private readonly track = byId("kinds-track");
  private readonly place = byId<HTMLInputElement>("kinds-place");
  private gradient: Gradient | undefined;

  /** @param changed told of the stops as they are to be */
  constructor(
    private readonly fills: Fills,
    private readonly changed: (stops: readonly Stop[]) => void,
  ) {
    this.place.addEventListener("input", () => this.moveTo(Number(this.place.value)));
    byId("kinds-add").addEventListener("click", () => this.add());
    byId("kinds-drop").addEventListener("click", () => this.drop());
    byId("kinds-turn").addEventListener("click", () => this.turn());
  }

  show(gradient: Gradient): void {
    this.gradient = gradient;
    this.chosen = Math.min(this.chosen, gradient.stops.length - 1);
    this.place.value = String(gradient.stops[this.chosen]!.percent);
    byId<HTMLButtonElement>("kinds-drop").disabled = gradient.stops.length <= 2;
    byId<HTMLButtonElement>("kinds-add").disabled = !FillTexts.canAddStop(textOf(gradient));
    const { colours } = this.fills.looks.look({ ...gradient, opacity: 100 });
    const shown = Array.from({ length: 17 }, (_, i) => {
      const at = 4 * Math.round((i / 16) * (STEPS - 1));
      return hexOf([colours[at]!, colours[at + 1]!, colours[at + 2]!, 255]);
    });
    this.track.style.background = `linear-gradient(to right, ${shown.join(", ")})`;
    const stones = gradient.stops.map((stop, i) => this.stone(stop, i));
    const focused = this.track.contains(document.activeElement);
    this.track.replaceChildren(...stones);
    if (focused) {
      stones[this.chosen]!.focus();
    }
  }

  /** Gives the chosen stop a swatch. */
  wear(swatch: string): void {
    this.changed(this.stops.map((stop, i) => (i === this.chosen ? { ...stop, swatch } : stop)));
  }

  private get stops(): readonly Stop[] {
    return this.gradient!.stops;
  }

  private stone({ percent, swatch }: Stop, i: number): HTMLButtonElement {
    const stone = el("button", {
      type: "button",
      className:
        "kinds-stone w-[32px] h-[32px] border-[3px] border-white rounded-[48%_52%_50%_50%] shadow-[0_0_0_1px_oklch(0_0_0_/_0.45)] cursor-pointer aria-pressed:shadow-[0_0_0_2.5px_black] [&.is-lost]:[background:repeating-linear-gradient(45deg,_white_0_4px,_black_4px_6px)]",
      "aria-pressed": String(i === this.chosen),
      "aria-label": `Stop ${i + 1}, ${this.fills.nameOf(swatch)}, at ${percent} %`,
      title: this.fills.nameOf(swatch),
      keydown: (event: KeyboardEvent) => {
        const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
        if (by) {
          this.chosen = i;
          this.moveTo(percent + by);
          event.preventDefault();
          event.stopPropagation();
        }
      },
      pointerdown: (event: PointerEvent) => this.drag(i, event),
      click: () => this.choose(i),
    });
    const colour = this.fills.swatch(swatch)?.colour;
    stone.style.left = `${percent}%`;
    stone.style.backgroundColor = colour ?? "transparent";
    stone.classList.toggle("is-lost", !colour);
    return stone;
  }

  private choose(i: number): void {
    this.chosen = i;
    this.show(this.gradient!);
  }

  private drag(i: number, event: PointerEvent): void {
    this.chosen = i;
    const box = this.track.getBoundingClientRect();
    const move = (each: PointerEvent) =>
      this.moveTo(Math.round((100 * (each.clientX - box.left)) / box.width));
    window.addEventListener("pointermove", move);
    window.addEventListener("pointerup", () => window.removeEventListener("pointermove", move), {
      once: true,
    });
    event.preventDefault();
  }

  private moveTo(percent: number): void {
    this.become((gradient) => FillTexts.movingStop(gradient, this.chosen, Math.round(percent)));
  }

  private add(): void {
    const added = Math.min(this.chosen, this.stops.length - 2) + 1;
    const beside = this.chosen;
    this.chosen = added;
    this.become((gradient) => FillTexts.addingStop(gradient, beside));
  }

  private drop(): void {
    this.become((gradient) => FillTexts.withoutStop(gradient, this.chosen));
  }

  private turn(): void {
    this.chosen = this.stops.length - 1 - this.chosen;
    this.become((gradient) => FillTexts.turned(gradient));
  }

  private become(change: (gradient: string) => string): void {
    this.changed((madeOf(change(textOf(this.gradient!))) as Gradient).stops);
  }
}
