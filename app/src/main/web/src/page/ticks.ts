import type { Alpine } from "alpinejs";
import { all } from "../shared/dom";

/** Ticks the sheets from one on, in their order, those of one scene, or none. */
export function registerReach(alpine: Alpine): void {
  const tick = (root: HTMLElement, isMeant: (box: HTMLInputElement, at: number) => boolean) =>
    all<HTMLInputElement>("[name=sheet]", root).forEach((box, at) => (box.checked = isMeant(box, at)));
  const asked = (event: Event) => (event.currentTarget as HTMLElement).dataset;
  alpine.data("reach", () => ({
    from(event: Event) {
      const first = Number(asked(event)["at"]);
      tick(this.$root, (_, at) => at >= first);
    },
    scene(event: Event) {
      const scene = asked(event)["scene"];
      tick(this.$root, (box) => box.dataset["scene"] === scene);
    },
    none() {
      tick(this.$root, () => false);
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
