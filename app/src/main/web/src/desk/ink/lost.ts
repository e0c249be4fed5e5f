import type { LostFill } from "messages";
import { button, el } from "../../shared/build";
import { byId } from "../../shared/dom";
import type { Fills } from "../model/fills";
import type { SheetView } from "../view/sheet-view";

/** Places to look at once the page has been loaded anew, and what is the matter with them. */
interface Places {
  readonly title: string;
  readonly note: string;
  readonly places: readonly LostFill[];
}

const KEPT = "pond/lost/";
const CLOSE_UP = 1;

/** Keeps the list over the reload that shows the sheet anew. */
export function keepLost(sheet: string, lost: LostFill[]): void {
  const count = lost.length === 1 ? "1 fill" : `${lost.length} fills`;
  keepPlaces(sheet, {
    title: lost.length === 0 ? "" : `${count} found no place in the new ink`,
    note: "",
    places: lost,
  });
}

/** Keeps places to look at; without a title there is nothing to say. */
export function keepPlaces(sheet: string, places: Places): void {
  sessionStorage.setItem(KEPT + sheet, JSON.stringify(places));
}

/** Says once what was kept; pressing a place goes there. */
export function showLost(sheet: string, fills: Fills, view: SheetView): void {
  const kept = sessionStorage.getItem(KEPT + sheet);
  sessionStorage.removeItem(KEPT + sheet);
  const { title, note, places } = JSON.parse(kept ?? '{"title":""}') as Places;
  if (!title) {
    return;
  }
  const place = byId("lost");
  byId("lost-title").textContent = title;
  byId("lost-note").textContent = note;
  byId("lost-list").replaceChildren(...places.map((each) => row(each, fills, view)));
  byId("lost-close").addEventListener("click", () => (place.hidden = true));
  place.hidden = false;
}

function row(lost: LostFill, fills: Fills, view: SheetView): HTMLElement {
  const go = () => {
    view.zoomTo(CLOSE_UP / devicePixelRatio);
    view.centreOn(lost.x, lost.y);
  };
  return el("li", {}, button("menu-item", fills.nameOf(lost.fill), go));
}
