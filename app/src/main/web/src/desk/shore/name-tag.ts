import { byId } from "../../shared/dom";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";

/** So long the pointer rests on a region before it is told what that is. */
const REST_MS = 450;
const AIR_PX = 8;

/** Tells the name of what is pointed at: of a pebble at once, of a region when the pointer rests there. */
export function nameWhatIsPointedAt(hand: Hand, fills: Fills): void {
  const tag = byId("name-tag");
  let timer: number | undefined;
  const hide = () => {
    clearTimeout(timer);
    tag.hidden = true;
  };
  const show = (text: string, x: number, top: number) => {
    tag.textContent = text;
    tag.hidden = text === "";
    const left = Math.max(4, Math.min(innerWidth - tag.offsetWidth - 4, x - tag.offsetWidth / 2));
    tag.style.transform = `translate(${left}px, ${Math.max(4, top - tag.offsetHeight - AIR_PX)}px)`;
  };
  const showPebble = (event: Event) => {
    const pebble = (event.target as Element).closest<HTMLElement>("#cards .pebble");
    hide();
    if (pebble) {
      const box = pebble.getBoundingClientRect();
      show(fills.nameOf(pebble.dataset["fill"]!), box.left + box.width / 2, box.top);
    }
  };
  const shore = byId("shore");
  shore.addEventListener("pointerover", showPebble);
  shore.addEventListener(
    "focusin",
    (event) => (event.target as Element).matches(":focus-visible") && showPebble(event),
  );
  shore.addEventListener("pointerleave", hide);
  shore.addEventListener("pointerdown", hide);
  shore.addEventListener("focusout", hide);
  hand.pointer.listen((at) => {
    hide();
    const cell = hand.cell.get();
    if (at && cell !== undefined && hand.has("fill")) {
      const box = byId("sheet").getBoundingClientRect();
      timer = setTimeout(() => show(fills.nameOf(fills.of(cell)), box.left + at.x, box.top + at.y), REST_MS);
    }
  });
}
