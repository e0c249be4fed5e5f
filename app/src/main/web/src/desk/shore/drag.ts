import type { Hand } from "../hand/hand";
import { NO_FILL, type Fill } from "../model/state";
import type { Carried } from "./carried";

const DRAG_PX = 7;

/** What happens when one swatch is dropped on another, at a place in the window. */
export type Meeting = (dragged: Fill, onto: Fill, at: { x: number; y: number }) => void;

/** Lets a pebble be dragged from the shore and dropped on a region or on another pebble; the swatch in the hand stays as it was. */
export function dropPebbles(
  shore: HTMLElement,
  canvas: HTMLElement,
  carried: Carried,
  hand: Hand,
  meet: Meeting,
  putOn: (dragged: Fill, card: string) => void,
): void {
  shore.addEventListener("pointerdown", (down) => {
    const pebble = (down.target as Element).closest<HTMLElement>(".pebble[data-fill]");
    if (pebble && down.button === 0) {
      follow(pebble, down);
    }
  });

  function follow(pebble: HTMLElement, down: PointerEvent): void {
    const fill = pebble.dataset["fill"] ?? NO_FILL;
    let dragging = false;
    pebble.setPointerCapture(down.pointerId);
    const move = (event: PointerEvent) => {
      dragging ||= Math.hypot(event.clientX - down.clientX, event.clientY - down.clientY) > DRAG_PX;
      if (dragging) {
        carried.drag(fill, event.clientX, event.clientY);
        hand.pointAt(overSheet(event));
      }
    };
    const end = (event: PointerEvent) => {
      pebble.removeEventListener("pointermove", move);
      pebble.removeEventListener("pointerup", end);
      pebble.removeEventListener("pointercancel", end);
      // The hand goes back to the sheet, and so do the keys that walk over it.
      canvas.focus({ preventScroll: true });
      if (!dragging) {
        return;
      }
      if (event.type === "pointerup" && overSheet(event)) {
        hand.layHere(fill);
      } else if (event.type === "pointerup") {
        const other = document
          .elementsFromPoint(event.clientX, event.clientY)
          .map((each) => each.closest<HTMLElement>(".pebble[data-fill]"))
          .find((each) => each !== null);
        const onto = other?.dataset["fill"] ?? NO_FILL;
        const card = document
          .elementsFromPoint(event.clientX, event.clientY)
          .map((each) => each.closest<HTMLElement>(".shore-card[data-card]"))
          .find((each) => each !== null);
        if (!other && card && fill !== NO_FILL && !card.contains(pebble)) {
          putOn(fill, card.dataset["card"]!);
        }
        if (onto !== NO_FILL && fill !== NO_FILL && onto !== fill) {
          meet(fill, onto, { x: event.clientX, y: event.clientY });
        }
      }
      carried.drop();
      pebble.addEventListener("click", swallow, { capture: true, once: true });
      setTimeout(() => pebble.removeEventListener("click", swallow, { capture: true }));
    };
    pebble.addEventListener("pointermove", move);
    pebble.addEventListener("pointerup", end);
    pebble.addEventListener("pointercancel", end);
  }

  function overSheet(event: PointerEvent): { x: number; y: number } | undefined {
    const box = canvas.getBoundingClientRect();
    const point = { x: event.clientX - box.left, y: event.clientY - box.top };
    return point.x >= 0 && point.y >= 0 && point.x < box.width && point.y < box.height ? point : undefined;
  }
}

/** The click that a browser makes of the end of a drag is not meant as one. */
function swallow(event: Event): void {
  event.stopImmediatePropagation();
}
