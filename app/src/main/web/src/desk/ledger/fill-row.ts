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
  const stone = el("span", {
    className:
      "flex-none w-[38px] h-[37px] border border-[oklch(0_0_0_/_0.2)] rounded-[46%_54%_51%_49%_/_50%_47%_53%_50%] [&.is-ink]:h-[11px] [&.is-ink]:rounded-[7px_4px_6px_5px] [&.is-ink]:[transform:rotate(-14deg)]",
  });
  stone.style.background = fills.css(row.fill);
  // A line colour is shown as a line.
  stone.classList.toggle("is-ink", row.places.some(isStroke));
  const text = el("span", {}, el("strong", {}, row.name), el("span", { className: "quiet" }, row.note));
  const made = el(
    "button",
    {
      type: "button",
      className:
        "ledger-row flex gap-[10px] items-center w-full py-[5px] px-[14px] text-left hover:bg-white [&>span:last-child]:flex [&>span:last-child]:flex-col [&>span:last-child]:leading-[1.25] [&>span:last-child]:text-[0.9rem] in-[.carry]:[&[aria-current=true]]:bg-white",
      ...properties,
    },
    stone,
    text,
  );
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
