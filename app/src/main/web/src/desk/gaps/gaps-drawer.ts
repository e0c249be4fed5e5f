import { button, el } from "../../shared/build";
import { byId } from "../../shared/dom";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import type { GapShown } from "rules";
import type { Opening } from "../model/openings";
import type { Regions } from "../model/regions";
import type { DamState } from "../model/state";
import { NO_FILL } from "../model/state";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import type { Crop } from "../view/crop";
import type { Overlay } from "../view/overlay";
import { placeRow } from "../view/place-row";

/** All openings between the same two pieces: one gap, or several of one outline, dammed or left open together. */
type Gap = Omit<GapShown, "openings"> & { readonly openings: Opening[] };
type Filter = "doubtful" | "dammed" | "open";

const NONE: Readonly<Record<Filter, string>> = {
  doubtful: "No gap of this sheet is in doubt.",
  dammed: "No gap of this sheet is dammed.",
  open: "No gap of this sheet is left open.",
};
const SETTLE_MS = 120;
const MOST_ROWS = 60;
const NEAR_PX = 16;

/** The gaps of the sheet as pictures, with what each would do, and how to settle it. */
export class GapsDrawer {
  private readonly place = byId("gaps");
  private readonly button = byId("gaps-button");
  private readonly list = byId("gaps-list");
  private gaps: Gap[] = [];
  private shown: Gap[] = [];
  private filter: Filter = "doubtful";
  private chosen = -1;
  private settling: number | undefined;
  private renewing: number | undefined;

  constructor(
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly overlay: Overlay,
    private readonly crop: Crop,
    private readonly open: () => void,
  ) {
    for (const filter of ["doubtful", "dammed", "open"] as const) {
      byId(`gaps-${filter}`).addEventListener("click", () => {
        this.filter = filter;
        this.chosen = -1;
        this.renew();
      });
    }
    byId("gaps-limited").hidden = !regions.map.layer.isLimited();
    regions.changed.subscribe(() => {
      const inked = regions.openings.filter((each) => regions.stateOf(each.index) === "INKED");
      overlay.showInked(inked, regions.strokePx);
      this.settle();
    });
    // What a gap parts is told by the fills on both sides; which gaps there are is not.
    fills.painted.listen(() => {
      clearTimeout(this.renewing);
      this.renewing = setTimeout(() => this.renew(), SETTLE_MS);
    });
    this.refresh();
  }

  get isOpen(): boolean {
    return !this.place.hidden;
  }

  show(open: boolean): void {
    this.place.hidden = !open;
    this.button.setAttribute("aria-expanded", String(open));
    this.overlay.mark([]);
    this.refresh();
  }

  /** Goes to the next gap of the list, or the one before. */
  step(by: 1 | -1): void {
    if (!this.isOpen) {
      this.open();
    }
    this.catchUp();
    if (this.shown.length > 0) {
      this.choose((this.chosen + by + this.shown.length) % this.shown.length, true);
    } else {
      this.work.notice.set(NONE[this.filter]);
    }
  }

  /** Dams the chosen gap, or leaves it open. */
  say(state: DamState): void {
    this.catchUp();
    const gap = this.shown[this.chosen];
    if (gap) {
      this.work.dam(new Map(gap.openings.map((opening) => [opening.index, state])));
      this.hand.said.set(SAID[state]);
    }
  }

  /** What a key says is meant of the list as it is then. */
  private catchUp(): void {
    if (this.settling !== undefined) {
      this.refresh();
    }
  }

  /** Chooses the gap that a place on the screen points at, if the list has one there. */
  pointAt(screen: Point | undefined): void {
    if (!this.isOpen || !screen) {
      return;
    }
    const near = this.shown.findIndex((gap) =>
      gap.openings.some((opening) => {
        const at = this.view.camera.toScreen(opening.middle);
        return Math.hypot(at.x - screen.x, at.y - screen.y) < NEAR_PX;
      }),
    );
    if (near >= 0 && near !== this.chosen) {
      this.choose(near, false);
    }
  }

  private settle(): void {
    clearTimeout(this.settling);
    this.settling = setTimeout(() => this.refresh(), SETTLE_MS);
  }

  private refresh(): void {
    clearTimeout(this.settling);
    this.settling = undefined;
    this.gaps = this.regions
      .gaps()
      .map(({ openings, places, widthPx, isShut, isInDoubt, sides, effectPx }) => ({
        openings: this.regions.named(openings),
        places,
        widthPx,
        isShut,
        isInDoubt,
        sides,
        effectPx,
      }));
    this.renew();
  }

