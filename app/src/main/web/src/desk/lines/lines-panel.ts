import type { MeetingMessage, TakenOver } from "messages";
import { SheetStrokes } from "rules";
import { whilePointedAt } from "../../shared/build";
import { byId } from "../../shared/dom";
import { oncePerFrame } from "../../shared/frames";
import { call } from "../../shared/http";
import type { Edit } from "../../mixer/palette-calls";
import type { Gathering } from "../hand/gathering";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import {
  countedPlaces,
  isStroke,
  placeOfStroke,
  placeOfWidth,
  strokeOf,
  strokesAmong,
} from "../model/places";
import type { Regions } from "../model/regions";
import { NO_FILL, type Fill } from "../model/state";
import type { Work } from "../model/work";
import type { Mixing } from "../shore/mixing";
import type { SheetView } from "../view/sheet-view";
import type { InkStrokes } from "../view/ink-strokes";

/** The colour that some strokes are to get: that of a swatch beside them, made darker. */
interface Darker {
  readonly source: Fill;
  readonly colour: string;
  readonly paint: string;
  readonly places: number[];
}

/** What is done to much ink at once, while the line tool is in the hand. */
export class LinesPanel {
  private readonly panel = byId("lines");
  private readonly scope = byId<HTMLSelectElement>("lines-scope");
  private readonly amount = byId<HTMLInputElement>("lines-amount");
  private readonly basis = byId<HTMLSelectElement>("lines-basis");
  private readonly nothing = byId<HTMLInputElement>("lines-nothing");
  private readonly meeting = byId<HTMLSelectElement>("lines-meeting");
  private readonly width = byId<HTMLInputElement>("lines-width");
  /** Counts up when what is looked at is another; answers to an older question are dropped. */
  private asked = 0;
  /** Whether the sheet shows what nobody has laid yet. */
  private isLooking = false;

  constructor(
    private readonly path: string,
    private readonly strokes: InkStrokes,
    private readonly fills: Fills,
    private readonly regions: Regions,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly gathering: Gathering,
    private readonly mixing: Mixing,
    meeting: MeetingMessage["meeting"],
  ) {
    hand.whenHeld("line", (lining) => {
      this.panel.hidden = !lining;
      void this.showWidth();
      this.look(false);
    });
    hand.stroke.listen((place) => this.say(place));
    fills.painted.listen(() => this.say(hand.stroke.get()));
    gathering.count.listen(() => this.offerScopes());
    gathering.strokes.listen(() => this.offerScopes());
    this.offerScopes();
    hand.present.subscribe(
      (fill) =>
        (byId("lines-lay").textContent = `Lay ${fills.swatch(fill) ? fills.nameOf(fill) : "a swatch"}`),
    );
    byId("lines-lay").addEventListener("click", () => void this.lay(this.hand.present.get()));
    byId("lines-black").addEventListener("click", () => void this.lay(NO_FILL));
    byId("lines-adopt").addEventListener("click", () => void this.takeOver());
    byId("lines-darker").addEventListener("click", () => void this.layDarker());
    for (const control of [this.amount, this.basis, this.nothing]) {
      control.addEventListener("input", () => this.look(true));
    }
    for (const button of [byId("lines-lay"), byId("lines-black")]) {
      whilePointedAt(
        button,
        () => void this.mean(),
        () => this.look(false),
      );
    }
    whilePointedAt(
      byId("lines-darker"),
      () => this.look(true),
      () => this.look(false),
    );
    this.panel.addEventListener("pointerleave", () => this.look(false));
    this.meeting.addEventListener("change", () => void this.meet());
    this.width.addEventListener("input", () => this.sayWidth());
    this.width.addEventListener("change", () => void this.widen());
    this.scope.addEventListener("change", () => void this.showWidth());
    fills.widened.listen(oncePerFrame(() => void this.showWidth()));
    this.amount.addEventListener(
      "input",
      () => (byId("lines-amount-said").textContent = `${this.amount.value} %`),
    );
    strokes.changed.subscribe(() => {
      byId("lines-limited").hidden = !strokes.areLimited;
      this.showMeeting();
    });
    this.take(meeting);
    this.say(undefined);
  }

