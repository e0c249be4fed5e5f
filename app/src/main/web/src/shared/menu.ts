import type { Alpine } from "alpinejs";

/** A button with a small list under it. */
export function registerMenu(alpine: Alpine): void {
  alpine.data("menu", () => ({
    open: false,
    toggle() {
      this.open = !this.open;
    },
    close() {
      this.open = false;
    },
  }));
}
