import { all, byId } from "../../shared/dom";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import { NO_FILL, type Fill } from "../model/state";

const KEPT = "pond/held";

/** The shore: pebbles to take a fill from, and the two held last. */
export class Shore {
  private readonly place = byId("shore");

  constructor(
    private readonly hand: Hand,
    private readonly fills: Fills,
  ) {
    this.place.addEventListener("click", (event) => {
      const pebble = (event.target as Element).closest<HTMLElement>(".pebble[data-fill]");
      if (pebble) {
        hand.hold(fillOf(pebble));
      }
    });
    byId("swap").addEventListener("click", () => hand.swap());
    hand.present.subscribe((fill) => this.showPresent(fill));
    hand.other.subscribe((fill) => this.showHeld(byId("other"), fill));
    this.holdAsBefore();
    this.showMade();
    fills.looks.changed.listen(() => this.showMade());
  }

  /** Shows what is kept on cards: gradients and patterns. */
  private showMade(): void {
    for (const pebble of this.pebbles.filter((each) => each.dataset["made"])) {
      pebble.querySelector<HTMLElement>(".made-stone")!.style.background = this.fills.css(fillOf(pebble));
    }
  }

  /** The cards as they lie there now; they come anew when the palette changes. */
  private get pebbles(): HTMLButtonElement[] {
    return all<HTMLButtonElement>(".pebble[data-fill]", this.place);
  }

  /** Shows other cards, made by the server. */
  renew(html: string): void {
    byId("cards").innerHTML = html;
    this.showMade();
    this.showPresent(this.hand.present.get());
    this.showHeld(byId("other"), this.hand.other.get());
  }

  /** What was held on the sheet before, or else the first swatch that has a key. */
  private holdAsBefore(): void {
    const kept = JSON.parse(sessionStorage.getItem(KEPT) ?? "[]") as Fill[];
    const first = this.pebbles.find((pebble) => pebble.dataset["key"]);
    const fills = [...kept.filter((fill) => this.pebbles.some((pebble) => fillOf(pebble) === fill))];
    for (const fill of fills.length > 0 ? fills : first ? [fillOf(first)] : []) {
      this.hand.hold(fill);
    }
    const keep = () =>
      sessionStorage.setItem(KEPT, JSON.stringify([this.hand.other.get(), this.hand.present.get()]));
    this.hand.present.listen(keep);
    this.hand.other.listen(keep);
  }

  /** Takes the swatch that carries a key. */
  holdByKey(key: string): void {
    const pebble = this.pebbles.find((each) => each.dataset["key"] === key);
    if (pebble) {
      this.hand.hold(fillOf(pebble));
    }
  }

  /** Takes the next swatch along the shore, or the one before; round at the ends. */
  step(by: 1 | -1): void {
    const at = this.pebbles.findIndex((pebble) => fillOf(pebble) === this.hand.present.get());
    const next = this.pebbles[(at + by + this.pebbles.length) % this.pebbles.length];
    if (next) {
      this.hand.hold(fillOf(next));
    }
  }

  private showPresent(fill: Fill): void {
    this.showHeld(byId("present"), fill);
    for (const pebble of this.pebbles) {
      const held = fillOf(pebble) === fill;
      pebble.setAttribute("aria-pressed", String(held));
      if (held) {
        pebble.scrollIntoView({ block: "nearest", inline: "nearest" });
      }
    }
  }

  private showHeld(place: HTMLElement, fill: Fill): void {
    const stone = place.querySelector<HTMLElement>(".stone")!;
    stone.style.background = fill === NO_FILL ? "" : this.fills.css(fill);
    stone.classList.toggle("is-none", fill === NO_FILL);
    place.querySelector(".held-name")!.textContent = this.fills.nameOf(fill);
  }
}

function fillOf(pebble: HTMLElement): Fill {
  return pebble.dataset["fill"] ?? NO_FILL;
}