  /** Takes over how colours meet, as the server has it. */
  take(meeting: MeetingMessage["meeting"]): void {
    this.meeting.value = meeting;
    this.showMeeting();
  }

  async renewMeeting(): Promise<void> {
    this.take((await call<MeetingMessage>(`${this.path}/line-meeting`)).meeting);
  }

  private showMeeting(): void {
    this.view.letInkMeet(this.meeting.value === "SOFT" ? this.strokes.widthPx : 0);
  }

  private async meet(): Promise<void> {
    this.showMeeting();
    const meeting = this.meeting.value;
    await this.work
      .inTurn(() => call(`${this.path}/line-meeting`, { meeting }))
      .catch((error: unknown) => {
        this.work.notice.set((error as Error).message);
        return this.renewMeeting();
      });
  }

  /** Lets strokes wear the colours that the line art was drawn in. */
  private async takeOver(): Promise<void> {
    this.hand.said.set("Looking for the colours of the ink");
    try {
      const done = await this.work.inTurn(() => call<TakenOver>(`${this.path}/ink-colours`, {}));
      await this.mixing.renew();
      await this.work.resync();
      const swatches = done.added === 1 ? "1 new swatch" : `${done.added} new swatches`;
      this.tell(done.strokes, `wear what they were drawn in, ${swatches}`);
    } catch (error) {
      this.work.notice.set((error as Error).message);
    }
  }

  private say(place: number | undefined): void {
    byId("lines-said").textContent =
      place === undefined
        ? "Point at ink to see what it wears."
        : this.fills.of(place) === NO_FILL
          ? "Black ink"
          : this.fills.nameOf(this.fills.of(place));
  }

  private offerScopes(): void {
    const [regions, strokes] = [this.gathering.count.get(), this.gathering.strokes.get()];
    for (const option of this.scope.options) {
      const { value } = option;
      option.disabled = value === "gathered" ? strokes === 0 : value !== "sheet" && regions === 0;
    }
    this.scope.value = strokes > 0 ? "gathered" : regions > 0 ? "touching" : "sheet";
  }

  /** The strokes that are meant. */
  private async meant(): Promise<number[]> {
    if (this.scope.value === "sheet") {
      return this.fills.strokes().map(strokeOf);
    }
    if (this.scope.value === "gathered") {
      return strokesAmong(this.gathering.gatheredPlaces);
    }
    const sides = await this.strokes.sides();
    const { gathered } = this.gathering;
    return [...(this.scope.value === "inside" ? sides.inside(gathered) : sides.touching(gathered))];
  }

  /** Shows what is meant so much wider, or narrower. */
  private async widen(): Promise<void> {
    await this.strokes.need();
    const fill = SheetStrokes.widthText(Number(this.width.value));
    const changed = this.work.lay(fill, (await this.meant()).map(placeOfWidth));
    this.tell(changed?.length, fill === NO_FILL ? "as wide as drawn" : "shown in another width");
  }

  /** The width of what is meant, if all of it has the same. */
  private async showWidth(): Promise<void> {
    if (!this.panel.hidden) {
      const widths = this.fills.widths();
      const said = new Set(
        (await this.meant()).map((stroke) => SheetStrokes.tenths(widths.get(stroke) ?? NO_FILL)),
      );
      this.width.value = String(said.size === 1 ? [...said][0] : 0);
      this.sayWidth();
    }
  }

  private sayWidth(): void {
    const tenths = Number(this.width.value);
    byId("lines-width-said").textContent =
      tenths === 0 ? "as drawn" : `${Math.abs(tenths) / 10} ${tenths > 0 ? "wider" : "narrower"}`;
  }