  private renew(): void {
    const chosen = this.shown[this.chosen]?.openings[0]?.index;
    const byFilter: Record<Filter, Gap[]> = {
      doubtful: this.gaps.filter((gap) => gap.isInDoubt),
      dammed: this.gaps.filter((gap) => gap.isShut),
      open: this.gaps.filter((gap) => !gap.isShut),
    };
    for (const [filter, gaps] of Object.entries(byFilter)) {
      const tab = byId(`gaps-${filter}`);
      tab.querySelector(".count")!.textContent = String(gaps.length);
      tab.setAttribute("aria-pressed", String(filter === this.filter));
    }
    byId("gaps-count").textContent = String(byFilter.doubtful.length);
    this.shown = byFilter[this.filter].slice(0, MOST_ROWS);
    this.chosen = this.shown.findIndex((gap) => gap.openings.some((opening) => opening.index === chosen));
    if (!this.isOpen) {
      this.overlay.showDams([]);
      return;
    }
    this.list.replaceChildren(...this.shown.map((gap, i) => this.row(gap, i)));
    byId("gaps-none").hidden = this.shown.length > 0;
    byId("gaps-none").textContent = this.regions.openings.length > 0 ? NOTHING[this.filter] : NONE_KNOWN;
    this.overlay.showDams(this.gaps.filter((gap) => gap.isShut).flatMap((gap) => gap.openings));
    this.markChosen();
  }

  private row(gap: Gap, i: number): HTMLElement {
    const row = placeRow({
      title: this.titleOf(gap),
      note: this.noteOf(gap),
      acts: el(
        "p",
        {
          className:
            "gap-acts hidden in-[.place-row:hover]:flex in-[.place-row:focus-within]:flex in-[.place-row.is-chosen]:flex col-span-full gap-[0.35rem] [&_.button]:gap-[0.3rem] [&_.button]:min-h-[32px] [&_.button]:py-0 [&_.button]:px-2 [&_.button]:text-[0.84rem]",
        },
        this.act(gap.isShut ? "Keep it" : "Dam it", "D", i, "SHUT"),
        this.act(gap.isShut ? "Open it" : "Leave open", "L", i, "OPEN"),
        this.act("Ink it", "I", i, "INKED"),
      ),
      paint: (picture) => this.crop.paint(picture, gap.openings[0]!),
      go: () => this.choose(i, true),
      begin: () => this.overlay.mark(gap.openings),
      end: () => this.markChosen(),
    });
    row.querySelector(".gap-title")!.addEventListener("focus", () => this.choose(i, false));
    return row;
  }

  private act(label: string, key: string, i: number, state: DamState): HTMLElement {
    const act = () => {
      this.choose(i, false);
      this.say(state);
    };
    const made = button(`button${state === "SHUT" ? " strong" : ""}`, label, act, { title: HELP[state] });
    made.append(el("kbd", {}, key));
    return made;
  }

  private titleOf(gap: Gap): string {
    const width = `${Math.max(1, Math.round(gap.widthPx))} px`;
    return gap.places === 1 ? `Gap of ${width}` : `${gap.places} gaps from ${width}`;
  }

  private noteOf(gap: Gap): string {
    const names = [...gap.sides].map((cell) => this.fills.of(cell));
    const share = (100 * gap.effectPx) / this.regions.area;
    const size =
      share < 0.1
        ? "a sliver"
        : share < 10
          ? `${share.toFixed(1)} % of the sheet`
          : `${Math.round(share)} % of the sheet`;
    if (gap.isShut) {
      return `dammed: keeps ${size} apart`;
    }
    if (names[0] !== names[1] && !names.includes(NO_FILL)) {
      return `${this.fills.nameOf(names[0]!)} meets ${this.fills.nameOf(names[1]!)} here`;
    }
    return `a fill runs through, into ${size}`;
  }

  private choose(i: number, go: boolean): void {
    this.chosen = i;
    const gap = this.shown[i]!;
    this.markChosen();
    if (go) {
      this.view.showClose(gap.openings[0]!.middle, Math.max(gap.widthPx, 4 * this.regions.strokePx));
      this.hand.said.set(`${this.titleOf(gap)}, ${this.noteOf(gap)}`);
    }
  }

  private markChosen(): void {
    [...this.list.children].forEach((row, i) => {
      row.classList.toggle("is-chosen", i === this.chosen);
      if (i === this.chosen) {
        row.scrollIntoView({ block: "nearest" });
      }
    });
    this.overlay.mark(this.shown[this.chosen]?.openings ?? []);
  }
}

const HELP: Record<DamState, string> = {
  SHUT: "No fill runs through; the ink stays as it is drawn.",
  OPEN: "Fills run through.",
  INKED:
    "Dams it, and draws a stroke across in the sheet and its exports. The line art itself stays as it is.",
  BY_REACH: "",
};

const SAID: Record<DamState, string> = {
  SHUT: "Dammed",
  OPEN: "Left open",
  INKED: "Dammed and inked",
  BY_REACH: "Reach decides",
};

const NONE_KNOWN = "No gaps are known of this sheet.";

const NOTHING: Record<Filter, string> = {
  doubtful: "No gap is in doubt. Every region holds as far as can be told.",
  dammed: "Nothing is dammed.",
  open: "No opening is left that anything could run through.",
};
