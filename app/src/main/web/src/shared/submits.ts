import { all } from "./dom";

/** Sends a form as soon as a file, or another entry, is chosen in it. */
export function submitOnChoice(): void {
  for (const input of all<HTMLInputElement | HTMLSelectElement>("[data-submits]")) {
    input.addEventListener("change", () => input.form!.submit());
  }
}
