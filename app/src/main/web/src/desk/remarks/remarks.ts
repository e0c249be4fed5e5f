import htmx from "htmx.org";
import { all, byId } from "../../shared/dom";
import type { Point } from "../geometry/camera";
import type { Hand } from "../hand/hand";
import type { Regions } from "../model/regions";
import type { Stack } from "../model/stack";
import type { Column, Drawer } from "../view/column";
import type { Crop } from "../view/crop";
import type { SheetView } from "../view/sheet-view";

const NAME = "remarks";
/** So many strokes wide is what a picture shows around a place. */
const AROUND_STROKES = 30;

/** What is said about the sheet: the list is the server's; its pictures, and the pins on the sheet, are the desk's. */
export class RemarksDrawer implements Drawer {
  private readonly panel = byId(NAME);
  private readonly button = byId(`${NAME}-button`);
  private readonly pins = byId("pins");
  private readonly pin = byId<HTMLTemplateElement>("remark-pin");
  /** The row that was gone to last, by its id. */
  private present: string | undefined;
  /** Whether what is to be written in is on its way. */
  private isWriting = false;

  constructor(
    private readonly path: string,
    private readonly stack: Stack,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly crop: Crop,
    private readonly regions: Regions,
    private readonly column: Column,
  ) {
    this.panel.addEventListener("htmx:after:settle", () => this.renewed());
    this.panel.addEventListener("click", ({ target }) => {
      const row = (target as Element).closest(".remark-go")?.closest("li");
      if (row) {
        this.goTo(row);
      }
    });
    view.onMove(() => this.placePins());
  }

  get isOpen(): boolean {
    return !this.panel.hidden;
  }

  show(open: boolean): void {
    this.panel.hidden = !open;
    this.button.setAttribute("aria-expanded", String(open));
    if (open) {
      this.renew();
      this.paint();
    }
  }

  /** Asks the server again; not while somebody writes, who would lose it. */
  renew(): void {
    if (!this.isWriting && !this.panel.querySelector("#remark-new")) {
      byId("remarks-answer").dispatchEvent(new Event("opened"));
    }
  }

  /** Opens a remark about the region pointed at, to be written. */
  async begin(): Promise<void> {
    const cell = this.hand.cell.get();
    if (cell === undefined) {
      this.hand.said.set("Point at what you want to say something about");
      return;
    }
    this.isWriting = true;
    try {
      if (!this.isOpen) {
        this.column.toggle(NAME);
      }
      const { deepestX, deepestY } = this.regions.shape(this.regions.of(cell));
      const { xPx, yPx, layer } = this.stack.present;
      const query = new URLSearchParams({ x: String(deepestX + xPx), y: String(deepestY + yPx), layer });
      await htmx.ajax("GET", `${this.path}/remarks?${query}`, {
        target: "#remarks-answer",
        swap: "outerMorph",
      });
    } finally {
      this.isWriting = false;
    }
    this.panel.querySelector<HTMLElement>("textarea")?.focus();
  }

  /** Goes to the next open remark, or the one before; says so if there is none. */
  step(by: 1 | -1): void {
    const open = this.rows().filter((row) => row.dataset["open"] === "true");
    if (open.length === 0) {
      this.hand.said.set("No open remark on this sheet");
      return;
    }
    const at = open.findIndex((row) => row.id === this.present);
    const next = at < 0 && by < 0 ? open.length - 1 : (at + by + open.length) % open.length;
    this.goTo(open[next]!);
  }

  private rows(): HTMLElement[] {
    return all<HTMLElement>("li[data-x]", this.panel);
  }

  private goTo(row: HTMLElement): void {
    if (!this.isOpen) {
      this.column.toggle(NAME);
    }
    this.present = row.id;
    this.mark();
    row.scrollIntoView({ block: "nearest" });
    const place = this.placeOf(row);
    const cell = this.view.cellOfPixel(place);
    if (cell !== undefined) {
      this.hand.goToCell(cell);
    }
    this.view.showClose(place, AROUND_STROKES * this.regions.strokePx);
    this.hand.said.set(`Remark ${row.dataset["number"]}: ${row.querySelector("p")!.textContent}`);
  }

  /** On the layer that is worked on; the server tells of the page. */
  private placeOf(element: HTMLElement): Point {
    const { xPx, yPx } = this.stack.present;
    return { x: Number(element.dataset["x"]) - xPx, y: Number(element.dataset["y"]) - yPx };
  }

  private renewed(): void {
    this.pins.querySelectorAll("button").forEach((pin) => pin.remove());
    for (const row of this.rows().filter((each) => each.dataset["open"] === "true")) {
      const pin = this.pin.content.firstElementChild!.cloneNode(true) as HTMLButtonElement;
      pin.textContent = row.dataset["number"]!;
      pin.setAttribute("aria-label", `Remark ${row.dataset["number"]}`);
      pin.dataset["row"] = row.id;
      pin.addEventListener("click", () => this.goTo(byId(row.id)));
      this.pins.append(pin);
    }
    this.mark();
    this.placePins();
    this.paint();
  }

  private mark(): void {
    this.rows().forEach((row) => row.classList.toggle("is-gone-to", row.id === this.present));
    all<HTMLElement>("button", this.pins).forEach((pin) =>
      pin.setAttribute("aria-current", String(pin.dataset["row"] === this.present)),
    );
  }

  private placePins(): void {
    for (const pin of all<HTMLElement>("button", this.pins)) {
      const at = this.view.camera.toScreen(this.placeOf(byId(pin.dataset["row"]!)));
      pin.style.transform = `translate(${at.x - 6}px, ${at.y - 9}px) translate(0, -100%)`;
    }
  }

  private paint(): void {
    if (this.isOpen) {
      all<HTMLCanvasElement>("canvas[data-x]", this.panel).forEach((canvas) =>
        this.crop.paintAround(canvas, this.placeOf(canvas), AROUND_STROKES * this.regions.strokePx),
      );
    }
  }
}
