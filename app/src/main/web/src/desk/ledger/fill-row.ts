import { el, whilePointedAt } from "../../shared/build";
import type { Fills } from "../model/fills";
import { isStroke } from "../model/places";
import type { Fill } from "../model/state";
import type { SheetView } from "../view/sheet-view";

/** A fill in a list: its stone, its name and a note; while it is pointed at, its cells or strokes are shown. */
export function fillRow(
  fills: Fills,
  view: SheetView,
  row: { fill: Fill; name: string; note: string; places: readonly number[] },
  properties: Parameters<typeof el>[1],
): HTMLElement {
  const stone = el("span", { className: "ledger-stone" });
  stone.style.background = fills.css(row.fill);
  // A line colour is shown as a line.
  stone.classList.toggle("is-ink", row.places.some(isStroke));
  const text = el("span", {}, el("strong", {}, row.name), el("span", { className: "quiet" }, row.note));
  const made = el("button", { type: "button", className: "ledger-row", ...properties }, stone, text);
  lightUp(view, made, row.places);
  return el("li", {}, made);
}

export function lightUp(view: SheetView, element: HTMLElement, places: readonly number[]): void {
  whilePointedAt(
    element,
    () => view.light(places),
    () => view.light(undefined),
  );
}
