import { Colours } from "rules";
import { all, byId } from "../../shared/dom";
import { SMALL_SCREEN } from "../../shared/small-screen";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import { hexOf } from "../model/looks";
import { swatchesOf } from "../model/made";
import { NO_FILL, type Fill } from "../model/state";

const KEPT = "pond/held";

/** What a pebble with its name takes, and what a card takes beside its pebbles; the air between two. */
const NAMED_PX = 65;
const GROUP_PX = 15;
/** So wide that a name can be read over them. */
const LEAST_COLUMNS = 2;
const GAP_PX = 3;
const LEAST_PX = 26;
const MOST_PX = 52;
const SMALL_PX = 38;

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
    hand.cell.listen((cell) => cell !== undefined && this.bringForward(fills.of(cell)));
    this.arrange();
    new ResizeObserver(() => this.arrange()).observe(byId("desk"));
  }

  /** All pebbles in sight: in one row with their names, or else in two, as large as they can be; in one row on a small screen. */
  private arrange(): void {
    const cards = byId("cards");
    const choice = cards.querySelector("#cards-menu");
    if (choice) {
      byId("cards-choice").replaceChildren(choice);
    }
    const groups = all(".pebbles", cards).map((group) => group.children.length);
    // A card of very many lies behind the others, and may go on beyond the edge.
    const inSight = all(".pebbles:not([data-many])", cards).map((group) => group.children.length);
    const columns = inSight.reduce((sum, count) => sum + Math.max(LEAST_COLUMNS, Math.ceil(count / 2)), 0);
    const taken = inSight.length * GROUP_PX;
    const named = groups.reduce((sum, count) => sum + count, 0) * NAMED_PX + taken;
    cards.dataset["rows"] = SMALL_SCREEN.matches ? "one" : named <= cards.clientWidth ? "named" : "two";
    const widest = (cards.clientWidth - taken) / columns - GAP_PX;
    const pebble = SMALL_SCREEN.matches ? SMALL_PX : Math.max(LEAST_PX, Math.min(MOST_PX, widest));
    cards.style.setProperty("--pebble", `${Math.floor(pebble)}px`);
  }

  /** The card of the figure that is pointed at is set off from the others. */
  private bringForward(fill: Fill): void {
    if (fill === NO_FILL) {
      return;
    }
    const [swatch] = swatchesOf(fill);
    const pebble = this.pebbles.find((each) => fillOf(each) === fill || fillOf(each) === swatch);
    if (pebble) {
      this.setForward(pebble.closest<HTMLElement>(".shore-card")!);
    }
  }

  private setForward(card: HTMLElement): void {
    all(".shore-card", this.place).forEach((each) => each.classList.toggle("is-forward", each === card));
    card.scrollIntoView({ block: "nearest", inline: "nearest" });
  }

  /** Brings the next card forward, or the one before, and takes its first swatch. */
  stepCard(by: 1 | -1): void {
    const cards = all<HTMLElement>(".shore-card[data-card]", this.place);
    const at = cards.findIndex((card) => card.classList.contains("is-forward"));
    const next = cards[at < 0 ? 0 : (at + by + cards.length) % cards.length];
    const first = next?.querySelector<HTMLElement>(".pebble[data-fill]");
    if (next && first) {
      this.setForward(next);
      this.hand.hold(fillOf(first));
    }
  }

  /** Leaves only what was looked for standing out; returns the first of it. */
  find(query: string): Fill | undefined {
    const found = this.pebbles.filter((pebble) => {
      const isFound = fillOf(pebble) !== NO_FILL && this.isFound(pebble, query);
      pebble.classList.toggle("is-passed", query !== "" && !isFound);
      return isFound;
    });
    found[0]?.scrollIntoView({ block: "nearest", inline: "nearest" });
    return query !== "" && found[0] ? fillOf(found[0]) : undefined;
  }

  private isFound(pebble: HTMLElement, query: string): boolean {
    const name = pebble.querySelector(".pebble-name")!.textContent;
    const card = pebble.closest(".shore-card")!.querySelector("h2")!.textContent;
    return Colours.isFound(query, name, card, hexOf(this.fills.colour(fillOf(pebble))));
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
    this.arrange();
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
