import { byId } from "../../shared/dom";
import type { Hand } from "../hand/hand";
import { oncePerFrame } from "../../shared/frames";
import type { Fills } from "../model/fills";
import type { Regions } from "../model/regions";
import type { Stack } from "../layers/stack";
import { NO_FILL } from "../model/state";
import type { Delivery, Outbox } from "../model/outbox";
import type { Work } from "../model/work";
import type { SheetView } from "./sheet-view";

const NOTICE_MS = 8000;

export function showZoom(view: SheetView): void {
  const show = () =>
    (byId("zoom").textContent = `${Math.round(100 * view.camera.scale * devicePixelRatio)} %`);
  view.onMove(show);
  show();
  byId("zoom-in").addEventListener("click", () => view.zoomBy(1.25));
  byId("zoom-out").addEventListener("click", () => view.zoomBy(0.8));
  byId("zoom-fit").addEventListener("click", () => view.fit());
}

/** How many regions are left, on the sheet and at its picture in the strip. */
export function showProgress(fills: Fills, regions: Regions, hand: Hand, stack: Stack): void {
  byId("left").addEventListener("click", () => {
    hand.walkToEmpty();
    byId("sheet").focus();
  });
  const show = () => {
    let left = 0;
    let all = 0;
    for (let region = 0; region < regions.count; region++) {
      // A shape that lies wholly under others is nothing to fill.
      if (regions.shape(region).area === 0) {
        continue;
      }
      all++;
      left += regions.shape(region).cells.every((cell) => fills.of(cell) !== NO_FILL) ? 0 : 1;
    }
    const elsewhere = stack.leftElsewhere.get();
    const others = elsewhere === 0 ? "" : `, ${elsewhere} on other layers`;
    byId("left").textContent =
      (left === 0 ? "Every region is filled" : `${left} of ${all} regions left`) + others;
    byId("present-left").textContent = left + elsewhere === 0 ? "" : String(left + elsewhere);
  };
  const showSoon = oncePerFrame(show);
  fills.painted.listen(showSoon);
  regions.changed.listen(showSoon);
  stack.leftElsewhere.listen(showSoon);
  show();
}

export function showSteps(work: Work, hand: Hand): void {
  const undo = byId<HTMLButtonElement>("undo");
  const redo = byId<HTMLButtonElement>("redo");
  work.canUndo.subscribe((can) => undo.setAttribute("aria-disabled", String(!can)));
  work.canRedo.subscribe((can) => redo.setAttribute("aria-disabled", String(!can)));
  undo.addEventListener("click", () => hand.undo());
  redo.addEventListener("click", () => hand.redo());
}

