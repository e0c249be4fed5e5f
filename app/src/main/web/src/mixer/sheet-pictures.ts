import { el } from "../shared/build";
import type { Outlook } from "./palette-calls";

const MOST = 2;

/** Sheets that would change, each before and after; the first few. */
export function beforeAndAfter(
  project: string,
  sheets: Outlook["sheets"],
  colours: Record<string, string>,
): HTMLElement[] {
  const tried = Object.entries(colours)
    .map(([id, hex]) => `try=${id}${encodeURIComponent(hex)}`)
    .join("&");
  return sheets.slice(0, MOST).map(({ sheet, title }) => {
    const path = `/projects/${project}/sheets/${sheet}/small.png`;
    return el(
      "figure",
      { title: `${title}, before and after` },
      el("img", { src: path, alt: `${title} before` }),
      el("img", { src: `${path}?${tried}`, alt: `${title} after` }),
    );
  });
}
