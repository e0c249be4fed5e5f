import type { Point } from "./camera";

/** Follows a press on an element until it is let go. @param moved told where the pointer is @param ended told whether it moved at all */
export function drag(
  event: PointerEvent,
  moved: (at: Point) => void,
  ended: (hasMoved: boolean) => void,
): void {
  const element = event.currentTarget as HTMLElement;
  let hasMoved = false;
  element.setPointerCapture(event.pointerId);
  const move = (each: PointerEvent) => {
    hasMoved = true;
    moved({ x: each.clientX, y: each.clientY });
  };
  const end = () => {
    element.removeEventListener("pointermove", move);
    element.removeEventListener("pointerup", end);
    element.removeEventListener("pointercancel", end);
    ended(hasMoved);
  };
  element.addEventListener("pointermove", move);
  element.addEventListener("pointerup", end);
  element.addEventListener("pointercancel", end);
  event.preventDefault();
  event.stopPropagation();
}
