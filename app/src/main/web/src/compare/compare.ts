import alpine from "@alpinejs/csp";
import "htmx.org";
import { byId } from "../shared/dom";
import { registerMenu } from "../shared/menu";
import { submitOnChoice } from "../shared/submits";

registerMenu(alpine);
alpine.start();
submitOnChoice();

/** Before lies over after, as far as the slider says; the picture itself can be dragged over too. Both may be exchanged for others at any time. */
function show(share: number): void {
  document.querySelector<HTMLElement>(".moments")!.style.setProperty("--edge", `${share}%`);
  byId<HTMLInputElement>("moments-slide").value = String(share);
}

document.addEventListener("input", ({ target }) => {
  if (target instanceof HTMLInputElement && target.id === "moments-slide") {
    show(target.valueAsNumber);
  }
});
document.addEventListener("pointermove", (event) => {
  const moments = (event.target as Element).closest(".moments");
  if (moments && (event.buttons > 0 || event.pointerType === "mouse")) {
    const box = moments.getBoundingClientRect();
    show((100 * (event.clientX - box.left)) / box.width);
  }
});
