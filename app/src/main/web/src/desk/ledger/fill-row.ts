import { el, whilePointedAt } from "../../shared/build";
import type { Fills } from "../model/fills";
import type { Fill } from "../model/state";
import type { SheetView } from "../view/sheet-view";

/** A fill in a list: its stone, its name and a note; while it is pointed at, its cells light up. */
export function fillRow(
  fills: Fills,
  view: SheetView,
  row: { fill: Fill; name: string; note: string; cells: readonly number[] },
  properties: Parameters<typeof el>[1],
): HTMLElement {
  const stone = el("span", { className: "ledger-stone" });
  stone.style.background = fills.css(row.fill);
  const text = el("span", {}, el("strong", {}, row.name), el("span", { className: "quiet" }, row.note));
  const made = el("button", { type: "button", className: "ledger-row", ...properties }, stone, text);
  lightUp(view, made, row.cells);
  return el("li", {}, made);
}

export function lightUp(view: SheetView, element: HTMLElement, cells: readonly number[]): void {
  whilePointedAt(
    element,
    () => view.light(cells),
    () => view.light(undefined),
  );
}
