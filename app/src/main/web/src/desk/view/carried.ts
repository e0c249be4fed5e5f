import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";

/** The present swatch, riding at the pointer. */
export function carrySwatch(carried: HTMLElement, canvas: HTMLElement, hand: Hand, fills: Fills): void {
  hand.present.subscribe((fill) => {
    const [red, green, blue, opacity] = fills.colour(fill);
    carried.style.backgroundColor = opacity === 0 ? "" : `rgb(${red} ${green} ${blue})`;
    carried.classList.toggle("is-none", opacity === 0);
  });
  canvas.addEventListener("pointermove", (event) => {
    carried.hidden = event.pointerType === "touch";
    carried.style.transform = `translate(${event.clientX + 14}px, ${event.clientY + 12}px)`;
  });
  canvas.addEventListener("pointerleave", () => (carried.hidden = true));
}
