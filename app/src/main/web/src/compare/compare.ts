import alpine from "@alpinejs/csp";
import { byId } from "../shared/dom";
import { registerMenu } from "../shared/menu";
import { submitOnChoice } from "../shared/submits";

registerMenu(alpine);
alpine.start();
submitOnChoice();

/** Before lies over after, as far as the slider says; the picture itself can be dragged over too. */
const moments = document.getElementById("moments");
if (moments) {
  const slide = byId<HTMLInputElement>("moments-slide");
  const show = () => moments.style.setProperty("--edge", `${slide.value}%`);
  slide.addEventListener("input", show);
  moments.addEventListener("pointermove", (event) => {
    if (event.buttons > 0 || event.pointerType === "mouse") {
      const box = moments.getBoundingClientRect();
      slide.value = String((100 * (event.clientX - box.left)) / box.width);
      show();
    }
  });
  show();
}
