import type { Desk } from "../hand/desk";
import { InkPanel } from "./ink-panel";
import { showLost } from "./lost";

/** What counts as ink, and what found no place when that was changed. */
export function openInk({ path, state, view, ink, layer, fills }: Desk): void {
  new InkPanel(path, state.sheet, view, ink, layer.inkSettings);
  showLost(state.sheet, fills, view);
}
