import type { Done } from "messages";
import { byId } from "../../shared/dom";
import { call } from "../../shared/http";
import type { Live } from "../../shared/live";
import { Mixer } from "../../mixer/mixer";
import { el } from "../../shared/build";
import { Colours, FillTexts } from "rules";
import { PaletteCalls, type About, type Edit } from "../../mixer/palette-calls";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import { madeOf, textOf } from "../model/made";
import type { Regions } from "../model/regions";
import { NO_FILL, type Fill, type SheetPalette } from "../model/state";
import type { Work } from "../model/work";
import type { Lights } from "../view/lights";
import type { SheetView } from "../view/sheet-view";
import type { Shore } from "./shore";

const GREY = "#b0b0b0";
/** What the mixer and some air above it take of the sheet's height. */
const MIXER_PX = 330;

/** Mixing on the desk: the swatch in the hand, seen on the sheet while it is mixed, and the palette kept as it is elsewhere. */
export class Mixing {
  private readonly calls: PaletteCalls;
  private readonly mixer: Mixer;

  constructor(
    private readonly path: string,
    private readonly hand: Hand,
    private readonly fills: Fills,
    private readonly regions: Regions,
    private readonly work: Work,
    private readonly view: SheetView,
    private readonly shore: Shore,
    live: Live,
    private readonly lights: Lights,
  ) {
    this.calls = new PaletteCalls(path.split("/")[2]!);
    this.mixer = new Mixer(this.calls);
    byId("desk").append(this.mixer.element);
    byId("cards").addEventListener("dblclick", () => void this.open());
    live.onPalette(() => void Promise.all([this.renew(), work.renewLine()]));
  }

  /** Opens for the swatch in the hand; the region pointed at shows a new colour before it is taken. */
  async open(): Promise<void> {
    if (this.mixer.isOpen) {
      this.mixer.close();
    } else {
      await this.openFor(this.hand.present.get());
    }
  }

  /** Offers what two swatches can do with each other when one is dropped on the other. */
  meet(dragged: Fill, onto: Fill, at: { x: number; y: number }): void {
    const [from, to] = [this.fills.swatch(dragged), this.fills.swatch(onto)];
    if (!from || !to) {
      return;
    }
    const close = () => menu.remove();
    const act = (label: string, edits: Edit[] | undefined) =>
      el(
        "button",
        {
          type: "button",
          className: "menu-item",
          click: () =>
            void (
              edits ? this.make(edits) : this.openFor(onto, Colours.mixed(to.colour, from.colour, 0.5))
            ).finally(close),
        },
        label,
      );
    const menu = el(
      "div",
      {
        className: "menu-list meeting",
        role: "menu",
        keydown: (event: KeyboardEvent) => {
          if (event.key === "Escape") {
            close();
            event.preventDefault();
          }
        },
      },
      act(`Mix ${to.name} halfway to ${from.name}`, undefined),
      act(`Give ${to.name} the colour of ${from.name}`, [
        { kind: "CHANGE", swatch: onto, colour: from.colour },
      ]),
      act(`Tie ${to.name} to ${from.name}, colours as they are`, [
        { kind: "CHANGE", swatch: onto, paint: `tied ${dragged} shift 0 0 0` },
        { kind: "CHANGE", swatch: onto, colour: to.colour },
      ]),
      el("button", { type: "button", className: "menu-item", click: close }, "Leave it"),
    );
    byId("desk").append(menu);
    menu.style.left = `${Math.min(at.x, innerWidth - menu.offsetWidth - 12)}px`;
    menu.style.top = `${at.y - menu.offsetHeight - 12}px`;
    menu.querySelector("button")!.focus();
  }

  /** Puts a swatch on another card; whatever wears it goes on wearing it. */
  putOn(dragged: Fill, card: string): void {
    void this.make([{ kind: "MOVE", swatch: dragged, card }]);
  }

  /**
   * Adds swatches, each to the card of one that is there, or as a loose colour if that card is locked or none's, and lays them; all as one change. Returns whether that was done.
   *
   * @param loose as loose colours in any case
   */
  async layNew(
    additions: readonly { beside: Fill; edit: Edit }[],
    fills: ReadonlyMap<Fill, readonly number[]>,
    loose = false,
  ): Promise<boolean> {
    const { cards } = await this.calls.palette();
    const cardOf = (swatch: Fill) =>
      cards
        .filter((card) => !card.neutral && !card.loose && !card.locked)
        .find((card) => card.swatches.some(({ id }) => id === swatch));
    const edits = additions.map(({ beside, edit }) => {
      const card = loose ? undefined : cardOf(beside);
      return (card ? { ...edit, card: card.id } : edit) as Edit;
    });
    const body = { edits, layer: this.fills.layer, fills: Object.fromEntries(fills) };
    return this.take(async () => {
      const made = await call<Done>(`${this.path}/new-swatches`, body);
      await this.work.resync();
      return made;
    });
  }

