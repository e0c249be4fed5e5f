import type { Alpine } from "alpinejs";
import { all } from "../shared/dom";

/** Ticks the sheets from one on, in their order, and none before it. */
export function registerReach(alpine: Alpine): void {
  alpine.data("reach", () => ({
    from(event: Event) {
      const first = Number((event.currentTarget as HTMLElement).dataset["at"]);
      all<HTMLInputElement>("[name=sheet]", this.$root).forEach((box, at) => (box.checked = at >= first));
    },
  }));
}

/** Ticks all boxes of a group, or none. */
export function registerTicks(alpine: Alpine): void {
  const tick = (root: HTMLElement, on: boolean) =>
    all<HTMLInputElement>("input[type=checkbox]", root).forEach((box) => (box.checked = on));
  alpine.data("ticks", () => ({
    all() {
      tick(this.$root, true);
    },
    none() {
      tick(this.$root, false);
    },
  }));
}
