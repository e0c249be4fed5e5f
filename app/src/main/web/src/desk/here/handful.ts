import { button } from "../../shared/build";
import { byId } from "../../shared/dom";
import { call } from "../../shared/http";
import type { Fills } from "../model/fills";
import type { Regions } from "../model/regions";
import type { Fill } from "../model/state";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import type { Hand } from "../hand/hand";

const GAP_PX = 14;
const EDGE_PX = 8;
const MOST_USED = 9;
/** How long what the sheets beside wear is believed. */
const KNOWN_MS = 60_000;

interface Place {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** A short bank of the swatches that are likeliest for the region pointed at, beside it; a digit or a click takes one, and it is gone. */
export class Handful {
  private readonly bank = byId("handful");
  private readonly used: Fill[] = [];
  private offered: readonly Fill[] = [];
  private beside: { swatches: string[]; at: number } | undefined;

  constructor(
    private readonly path: string,
    private readonly canvas: HTMLElement,
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly hand: Hand,
    private readonly view: SheetView,
  ) {
    hand.present.subscribe((fill) => this.use(fill));
    view.onMove(() => this.close());
    regions.changed.listen(() => this.close());
    canvas.addEventListener("pointerdown", () => this.close());
  }

  get isOpen(): boolean {
    return !this.bank.hidden;
  }

  /** Opens it beside the region pointed at, or closes it. */
  async toggle(): Promise<void> {
    const cell = this.hand.cell.get();
    if (this.isOpen || cell === undefined) {
      this.close();
      return;
    }
    const beside = await this.besideNow();
    if (this.hand.cell.get() !== cell) {
      return;
    }
    this.offered = this.regions.handful(cell, this.fills, beside, this.used);
    if (this.offered.length === 0) {
      this.hand.said.set("Nothing is likely here yet");
      return;
    }
    this.bank.replaceChildren(...this.offered.map((fill, place) => this.pebble(fill, place)));
    this.bank.hidden = false;
    this.hand.pin(true);
    this.moveBeside(cell);
    this.hand.said.set(`Likely here: ${this.offered.map((fill) => this.fills.nameOf(fill)).join(", ")}`);
  }

  /** Opens it at a place where a pen or a finger was held; from there it is a short drag to a pebble. @param more what else can be done here */
  hold(at: Point, more: () => void): void {
    this.hand.pointAt(at);
    void this.toggle().then(() => {
      if (this.isOpen) {
        const others = button("min-w-[32px] min-h-[32px]", "…", () => this.close() && more(), {
          "aria-label": "What else can be done with this region",
        });
        this.bank.append(others);
      } else {
        more();
      }
    });
  }

  /** Marks the pebble that a pen or a finger has come to. */
  pointOver(event: PointerEvent): void {
    const over = this.stoneAt(event);
    [...this.bank.children].forEach((each) => each.classList.toggle("is-over", each === over));
  }

  /** Takes the pebble over which a pen or a finger is lifted; over none, it stays open. */
  letGoOver(event: PointerEvent): void {
    this.stoneAt(event)?.click();
  }

  private stoneAt(event: PointerEvent): HTMLElement | undefined {
    const over = document.elementFromPoint(event.clientX, event.clientY)?.closest<HTMLElement>("button");
    return over && this.bank.contains(over) ? over : undefined;
  }

  /** Takes one by its digit; returns whether it was open. */
  takeByKey(key: string): boolean {
    if (!this.isOpen) {
      return false;
    }
    const fill = this.offered[Number(key) - 1];
    if (fill !== undefined) {
      this.take(fill);
    }
    return true;
  }

  /** Returns whether it was open. */
  close(): boolean {
    const wasOpen = this.isOpen;
    if (wasOpen) {
      this.bank.hidden = true;
      this.hand.pin(false);
    }
    return wasOpen;
  }

  private take(fill: Fill): void {
    this.close();
    this.hand.hold(fill);
    this.hand.takeTool("fill");
  }

  private use(fill: Fill): void {
    if (this.fills.swatch(fill)) {
      this.used.splice(
        0,
        this.used.length,
        ...[fill, ...this.used.filter((each) => each !== fill)].slice(0, MOST_USED),
      );
    }
  }

  private async besideNow(): Promise<string[]> {
    if (!this.beside || Date.now() - this.beside.at > KNOWN_MS) {
      // Without the sheets beside it is still of use.
      const swatches = await call<string[]>(`${this.path}/beside`).catch(() => []);
      this.beside = { swatches, at: Date.now() };
    }
    return this.beside.swatches;
  }

  private pebble(fill: Fill, place: number): HTMLElement {
    const stone = button(
      "relative w-[38px] h-[38px] border border-[oklch(0_0_0_/_0.25)] rounded-[46%_54%_51%_49%_/_50%_47%_53%_50%] after:content-[attr(data-digit)] after:absolute after:right-[-3px] after:bottom-[-3px] after:min-w-[17px] after:rounded-[99px] after:bg-white after:text-[0.75rem] after:leading-[17px] after:text-center",
      "",
      () => this.take(fill),
      {
        title: this.fills.nameOf(fill),
        "aria-label": `${place + 1}: ${this.fills.nameOf(fill)}`,
      },
    );
    stone.style.backgroundColor = this.fills.css(fill);
    stone.dataset["digit"] = String(place + 1);
    return stone;
  }

  /** On the side of the region where there is most room, never over it; where there is none, at the side of the sheet that is further away from it. */
  private moveBeside(cell: number): void {
    const { x, y, width, height } = this.regions.shape(this.regions.of(cell));
    const from = this.view.camera.toScreen({ x, y });
    const to = this.view.camera.toScreen({ x: x + width, y: y + height });
    const place = beside(
      { left: from.x, top: from.y, width: to.x - from.x, height: to.y - from.y },
      { width: this.canvas.clientWidth, height: this.canvas.clientHeight },
      { width: this.bank.offsetWidth, height: this.bank.offsetHeight },
    );
    this.bank.style.translate = `${place.left}px ${place.top}px`;
  }
}

interface Size {
  width: number;
  height: number;
}

function beside(region: Place, room: Size, bank: Size): { left: number; top: number } {
  const kept = (at: number, size: number, most: number) =>
    Math.max(EDGE_PX, Math.min(at, most - size - EDGE_PX));
  const level = kept(region.left + region.width / 2 - bank.width / 2, bank.width, room.width);
  const upright = kept(region.top + region.height / 2 - bank.height / 2, bank.height, room.height);
  const right = region.left + region.width;
  const bottom = region.top + region.height;
  const sides = [
    { spare: room.width - right - bank.width, left: right + GAP_PX, top: upright },
    { spare: region.left - bank.width, left: region.left - GAP_PX - bank.width, top: upright },
    { spare: region.top - bank.height, left: level, top: region.top - GAP_PX - bank.height },
    { spare: room.height - bottom - bank.height, left: level, top: bottom + GAP_PX },
  ];
  const roomy = sides.filter(({ spare }) => spare >= GAP_PX + EDGE_PX);
  const best = roomy.sort((a, b) => b.spare - a.spare)[0];
  const isLow = (region.top + bottom) / 2 > room.height / 2;
  return best ?? { left: level, top: isLow ? EDGE_PX : room.height - bank.height - EDGE_PX };
}
