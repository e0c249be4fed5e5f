import { byId } from "../../shared/dom";
import { SMALL_SCREEN } from "../../shared/small-screen";

const KEPT = "pond/drawer";

/** Something that can lie in the side column. */
export interface Drawer {
  readonly isOpen: boolean;
  show(open: boolean): void;
}

/** The side column: one drawer is open at a time, or none; which one is kept. */
export class Column {
  private readonly drawers = new Map<string, Drawer>();
  /** On a small screen drawers lie over the sheet, so none is open before it is asked for. */
  private readonly kept = SMALL_SCREEN.matches ? "" : (localStorage.getItem(KEPT) ?? "gaps");

  add(name: string, drawer: Drawer): void {
    this.drawers.set(name, drawer);
    byId(`${name}-button`).addEventListener("click", () => this.toggle(name));
    drawer.show(name === this.kept);
  }

  toggle(name: string): void {
    const open = this.drawers.get(name)!.isOpen ? "" : name;
    this.drawers.forEach((drawer, each) => drawer.show(each === open));
    if (!SMALL_SCREEN.matches) {
      localStorage.setItem(KEPT, open);
    }
  }
}
