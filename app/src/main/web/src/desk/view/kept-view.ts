import type { SheetView } from "./sheet-view";

/** Where somebody was looking: the sheet position in the middle, and the scale. Null: the whole sheet, fitted. */
type Kept = { readonly x: number; readonly y: number; readonly scale: number } | null;

const LAST = "pond/view";

/** Keeps view and zoom for each sheet; a sheet that was not open before takes over the zoom of the last one. */
export function keepView(view: SheetView, sheet: string): void {
  const own = `${LAST}/${sheet}`;
  const kept = JSON.parse(localStorage.getItem(own) ?? localStorage.getItem(LAST) ?? "null") as Kept;
  if (kept) {
    view.lookAt(kept, kept.scale);
  }
  let asked: number | undefined;
  view.onMove(() => {
    clearTimeout(asked);
    asked = setTimeout(() => {
      const now = JSON.stringify(view.fitted ? null : { ...view.middle, scale: view.camera.scale });
      localStorage.setItem(own, now);
      localStorage.setItem(LAST, now);
    }, 150);
  });
}