  private async mean(): Promise<void> {
    const question = ++this.asked;
    await this.strokes.need();
    const meant = await this.meant();
    if (question === this.asked) {
      this.view.meanStrokes(meant);
    }
  }

  private async lay(fill: Fill): Promise<void> {
    if (this.hand.mayBeOnInk(fill)) {
      this.hand.layOnInk(fill, (await this.meant()).map(placeOfStroke));
      // Stripes are in the way of seeing what was laid.
      this.gathering.drop(this.gathering.gatheredPlaces.filter(isStroke));
    }
  }

  /** Colours the ink inside and around some cells. */
  async layAround(cells: readonly number[], fill: Fill): Promise<void> {
    const sides = await this.strokes.sides();
    this.hand.layOnInk(fill, [...sides.touching(cells)].map(placeOfStroke));
  }

  /** @param strokes how many changed; undefined: that was refused, and is said elsewhere */
  private tell(strokes: number | undefined, what: string): void {
    if (strokes === undefined) {
      return;
    }
    this.hand.said.set(strokes === 0 ? "This ink is so already" : `${countedPlaces(0, strokes)} ${what}`);
  }

  /** What each stroke would get. */
  private async darker(): Promise<Darker[]> {
    const sides = await this.strokes.sides();
    const swatches = this.fills.allSwatches();
    const areas = Array.from(
      { length: this.fills.cellCount },
      (_, cell) => this.regions.shape(this.regions.of(cell)).area,
    );
    const sources = sides.darkerThanBeside(
      await this.meant(),
      this.basis.value,
      this.nothing.checked,
      [...this.fills.all],
      areas,
      swatches.map(({ id }) => id),
      swatches.map(({ colour }) => colour),
    );
    return sources.map(({ swatch, strokes }) => {
      const { colour, paint } = SheetStrokes.darker(
        swatch,
        this.fills.swatch(swatch)!.colour,
        Number(this.amount.value) / 100,
      );
      return { source: swatch, colour, paint, places: [...strokes].map(placeOfStroke) };
    });
  }

  /** Shows on the sheet what darker than beside would give, or the sheet as it is. */
  private look(shown: boolean): void {
    const question = ++this.asked;
    if (!shown) {
      if (this.isLooking) {
        this.fills.tryOnCells(new Map());
      }
      this.isLooking = false;
      this.view.meanStrokes([]);
      return;
    }
    this.isLooking = true;
    void this.darker().then((all) => {
      if (question === this.asked) {
        this.fills.tryOnCells(
          new Map(all.flatMap(({ colour, places }) => places.map((place) => [place, colour] as const))),
        );
      }
    });
  }

  /** Lays swatches tied to those beside; one that is there already is taken again. */
  private async layDarker(): Promise<void> {
    const all = await this.darker();
    this.look(false);
    if (all.length === 0) {
      this.hand.said.set("No stroke here has a filled region beside it");
      this.work.notice.set(
        "No stroke here has filled regions on its sides. Fill them first, or also colour ink with an empty side.",
      );
      return;
    }
    const additions: { beside: Fill; edit: Edit }[] = [];
    const fills = new Map<Fill, number[]>();
    const there = this.fills.allSwatches();
    const [ids, paints] = [there.map(({ id }) => id), there.map((swatch) => swatch.paint)];
    for (const { source, colour, paint, places } of all) {
      const known = SheetStrokes.knownDarker(paint, ids, paints);
      const swatch: Fill = known ?? crypto.randomUUID();
      if (!known) {
        const name = SheetStrokes.nameOfDarker(this.fills.nameOf(source));
        additions.push({ beside: source, edit: { kind: "ADD", swatch, name, colour, paint } });
      }
      fills.set(swatch, places);
    }
    const strokes = all.flatMap(({ places }) => places).length;
    if (additions.length === 0) {
      this.tell(this.work.layAll(fills)?.length, "darker than beside");
    } else if (await this.mixing.layNew(additions, fills)) {
      this.tell(strokes, "darker than beside");
    }
  }
}
