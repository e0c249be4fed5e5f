import type { Alpine } from "alpinejs";

/** Before lies over after, as far as the slider says; the picture itself can be dragged over too. */
export function registerMoments(alpine: Alpine): void {
  alpine.data("moments", () => ({
    share: 50,
    get edge() {
      return { "--edge": `${this.share}%` };
    },
    point(event: PointerEvent) {
      if (event.buttons > 0 || event.pointerType === "mouse") {
        const box = (event.currentTarget as Element).getBoundingClientRect();
        this.share = (100 * (event.clientX - box.left)) / box.width;
      }
    },
  }));
}
