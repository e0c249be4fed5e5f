/** Ranges say what their value means: what stands beside it, or else the number with its unit. */
export function tellRanges(): void {
  const tell = (range: HTMLInputElement) => {
    const beside =
      range.parentElement?.querySelector("output") ?? document.getElementById(`${range.id}-said`);
    const words = beside?.textContent?.trim() || `${range.value}${range.dataset["unit"] ?? ""}`;
    range.setAttribute("aria-valuetext", words);
  };
  const onRange = (event: Event) => {
    const range = event.target;
    if (range instanceof HTMLInputElement && range.type === "range") {
      // What stands beside it is written by whoever hears this too.
      queueMicrotask(() => tell(range));
    }
  };
  document.addEventListener("input", onRange);
  document.addEventListener("focusin", onRange);
  document.querySelectorAll<HTMLInputElement>("input[type=range]").forEach(tell);
}
