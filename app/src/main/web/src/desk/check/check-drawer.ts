import type { CheckAct } from "messages";
import { all, byId } from "../../shared/dom";
import type { Crop } from "../view/crop";
import type { Drawer } from "../view/column";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import { NO_FILL } from "../model/state";
import type { Regions } from "../model/regions";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";

/** What is wrong or suspicious on the sheet: the list is the server's; its pictures, and what its buttons do, are the desk's. */
export class CheckDrawer implements Drawer {
  private readonly panel = byId("check");
  private readonly button = byId("check-button");

  constructor(
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly crop: Crop,
    private readonly openKinds: (cells: number[]) => void,
  ) {
    work.outbox.waiting.listen((waiting) => waiting === 0 && this.tell("settled"));
    this.panel.addEventListener("htmx:after:settle", () => this.paint());
    this.panel.addEventListener("click", ({ target }) => this.click(target as Element));
    for (const event of ["pointerover", "focusin"]) {
      this.panel.addEventListener(event, ({ target }) => this.light(rowOf(target as Element)));
    }
    for (const event of ["pointerleave", "focusout"]) {
      this.panel.addEventListener(event, () => this.light(null));
    }
  }

  get isOpen(): boolean {
    return !this.panel.hidden;
  }

  show(open: boolean): void {
    this.panel.hidden = !open;
    this.button.setAttribute("aria-expanded", String(open));
    if (open) {
      this.tell("opened");
      this.paint();
    }
  }

  /** The list asks for itself when it hears this. */
  private tell(event: "settled" | "opened"): void {
    byId("check-answer").dispatchEvent(new Event(event));
  }

  private paint(): void {
    if (this.isOpen) {
      all("li[data-places]", this.panel).forEach((row) => {
        const { middle, width, height } = this.placeOf(row);
        const span = Math.max(60, 1.6 * Math.max(width, height));
        this.crop.paintAround(row.querySelector("canvas")!, middle, span);
      });
    }
  }

  private light(row: HTMLElement | null): void {
    this.view.light(row ? placesOf(row) : undefined);
  }

  private click(target: Element): void {
    const row = rowOf(target);
    const act = target.closest<HTMLElement>("[data-act]");
    if (act) {
      this.run(JSON.parse(act.dataset["act"]!) as CheckAct);
    } else if (row && target.closest(".gap-title")) {
      this.go(row);
    }
  }

  private go(row: HTMLElement): void {
    const first = placesOf(row)[0]!;
    if (first >= 0) {
      this.hand.goToCell(first);
    }
    const { middle, width, height } = this.placeOf(row);
    this.view.showClose(middle, Math.min(width, height));
  }

  /** Where on the sheet it is to be seen. */
  private placeOf(row: HTMLElement): { middle: Point; width: number; height: number } {
    const box = row.dataset["at"]?.split(" ").map(Number) as [number, number, number, number] | undefined;
    if (box) {
      const [width, height] = [box[2] - box[0], box[3] - box[1]];
      return { middle: { x: box[0] + width / 2, y: box[1] + height / 2 }, width, height };
    }
    const {
      deepestX: x,
      deepestY: y,
      width,
      height,
    } = this.regions.shape(this.regions.of(placesOf(row)[0]!));
    return { middle: { x, y }, width, height };
  }

  private run({ kind, lays, swatch, by, cells, openings }: CheckAct): void {
    switch (kind) {
      case "LAY":
        this.work.layAll(new Map(Object.entries(lays)));
        break;
      case "REPLACE":
        this.work.layAll(this.fills.replacing(swatch!, by!));
        break;
      case "TAKE_IN":
        this.takeIn(cells, openings);
        break;
      case "CHOOSE":
        this.openKinds(cells);
    }
  }

  /** Dams the ways out, and takes the fill away outside. */
  private takeIn(cells: readonly number[], openings: readonly number[]): void {
    const fill = this.fills.of(cells[0]!);
    const before = this.regions.cellsWith(cells[0]!);
    this.work.dam(new Map(openings.map((index) => [index, "SHUT"] as const)));
    const inside = new Set(cells);
    this.work.lay(
      NO_FILL,
      before.filter((cell) => !inside.has(cell) && this.fills.of(cell) === fill),
    );
  }
}

function rowOf(element: Element): HTMLElement | null {
  return element.closest<HTMLElement>("li[data-places]");
}

function placesOf(row: HTMLElement): number[] {
  return row.dataset["places"]!.split(" ").map(Number);
}
