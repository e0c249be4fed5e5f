import { byId } from "../../shared/dom";
import type { Fills } from "../model/fills";
import type { Fill } from "../model/state";
import type { SheetView } from "../view/sheet-view";

/** A fill that found no place when the line art was analysed anew; x and y are shares of the sheet's size. */
export interface LostFill {
  readonly swatch: Fill;
  readonly x: number;
  readonly y: number;
}

const KEPT = "pond/lost/";
const CLOSE_UP = 1;

/** Keeps the list over the reload that shows the sheet anew. */
export function keepLost(sheet: string, lost: LostFill[]): void {
  sessionStorage.setItem(KEPT + sheet, JSON.stringify(lost));
}

/** Lists fills that found no place, once; pressing one goes where it was. */
export function showLost(sheet: string, fills: Fills, view: SheetView): void {
  const lost = JSON.parse(sessionStorage.getItem(KEPT + sheet) ?? "[]") as LostFill[];
  sessionStorage.removeItem(KEPT + sheet);
  if (lost.length === 0) {
    return;
  }
  const place = byId("lost");
  const count = lost.length === 1 ? "1 fill" : `${lost.length} fills`;
  byId("lost-title").textContent = `${count} found no place in the new ink`;
  byId("lost-list").replaceChildren(...lost.map((each) => row(each, fills, view)));
  byId("lost-close").addEventListener("click", () => (place.hidden = true));
  place.hidden = false;
}

function row(lost: LostFill, fills: Fills, view: SheetView): HTMLElement {
  const item = document.createElement("li");
  const button = document.createElement("button");
  button.type = "button";
  button.className = "menu-item";
  button.textContent = fills.nameOf(lost.swatch);
  button.addEventListener("click", () => {
    view.zoomTo(CLOSE_UP / devicePixelRatio);
    view.centreOn(lost.x, lost.y);
  });
  item.append(button);
  return item;
}
