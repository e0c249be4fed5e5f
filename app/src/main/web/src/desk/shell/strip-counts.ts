import { all } from "../../shared/dom";

/** Says on the small pictures of the strip how much of each sheet is to be checked; one after the other, so that the desk itself comes first. */
export async function showStripCounts(): Promise<void> {
  for (const place of all<HTMLElement>("[data-check]")) {
    const answer = await fetch(place.dataset["check"]!).catch(() => undefined);
    const counts = (answer?.ok ? await answer.text() : "").match(/\d+/g) ?? [];
    const count = counts.reduce((sum, each) => sum + Number(each), 0);
    place.textContent = count > 0 ? String(count) : "";
  }
}
