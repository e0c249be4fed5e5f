import alpine from "@alpinejs/csp";
import { openBlockIn } from "./blockin/open";
import { openCarry } from "./carry/open";
import { openCheck } from "./check/open";
import { openGaps } from "./gaps/open";
import { openDesk, type Desk } from "./hand/desk";
import { NewCells } from "./hand/new-cells";
import { openHere } from "./here/open";
import { openInk } from "./ink/open";
import { openKinds } from "./kinds/open";
import { openLayers } from "./layers/open";
import { openLedger } from "./ledger/open";
import { openLines } from "./lines/open";
import { fetchCells, fetchInk } from "./model/planes";
import { openRemarks } from "./remarks/open";
import { openSampling } from "./sampling/open";
import { openShadows } from "./shadows/open";
import { openShell } from "./shell/open";
import { waitUntilSharp } from "./shell/sharpening";
import { showStripCounts } from "./shell/strip-counts";
import { openShore } from "./shore/open";
import { openTogether } from "./together/open";
import { EvenHandles } from "./view/even-handles";
import { SmallPicture } from "./view/small-picture";
import { byId } from "../shared/dom";
import { tellRanges } from "../shared/ranges";
import { registerMenu } from "../shared/menu";

registerMenu(alpine);
alpine.start();
tellRanges();

async function open(): Promise<void> {
  const desk = await openDesk();
  const { path, state, layer, ink, fills, regions, strokes, shadows, stack, work, view, hand } = desk;
  const shore = openShore(desk);
  const lines = openLines(desk, shore.mixing);
  const groups = openLedger(desk);
  const shadowCalls = openShadows(desk, groups);
  const pictures = ["present-picture", "map-picture"].map((id) => byId<HTMLCanvasElement>(id));
  const small = new SmallPicture(pictures, fills, strokes, shadows, groups, stack);
  const newCells = new NewCells(path, layer, ink, fills, regions, view, work, hand, small, strokes, shadows);
  work.cutAnew.listen(() => void newCells.takeOver());
  desk.parts.hearFrom(desk.live, state.sheet, () => newCells.takeOver());
  const handles = new EvenHandles(view);
  const gaps = openGaps(desk, newCells, handles);
  const layers = openLayers(desk, small);
  const kinds = openKinds(desk, shore);
  const reference = openBlockIn(desk, newCells, shore, handles);
  openSampling(desk, shore.mixing, reference);
  openCheck(desk, kinds);
  openRemarks(desk);
  openCarry(desk, shadowCalls, groups, newCells);
  openHere(desk, {
    showOpenings: gaps.show,
    colourInk: (cells, fill) => void lines.layAround(cells, fill),
    tellLayers: (at) => layers.tellHere(at),
  });
  openInk(desk);
  openTogether(desk);
  openShell(desk);
  waitUntilSharp(
    path,
    layer.isSharp,
    () => hand.sweeping || work.outbox.waiting.get() > 0,
    () => newCells.takeOver(),
  );
  small.show(
    await fetchCells(layer.smallCells, layer.cellCount),
    await fetchInk(layer.smallInk),
    regions.map,
  );
  goToPlaceNamed(desk);
  byId("desk").dataset["ready"] = "true";
  void showStripCounts();
}

/** Other pages lead to a cell of the sheet by its number behind the address, or to its shapes. */
function goToPlaceNamed({ hand, view, regions, fills, stack }: Desk): void {
  if (location.hash === "#shapes") {
    hand.takeTool("shape");
  }
  const at = /^#at=(\d+),(\d+)$/.exec(location.hash);
  const { xPx, yPx } = stack.present;
  const pixel = at && view.cellOfPixel({ x: Number(at[1]) - xPx, y: Number(at[2]) - yPx });
  const cell = pixel ?? Number(/^#cell=(\d+)$/.exec(location.hash)?.[1] ?? NaN);
  if (cell >= 0 && cell < fills.cellCount) {
    hand.goToCell(cell);
    const { deepestX, deepestY, width, height } = regions.shape(regions.of(cell));
    view.showClose({ x: deepestX, y: deepestY }, Math.min(width, height));
  }
}

open().catch((error: unknown) => {
  const place = byId("notice");
  const why =
    error instanceof Error ? ` ${error.message} Nothing of it was changed; load the page again.` : "";
  place.textContent = `The sheet could not be opened.${why}`;
  place.hidden = false;
});
