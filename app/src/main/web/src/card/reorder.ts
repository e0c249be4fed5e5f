import { all } from "../shared/dom";

const DRAG_PX = 8;

/** Lets the parts of a card be dragged to another place by their stones. */
export function reorder(list: HTMLElement, moved: (swatch: string, at: number) => void): void {
  for (const stone of all<HTMLElement>(".part-stone", list)) {
    stone.addEventListener("pointerdown", (down) => {
      const part = stone.closest<HTMLElement>("[data-swatch]")!;
      let dragging = false;
      const move = (event: PointerEvent) => {
        dragging ||= Math.hypot(event.clientX - down.clientX, event.clientY - down.clientY) > DRAG_PX;
        if (dragging) {
          stone.setPointerCapture(event.pointerId);
          part.classList.add("is-dragged");
          const under = document
            .elementsFromPoint(event.clientX, event.clientY)
            .map((each) => each.closest<HTMLElement>("[data-swatch]"))
            .find((each) => each && each !== part);
          if (under) {
            const parts = all<HTMLElement>("[data-swatch]", list);
            under[parts.indexOf(part) < parts.indexOf(under) ? "after" : "before"](part);
          }
        }
      };
      const end = () => {
        stone.removeEventListener("pointermove", move);
        part.classList.remove("is-dragged");
        if (dragging) {
          stone.addEventListener("click", (event) => event.stopImmediatePropagation(), {
            capture: true,
            once: true,
          });
          moved(part.dataset["swatch"]!, all<HTMLElement>("[data-swatch]", list).indexOf(part));
        }
      };
      stone.addEventListener("pointermove", move);
      stone.addEventListener("pointerup", end, { once: true });
      stone.addEventListener("pointercancel", end, { once: true });
    });
  }
}
