import { el } from "../../shared/build";
import { byId } from "../../shared/dom";
import type { Hand } from "../hand/hand";
import type { Tools } from "../hand/tools";
import { oncePerFrame } from "../../shared/frames";
import { Away } from "../../shared/http";
import type { Fills } from "../model/fills";
import type { Regions } from "../model/regions";
import type { Stack } from "../model/stack";
import { NO_FILL } from "../model/state";
import type { Delivery, Outbox } from "../model/outbox";
import type { Work } from "../model/work";
import type { SheetView } from "../view/sheet-view";

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
export function showHelp(hand: Hand, tools: Tools): void {
  const hint = byId("hint");
  const show = (event: Event) => {
    const target = event.target instanceof Element ? event.target.closest<HTMLElement>("[data-help]") : null;
    hint.textContent = target?.dataset["help"] ?? tools.present.hint;
  };
  document.addEventListener("pointerover", show);
  document.addEventListener("focusin", show);
  hand.tool.listen(() => (hint.textContent = tools.present.hint));
}

export function showDelivery(work: Work): void {
  const { outbox, notice } = work;
  const place = byId("delivery");
  const show = () => {
    const delivery = outbox.delivery.get();
    place.textContent = deliveryText(outbox);
    place.dataset["state"] = delivery;
    place.title = EXPLAINED[delivery] ?? "";
    if (delivery === "signed out") {
      place.append(
        " ",
        el("a", { href: location.href, className: "underline", click: () => location.reload() }, "Sign in"),
      );
    }
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
  "signed out": "You are signed out. Sign in again, and what waits is sent.",
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

/** What is asked of a server that is away is told calmly, whoever asked. */
export function tellWhenAway({ notice }: Work): void {
  window.addEventListener("unhandledrejection", (event) => {
    if (event.reason instanceof Away) {
      notice.set(event.reason.message);
      event.preventDefault();
    }
  });
  document.body.addEventListener("htmx:error", () => {
    if (!navigator.onLine) {
      notice.set(new Away().message);
    }
  });
}
