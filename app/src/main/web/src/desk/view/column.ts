import { byId } from "../../shared/dom";

const KEPT = "pond/drawer";

/** Something that can lie in the side column. */
export interface Drawer {
  readonly isOpen: boolean;
  show(open: boolean): void;
}

/** The side column: one drawer is open at a time, or none; which one is kept. */
export class Column {
  private readonly drawers = new Map<string, Drawer>();
  private readonly kept = localStorage.getItem(KEPT) ?? "gaps";

  add(name: string, drawer: Drawer): void {
    this.drawers.set(name, drawer);
    byId(`${name}-button`).addEventListener("click", () => this.toggle(name));
    drawer.show(name === this.kept);
  }

  toggle(name: string): void {
    const open = this.drawers.get(name)!.isOpen ? "" : name;
    this.drawers.forEach((drawer, each) => drawer.show(each === open));
    localStorage.setItem(KEPT, open);
  }
}
