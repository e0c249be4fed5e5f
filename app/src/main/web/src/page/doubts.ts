import type { Alpine } from "alpinejs";
import { all } from "../shared/dom";

const ACTS: Record<string, string> = { d: "take", j: "leave", z: "back" };

/** Goes through what is in doubt by keys: D takes what is chosen, L chooses the next best, J leaves it, Ctrl Z takes the last answer back. */
export function registerDoubts(alpine: Alpine): void {
  alpine.data("doubts", () => ({
    key(event: KeyboardEvent) {
      const key = event.key.toLowerCase();
      if (event.altKey || event.metaKey || event.ctrlKey !== (key === "z") || event.repeat) {
        return;
      }
      if (key === "l") {
        this.other();
      } else if (ACTS[key]) {
        all<HTMLButtonElement>(`[data-act="${ACTS[key]}"]`, this.$root).forEach((button) => button.click());
      } else {
        return;
      }
      event.preventDefault();
    },
    other() {
      const choices = all<HTMLInputElement>("[name=fill]", this.$root);
      const at = choices.findIndex(({ checked }) => checked);
      const next = choices[(at + 1) % choices.length];
      if (next) {
        next.checked = true;
      }
    },
  }));
}
