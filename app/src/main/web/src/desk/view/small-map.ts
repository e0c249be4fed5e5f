import { byId } from "../../shared/dom";
import type { SheetView } from "./sheet-view";

/** The whole sheet in a corner with what is in view framed, while zoomed in; press or drag on it to go there. */
export function showMap(view: SheetView): void {
  const map = byId("map");
  const frame = byId("map-frame");
  const picture = byId("map-picture");

  const show = () => {
    map.hidden = !view.reachesOut;
    if (map.hidden) {
      return;
    }
    const shown = view.shown;
    frame.style.left = `${100 * shown.x}%`;
    frame.style.top = `${100 * shown.y}%`;
    frame.style.width = `${100 * shown.width}%`;
    frame.style.height = `${100 * shown.height}%`;
  };
  const go = (event: PointerEvent) => {
    const box = picture.getBoundingClientRect();
    view.centreOn((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
  };
  map.addEventListener("pointerdown", (event) => {
    map.setPointerCapture(event.pointerId);
    go(event);
  });
  map.addEventListener("pointermove", (event) => {
    if (map.hasPointerCapture(event.pointerId)) {
      go(event);
    }
  });
  view.onMove(show);
  show();
}
