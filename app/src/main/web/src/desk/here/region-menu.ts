import { all, byId } from "../../shared/dom";
import type { Point } from "../geometry/camera";
import type { Commands } from "../hand/commands";
import { Entries } from "../hand/entries";
import type { Hand } from "../hand/hand";
import type { Here } from "./here";

/** What can be done with the region pointed at: opened by the second button, by a long press, or by the menu key. */
export class RegionMenu {
  private readonly entries: Entries;
  private at: Point = { x: 0, y: 0 };

  constructor(
    private readonly menu: HTMLElement,
    private readonly canvas: HTMLElement,
    private readonly hand: Hand,
    private readonly here: Here,
    commands: Commands,
    private readonly opened: (at: Point) => void,
  ) {
    this.entries = new Entries(byId("region-acts"), commands, "region", () => this.close());
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
    this.here.tell();
    this.entries.renew();
    this.menu.hidden = false;
    this.at = at;
    this.opened(at);
    this.place(at);
    this.entries.buttons[0]!.focus();
  }

  private place(at: Point): void {
    const box = this.canvas.getBoundingClientRect();
    const x = Math.min(box.left + at.x + 10, innerWidth - this.menu.offsetWidth - 8);
    const y = Math.min(box.top + at.y + 10, innerHeight - this.menu.offsetHeight - 8);
    this.menu.style.transform = `translate(${x}px, ${y}px)`;
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