  /** Makes edits of the palette, after which it is shown as it is; a refusal is shown, and false returned. */
  make(edits: Edit[]): Promise<boolean> {
    return this.take(() => this.calls.make(edits));
  }

  /**
   * Swatches of some colours on a card, which is made if there is none of its name, or loose; those that are there already stay.
   *
   * @param name of the card; empty: they are loose
   * @returns the id of each by its colour; undefined if they could not be made, which is said
   */
  async swatchesOn(
    name: string,
    wanted: readonly { colour: string; name: string }[],
  ): Promise<Map<string, string> | undefined> {
    const { cards } = await this.calls.palette();
    const card = cards.find((each) => (name === "" ? each.loose : each.name === name && !each.locked));
    const ids = new Map(card?.swatches.map(({ colour, id }) => [colour, id]));
    const edits: Edit[] = [];
    const id = card?.id ?? crypto.randomUUID();
    if (!card && name !== "") {
      edits.push({ kind: "ADD_CARD", card: id, name });
    }
    for (const { colour, name: named } of wanted.filter((each) => !ids.has(each.colour))) {
      if (!ids.has(colour)) {
        const swatch = crypto.randomUUID();
        ids.set(colour, swatch);
        const made = { kind: "ADD", swatch, name: named, colour } as const;
        edits.push(name === "" ? made : { ...made, card: id });
      }
    }
    const isMade = edits.every(({ kind }) => kind === "ADD_CARD") || (await this.make(edits));
    return isMade ? ids : undefined;
  }

  /** What a colour is called, and from which inks it is printed. */
  about(hex: string): Promise<About> {
    return this.calls.about(hex);
  }

  private async take(change: () => Promise<{ words: string }>): Promise<boolean> {
    try {
      this.hand.said.set((await this.work.inTurn(change)).words);
      await this.renew();
      return true;
    } catch (error) {
      this.work.notice.set((error as Error).message);
      return false;
    }
  }

  /** @param start a colour to begin with, other than its own */
  private async openFor(fill: Fill, start?: string): Promise<void> {
    const cell = this.hand.cell.get();
    const under = cell === undefined ? [] : this.regions.cellsWith(cell);
    const { cards, isLead } = await this.calls.palette();
    const card = cards.find((each) => each.swatches.some((swatch) => swatch.id === fill));
    const swatch = card?.neutral ? undefined : card?.swatches.find((each) => each.id === fill);
    const colour = swatch?.colour ?? this.fills.swatch(fill)?.colour ?? GREY;
    this.keepInSight(cell);
    this.mixer.open({
      swatch,
      colour,
      cards,
      isLead,
      card: card && !card.neutral && !card.loose ? card.id : undefined,
      preview: (hex, colours) => {
        const tried = hex && swatch ? { ...colours, [swatch.id]: hex } : {};
        this.fills.tryOn(tried, swatch ? [] : under, hex);
      },
      taken: (words, made) => {
        this.hand.said.set(words);
        void this.work
          .inTurn(() => this.renew())
          .then(() => {
            if (made) {
              this.hand.hold(made);
            }
          });
      },
      closed: () => byId("sheet").focus({ preventScroll: true }),
    });
    if (start) {
      this.mixer.begin(start);
    }
  }

  close(): void {
    this.mixer.close();
  }

  /** The mixer rises from the shore; the region pointed at is moved out of its way. */
  private keepInSight(cell: number | undefined): void {
    if (cell !== undefined) {
      const { deepestX, deepestY } = this.regions.shape(this.regions.of(cell));
      const { y } = this.view.camera.toScreen({ x: deepestX, y: deepestY });
      this.view.panBy(0, Math.min(0, this.view.camera.size.height - MIXER_PX - y));
    }
  }

  /** A kept fill in the hand that was changed is held as it is now. */
  private holdAsKept(): void {
    const made = madeOf(this.hand.present.get());
    const kept =
      made && made.kind !== "flat" ? this.lights.kept.find(({ id }) => id === made.kept) : undefined;
    if (kept && made && kept.fill !== FillTexts.nowhere(textOf(made))) {
      this.hand.hold(kept.fill);
    }
  }

  /** Takes over cards and colours as they are now. */
  async renew(): Promise<void> {
    const shore = fetch(`${this.path}/shore`);
    this.lights.learn(await call<SheetPalette>(`${this.path}/colours`));
    this.shore.renew(await (await shore).text());
    this.holdAsKept();
    if (!this.fills.isThere(this.hand.present.get())) {
      this.hand.hold(NO_FILL);
    }
  }
}
