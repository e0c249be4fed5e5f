import focus from "@alpinejs/focus";
import type { Alpine } from "alpinejs";

/** What the focus plugin does within an element. */
interface Focus {
  within(element: Element): Focus;
  wrap(): Focus;
  first(): void;
  next(): void;
  previous(): void;
}

/** A button with a small list under it; arrow keys go through the list. */
export function registerMenu(alpine: Alpine): void {
  alpine.plugin(focus);
  alpine.data("menu", () => ({
    open: false,
    toggle() {
      this.open = !this.open;
    },
    close() {
      this.open = false;
    },
    /** What the menu hears. */
    heard: {
      "x-on:keydown.escape"(this: Menu) {
        this.close();
      },
      "x-on:click.outside"(this: Menu) {
        this.close();
      },
      "x-on:keydown.down"(this: Menu, event: KeyboardEvent) {
        step(this, event, "next");
      },
      "x-on:keydown.up"(this: Menu, event: KeyboardEvent) {
        step(this, event, "previous");
      },
    },
  }));
}

interface Menu {
  open: boolean;
  close(): void;
  $root: HTMLElement;
  $focus: Focus;
}

/** Where arrow keys mean something else, as in a field, they are left alone. */
function step(menu: Menu, event: KeyboardEvent, to: "next" | "previous"): void {
  const list = menu.$root.querySelector(".menu-list");
  if (menu.open && list && !(event.target as Element).matches("input, select, textarea")) {
    event.preventDefault();
    event.stopPropagation();
    menu.$focus.within(list).wrap()[list.contains(document.activeElement) ? to : "first"]();
  }
}
