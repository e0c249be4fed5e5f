import type { Alpine } from "alpinejs";

/** Registers what an element does that names it in x-data; it begins again with each such element that comes, in a fragment too. */
export function component(alpine: Alpine, name: string, begin: (element: HTMLElement) => void): void {
  alpine.data(name, () => ({
    init() {
      begin(this.$el);
    },
  }));
}
