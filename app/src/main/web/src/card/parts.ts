import sort from "@alpinejs/sort";
import type { Alpine } from "alpinejs";

/** The parts of a card, dragged to another place by their stones. @param moved told with the part and its new place, from 0 */
export function registerParts(alpine: Alpine, moved: (swatch: string, at: number) => void): void {
  alpine.plugin(sort);
  alpine.data("parts", () => ({ moved }));
}