/** Says in one sentence what the thing pointed at or focused does. */
export function showHelp(hand: Hand): void {
  const hint = byId("hint");
  const resting = () => {
    if (hand.damming.get()) {
      return "Click an opening, sweep over several, or draw a line. Alt lifts; Shift brushes.";
    }
    if (hand.lining.get()) {
      return "Click ink or sweep over it. Alt: black again. Shift: all ink of that colour.";
    }
    if (hand.shading.get()) {
      return "Draw around what is to be in shadow, or click point by point. A click on a shadow opens it.";
    }
    if (hand.picking.get()) {
      return "Click or drag to sample the mean of a disc; what to do with it is chosen beside the sheet.";
    }
    if (hand.shaping.get()) {
      return "Draw a shape, or click one to edit it. Alt and press: choose, move or draw around several.";
    }
    if (hand.gathering.get()) {
      return "Click regions or sweep over them to gather them; then fill them all at once.";
    }
    return hand.sampling.get() ? "Click a region to take its fill into the hand." : "";
  };
  const show = (event: Event) => {
    const target = event.target instanceof Element ? event.target.closest<HTMLElement>("[data-help]") : null;
    hint.textContent = target?.dataset["help"] ?? resting();
  };
  document.addEventListener("pointerover", show);
  document.addEventListener("focusin", show);
  const showTool = () => {
    hint.textContent = resting();
    const [sampling, damming, gathering] = [hand.sampling.get(), hand.damming.get(), hand.gathering.get()];
    const [lining, shading, shaping] = [hand.lining.get(), hand.shading.get(), hand.shaping.get()];
    const isOther = sampling || damming || gathering || lining || shading || shaping || hand.picking.get();
    byId("tool-fill").setAttribute("aria-pressed", String(!isOther));
    byId("tool-shadow").setAttribute("aria-pressed", String(shading));
    byId("tool-shape").setAttribute("aria-pressed", String(shaping));
    byId("tool-line").setAttribute("aria-pressed", String(lining));
    byId("tool-gather").setAttribute("aria-pressed", String(gathering));
    byId("tool-sample").setAttribute("aria-pressed", String(sampling));
    byId("tool-dam").setAttribute("aria-pressed", String(damming));
  };
  hand.sampling.subscribe(showTool);
  hand.damming.subscribe(showTool);
  hand.gathering.subscribe(showTool);
  hand.lining.subscribe(showTool);
  hand.shading.subscribe(showTool);
  hand.shaping.subscribe(showTool);
  hand.picking.subscribe(showTool);
  byId("tool-fill").addEventListener("click", () => hand.takeTool("fill"));
  byId("tool-sample").addEventListener("click", () => hand.takeTool("sample"));
  byId("tool-gather").addEventListener("click", () => hand.takeTool("gather"));
  byId("tool-dam").addEventListener("click", () => hand.takeTool("dam"));
  byId("tool-line").addEventListener("click", () => hand.takeTool("line"));
  byId("tool-shadow").addEventListener("click", () => hand.takeTool("shadow"));
  byId("tool-shape").addEventListener("click", () => hand.takeTool("shape"));
}

export function showDelivery(work: Work): void {
  const { outbox, notice } = work;
  const place = byId("delivery");
  const show = () => {
    const delivery = outbox.delivery.get();
    place.textContent = deliveryText(outbox);
    place.dataset["state"] = delivery;
    place.title = EXPLAINED[delivery] ?? "";
  };
  outbox.delivery.subscribe(show);
  outbox.waiting.subscribe(show);
  outbox.unkept.subscribe(show);
  outbox.delivery.listen((delivery) => notice.set(EXPLAINED[delivery] ?? notice.get()));
  outbox.unkept.listen((count) => count > 0 && notice.set(STORAGE_FULL));
}

const STORAGE_FULL =
  "This browser's storage is full: what is not sent yet is only in this window. Leave it open until all is saved.";

const EXPLAINED: Partial<Record<Delivery, string>> = {
  "not taken":
    "The server does not take changes just now. They wait in this browser and are sent again by themselves.",
  "signed out": "You are signed out. Load the page to sign in; what waits is sent then.",
  "shut out":
    "This sheet is gone, or you are no longer a member of its project. What waits stays in this browser.",
};

function deliveryText(outbox: Outbox): string {
  const waiting = outbox.waiting.get();
  const changes = waiting === 1 ? "1 change" : `${waiting} changes`;
  const kept = `${changes} ${outbox.unkept.get() > 0 ? "only in this window" : "kept here"}`;
  switch (outbox.delivery.get()) {
    case "saved":
      return "Saved";
    case "saving":
      return outbox.unkept.get() > 0 ? `Saving, ${kept}` : "Saving";
    case "away":
      return `Server away, ${kept}`;
    case "not taken":
      return `Not taken yet, ${kept}`;
    case "signed out":
      return `Signed out, ${kept}`;
    case "shut out":
      return `No longer let in, ${kept}`;
  }
}

export function showNotice(work: Work): void {
  const place = byId("notice");
  let timer: number | undefined;
  work.notice.listen((text) => {
    place.textContent = text;
    place.hidden = text === "";
    clearTimeout(timer);
    timer = setTimeout(() => work.notice.set(""), NOTICE_MS);
  });
}
