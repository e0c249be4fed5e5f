import { byId } from "../../shared/dom";

const KEPT = "pond/drawer";

/** Something that can lie in the side column. */
export interface Drawer {
  readonly isOpen: boolean;
  show(open: boolean): void;
}

/** The side column: one drawer is open at a time, or none; which one is kept. */
export class Column {
  constructor(private readonly drawers: Readonly<Record<string, Drawer>>) {
    for (const name of Object.keys(drawers)) {
      byId(`${name}-button`).addEventListener("click", () => this.toggle(name));
    }
    const kept = localStorage.getItem(KEPT) ?? "gaps";
    Object.entries(drawers).forEach(([name, drawer]) => drawer.show(name === kept));
  }

  toggle(name: string): void {
    const open = this.drawers[name]!.isOpen ? "" : name;
    Object.entries(this.drawers).forEach(([each, drawer]) => drawer.show(each === open));
    localStorage.setItem(KEPT, open);
  }
}
