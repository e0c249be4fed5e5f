import { all } from "../../shared/dom";
import type { Point } from "../view/camera";
import type { Hand } from "./hand";
import type { Here } from "./here";

/** What can be done with the region pointed at: opened by the second button, by a long press, or by the menu key. */
export class RegionMenu {
  private readonly items: HTMLButtonElement[];
  private at: Point = { x: 0, y: 0 };

  constructor(
    private readonly menu: HTMLElement,
    private readonly canvas: HTMLElement,
    private readonly hand: Hand,
    private readonly here: Here,
    openKinds: () => void,
    private readonly opened: (at: Point) => void,
  ) {
    this.items = all<HTMLButtonElement>("button", menu);
    const acts: Record<string, () => void> = {
      fill: () => hand.layHere(hand.present.get()),
      sample: () => hand.sample(),
      copy: () => hand.copy(),
      paste: () => hand.paste(),
      again: () => hand.again(),
      clear: () => hand.clearHere(),
      kind: openKinds,
      ...here.acts,
    };
    for (const item of this.items) {
      item.addEventListener("click", () => {
        acts[item.dataset["act"]!]!();
        this.close();
      });
    }
    new ResizeObserver(() => !menu.hidden && this.place(this.at)).observe(menu);
    menu.addEventListener("keydown", (event) => this.onKey(event));
    document.addEventListener("pointerdown", (event) => {
      if (!menu.hidden && !menu.contains(event.target as Node)) {
        this.close();
      }
    });
  }

  /** Opens beside a place on the canvas, wholly in sight. */
  open(at: Point): void {
    if (this.hand.cell.get() === undefined) {
      return;
    }
    this.hand.pin(true);
    this.name();
    this.menu.hidden = false;
    this.at = at;
    this.opened(at);
    this.place(at);
    this.items[0]!.focus();
  }

  private place(at: Point): void {
    const box = this.canvas.getBoundingClientRect();
    const x = Math.min(box.left + at.x + 10, innerWidth - this.menu.offsetWidth - 8);
    const y = Math.min(box.top + at.y + 10, innerHeight - this.menu.offsetHeight - 8);
    this.menu.style.transform = `translate(${x}px, ${y}px)`;
  }

  private name(): void {
    const { here, present, last, copied } = this.hand.offers;
    const labels: Record<string, string | undefined> = {
      fill: `Fill with ${present}`,
      sample: `Take ${here} into the hand`,
      copy: `Copy ${here}`,
      paste: copied && `Lay the copied ${copied}`,
      again: last && `Lay ${last} again`,
      clear: "Clear",
      kind: "Gradient, pattern, opacity",
      ...this.here.show(),
    };
    for (const item of this.items) {
      const label = labels[item.dataset["act"]!];
      item.hidden = !label;
      item.querySelector(".menu-label")!.textContent = label ?? "";
    }
  }

  private onKey(event: KeyboardEvent): void {
    const shown = all<HTMLElement>("button, a[href]", this.menu).filter((item) => !item.hidden);
    const at = shown.indexOf(document.activeElement as HTMLElement);
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step) {
      shown[(at + step + shown.length) % shown.length]!.focus();
      event.preventDefault();
    } else if (event.key === "Escape" || event.key === "Tab") {
      this.close();
      event.preventDefault();
    }
    event.stopPropagation();
  }

  private close(): void {
    this.hand.pin(false);
    this.menu.hidden = true;
    this.canvas.focus({ preventScroll: true });
  }
}
