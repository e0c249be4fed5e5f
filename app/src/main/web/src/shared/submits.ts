import type { Alpine } from "alpinejs";

/** A form that is sent as soon as a file is chosen in it. */
export function registerSubmits(alpine: Alpine): void {
  alpine.data("submits", () => ({
    send(event: Event) {
      (event.target as HTMLInputElement).form!.requestSubmit();
    },
  }));
}
