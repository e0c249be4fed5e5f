import { Colours } from "rules";
import { button, chip, el } from "../shared/build";
import { SMALL_SCREEN } from "../shared/small-screen";
import { nudged, NUDGES, polar, related, shown, type Polar } from "./models";
import { describe, type CardState, type Edit, type PaletteCalls, type SwatchState } from "./palette-calls";
import { Inks } from "./inks";
import { Pool } from "./pool";
import { propose } from "./proposing";
import { Reference } from "./reference";
import { beforeAndAfter } from "./sheet-pictures";
import { Sliders } from "./sliders";

const SETTLE_MS = 160;
const FOLDED = "pond/mixer-folded";

/** What the mixer works on, and whom it tells. */
export interface Target {
  readonly swatch: SwatchState | undefined;
  readonly colour: string;
  readonly cards: readonly CardState[];
  /** The card that a new swatch goes on first. */
  readonly card: string | undefined;
  /** Whoever is not the lead proposes what is to change on a locked card. */
  readonly isLead: boolean;
  /** Shows a colour before it is taken; undefined: as it was. `colours` are the swatches that would follow. */
  preview(hex: string | undefined, colours: Record<string, string>): void;
  /** After something was taken: the new swatch, if there is one. */
  taken(words: string, swatch: string | undefined): void;
  closed(): void;
  /** What becomes of the colour when it is not the swatch everywhere that changes. */
  readonly instead?: Instead;
}

/** Another act than changing the swatch: what its button says, and the words for what was done; undefined if it was left. */
export interface Instead {
  readonly label: string;
  take(hex: string): Promise<string | undefined>;
}

/** Mixing a colour: beside the old one, seen on the sheet before it is taken. */
export class Mixer {
  readonly element: HTMLElement;
  private target: Target | undefined;
  private colour: Polar = { l: 0, c: 0, h: 0 };
  private hex = "#000000";
  private settling: number | undefined;
  private asked = 0;

  private readonly was = button(
    "flex-1 grid items-end justify-items-center pb-[3px] text-[0.72rem] text-white [text-shadow:0_0_3px_black,_0_0_2px_black]",
    "was",
    () => this.takeHex(this.target!.colour),
    {
      title: "Back to the colour it was",
    },
  );
  private readonly now = el(
    "span",
    {
      className:
        "flex-1 grid items-end justify-items-center pb-[3px] text-[0.72rem] text-white [text-shadow:0_0_3px_black,_0_0_2px_black]",
    },
    "now",
  );
  private readonly title = el("h2");
  private readonly said = el("p", { className: "mixer-said min-h-[1.2em] text-quiet", role: "status" });
  private readonly near = el("p", { className: "mixer-near text-quiet" });
  private readonly text = el("input", {
    className: "mixer-text flex-1 tabular-nums",
    "aria-label": "Hex code or CSS colour",
    spellcheck: "false",
    change: () => this.onText(),
  });
  private readonly sliders = new Sliders(
    (colour) => this.take(colour),
    (hex) => this.takeHex(hex),
  );
  private readonly other = el("select", { "aria-label": "Colour to mix in", change: () => this.showMix() });
  private readonly steps = el("div", { className: "chips flex gap-[3px]" });
  private readonly kin = el("div", { className: "chips flex gap-[3px]" });
  private readonly usedLabel = el("span", {}, "Used");
  private readonly history = el("div", { className: "chips flex gap-[3px]" });
  private readonly name = el("input", { "aria-label": "Name of the new swatch", maxlength: 120 });
  private readonly onto = el("select", { "aria-label": "Card for the new swatch" });
  private readonly tie = el("input", { type: "checkbox", id: "mixer-tie" });
  private readonly tieLabel = el("label", { for: "mixer-tie" });
  private readonly change = button("button strong", "", () => void this.takeChange());
  private readonly fold = button("button mixer-fold", "", () => this.setFolded(!this.isFolded), {
    title: "Only the colour, its code and the nudges, so that the sheet is free",
  });
  private readonly sheets = el("div", {
    className:
      "flex gap-[8px] [&_figure]:flex [&_figure]:gap-[2px] [&_img]:w-[62px] [&_img]:h-[44px] [&_img]:object-cover [&_img]:rounded-[4px]",
  });
  private readonly inks: Inks;
  private readonly reference: Reference;
  private readonly pool = new Pool((colour) => this.take(colour));

  constructor(private readonly calls: PaletteCalls) {
    this.inks = new Inks(calls, (hex) => this.takeHex(hex));
    this.reference = new Reference(calls, (hex) => this.takeHex(hex));
    const nudges = NUDGES.map((nudge) =>
      button("button", nudge, () => this.take(nudged(this.colour, nudge))),
    );
    const act = (label: string, click: () => void, title = "") => button("button", label, click, { title });
    this.element = el(
      "section",
      {
        className:
          "mixer overflow-auto absolute z-30 left-[122px] right-[12px] bottom-[160px] grid grid-cols-[200px_210px_270px_minmax(0,1fr)] gap-[20px] py-[14px] px-[18px] rounded-[24px] bg-surface shadow-[0_6px_30px_oklch(0_0_0_/_0.3)] text-[0.88rem] [&_.button]:min-h-[32px] [&_.button]:py-[0.15rem] [&_.button]:px-[0.65rem] [&_input:not([type=range],_[type=checkbox])]:min-w-0 [&_input:not([type=range],_[type=checkbox])]:min-h-0 [&_input:not([type=range],_[type=checkbox])]:h-[30px] [&_input:not([type=range],_[type=checkbox])]:py-0 [&_input:not([type=range],_[type=checkbox])]:px-2 [&_input:not([type=range],_[type=checkbox])]:border [&_input:not([type=range],_[type=checkbox])]:border-line [&_input:not([type=range],_[type=checkbox])]:rounded-[8px] [&_input:not([type=range],_[type=checkbox])]:bg-white [&_select]:min-w-0 [&_select]:min-h-0 [&_select]:h-[30px] [&_select]:py-0 [&_select]:px-2 [&_select]:border [&_select]:border-line [&_select]:rounded-[8px] [&_select]:bg-white [&.on-page]:fixed [&.on-page]:left-[50%] [&.on-page]:right-auto [&.on-page]:bottom-[20px] [&.on-page]:w-[min(1140px,_calc(100vw_-_32px))] [&.on-page]:[transform:translateX(-50%)]",
        "aria-label": "Mixer",
        hidden: true,
        keydown: (event: KeyboardEvent) => this.onKey(event),
      },
      el(
        "div",
        {
          className:
            "flex flex-col gap-[5px] [&_footer]:flex [&_footer]:flex-wrap [&_footer]:gap-[6px] [&_footer]:mt-auto [&_h2]:text-[1.1rem]",
        },
        el(
          "div",
          {
            className:
              "flex flex-none h-[48px] rounded-[24px] overflow-hidden shadow-[inset_0_0_0_1px_oklch(0_0_0_/_0.2)]",
          },
          this.was,
          this.now,
        ),
        this.title,
        this.said,
        this.near,
        el(
          "footer",
          {},
          this.change,
          act("Leave it", () => this.close()),
          this.fold,
        ),
      ),
      el("div", {}, this.pool.element, this.reference.element),
      el(
        "div",
        { className: "flex flex-col gap-[8px]" },
        this.sliders.models,
        this.sliders.element,
        el(
          "div",
          { className: "mixer-row" },
          this.text,
          act(
            "web",
            () => this.takeHex(Colours.webSafe(this.hex)),
            "The nearest of the 216 colours that all browsers had",
          ),
          act("print", () => void this.takePrintable(), "The nearest colour that comes out in print"),
        ),
        this.inks.element,
        this.sheets,
      ),
      el(
        "div",
        { className: "flex flex-col gap-[9px]" },
        el(
          "div",
          {
            className: "mixer-nudges grid grid-cols-[repeat(3,1fr)] gap-[5px]",
            role: "group",
            "aria-label": "The same, but",
          },
          ...nudges,
        ),
        el(
          "div",
          { className: "mixer-row" },
          this.other,
          act("halfway", () => this.mix(0.5)),
          act("a tenth", () => this.mix(0.1)),
          this.steps,
        ),
        el("div", { className: "mixer-row quiet" }, "Related", this.kin, this.usedLabel, this.history),
        el(
          "div",
          { className: "mixer-row mixer-new [&_input]:flex-1" },
          this.name,
          this.onto,
          act("Take as new", () => void this.takeNew()),
        ),
        el("p", { className: "flex items-center [&_input]:mr-[6px]" }, this.tie, this.tieLabel),
      ),
    );
    this.setFolded(SMALL_SCREEN.matches || localStorage.getItem(FOLDED) === "true");
  }

  private get isFolded(): boolean {
    return this.element.classList.contains("is-folded");
  }

  private setFolded(isFolded: boolean): void {
    this.element.classList.toggle("is-folded", isFolded);
    this.fold.textContent = isFolded ? "Unfold" : "Fold";
    this.fold.setAttribute("aria-expanded", String(!isFolded));
    localStorage.setItem(FOLDED, String(isFolded));
  }

  get isOpen(): boolean {
    return !this.element.hidden;
  }

  open(target: Target): void {
    this.target?.preview(undefined, {});
    this.target = target;
    const { swatch } = target;
    this.element.hidden = false;
    this.title.textContent = swatch?.name ?? "A new colour";
    this.was.style.backgroundColor = target.colour;
    this.change.hidden = !swatch;
    this.change.textContent = this.changeLabel(target);
    this.fillChoices(target);
    this.colour = polar(target.colour, 60);
    this.hex = target.colour;
    this.showColour(false);
    this.said.textContent = swatch?.follows ? `Tied to ${swatch.follows}: ${swatch.how}.` : "";
    void this.calls.used().then((used) => {
      this.usedLabel.hidden = used.length === 0;
      this.history.replaceChildren(...used.slice(0, 8).map((hex) => chip(hex, hex, () => this.takeHex(hex))));
    });
    this.element.querySelector<HTMLElement>(".mixer-nudges .button")?.focus({ preventScroll: true });
  }

  private changeLabel({ swatch, cards, instead }: Target): string {
    const own = cards.find((card) => card.swatches.some((each) => each.id === swatch?.id));
    return (
      instead?.label ??
      (swatch
        ? this.mustAsk(own)
          ? `Propose it for ${swatch.name}`
          : `Change ${swatch.name} everywhere`
        : "")
    );
  }

  private mustAsk(card: CardState | undefined): boolean {
    return card !== undefined && card.locked && !this.target!.isLead;
  }

  /** Goes on from a colour other than the one it opened with. */
  begin(hex: string): void {
    this.takeHex(hex);
  }

  close(): void {
    if (this.isOpen) {
      clearTimeout(this.settling);
      this.asked++;
      this.element.hidden = true;
      this.target!.preview(undefined, {});
      this.target!.closed();
    }
  }

  private fillChoices({ swatch, cards, card }: Target): void {
    const swatches = cards.flatMap((each) => each.swatches);
    this.other.replaceChildren(
      ...swatches
        .filter((each) => each.id !== swatch?.id)
        .map((each) => el("option", { value: each.colour }, each.name)),
    );
    this.onto.replaceChildren(
      ...cards
        .filter((each) => !each.neutral && !each.loose)
        .map((each) => el("option", { value: each.id, selected: each.id === card }, `on ${each.name}`)),
      el("option", { value: "" }, "loose, on no card"),
    );
    this.name.value = "";
    this.sheets.replaceChildren();
    this.tie.checked = false;
    this.tie.parentElement!.hidden = !swatch;
    this.tieLabel.textContent = swatch ? `tied to ${swatch.name}: it follows when that changes` : "";
  }

  private take(colour: Polar): void {
    this.colour = colour;
    this.hex = shown(colour).hex;
    this.showColour(true);
  }

  private takeHex(hex: string): void {
    this.colour = polar(hex, this.colour.h);
    this.hex = hex;
    this.showColour(true);
  }

  private showColour(isNew: boolean): void {
    this.now.style.backgroundColor = this.hex;
    this.pool.show(this.colour);
    this.text.value = this.hex;
    this.sliders.show(this.hex);
    this.showMix();
    this.kin.replaceChildren(
      ...related(this.hex).map((each) => chip(each.hex, each.label, () => this.takeHex(each.hex))),
    );
    this.showNear();
    if (isNew) {
      this.target!.preview(this.hex, {});
    }
    clearTimeout(this.settling);
    this.settling = setTimeout(() => void this.ask(isNew), SETTLE_MS);
  }

  private onText(): void {
    const hex = Colours.read(this.text.value);
    if (hex) {
      this.takeHex(hex);
    } else {
      this.said.textContent = `'${this.text.value}' is no colour; a hex code or any CSS colour is. Nothing was changed.`;
    }
  }

  private mix(share: number): void {
    this.takeHex(Colours.mixed(this.hex, this.other.value, share));
  }

  private showMix(): void {
    const between = this.other.value ? Colours.ramp(this.hex, this.other.value, 6).slice(1, 5) : [];
    this.steps.replaceChildren(
      ...between.map((hex, i) => chip(hex, `Step ${i + 1} of 4 between`, () => this.takeHex(hex))),
    );
  }

  /** Says which colour of the cards is so near that it may as well be taken. */
  private showNear(): void {
    const { cards, swatch } = this.target!;
    const others = cards.flatMap((card) => card.swatches).filter((each) => each.id !== swatch?.id);
    this.near.replaceChildren();
    const nearest = Colours.nearest(
      this.hex,
      others.map((each) => each.colour),
    );
    if (nearest) {
      const { difference: away, isHardToTell } = nearest;
      const each = others[nearest.index]!;
      this.near.append(`${away.toFixed(1)} from ${each.name} `);
      if (away > 0) {
        this.near.append(
          button(
            "underline text-text",
            isHardToTell ? "hard to tell apart: use that one" : "use that one instead",
            () => this.takeHex(each.colour),
          ),
        );
      }
    }
  }

  private async takePrintable(): Promise<void> {
    const about = await this.calls.about(this.hex);
    if (about.printable) {
      this.takeHex(about.printable);
    }
  }

  /** Asks what the change would do, and what the colour is called. */
  private async ask(isNew: boolean): Promise<void> {
    const asked = ++this.asked;
    const { swatch } = this.target!;
    const about = await this.calls.about(this.hex);
    if (asked !== this.asked) {
      return;
    }
    const described = this.hex;
    this.name.placeholder = about.name;
    this.inks.show(about);
    const words = [about.isPrintable ? "" : "It will not come out like this in print."];
    if (swatch && isNew && this.hex !== this.target!.colour) {
      try {
        const outlook = await this.calls.outlook([this.asChange(swatch)]);
        if (asked !== this.asked || described !== this.hex) {
          return;
        }
        words.unshift(describe(outlook));
        const tried = { ...outlook.colours, [swatch.id]: this.hex };
        this.sheets.replaceChildren(...beforeAndAfter(this.calls.project, outlook.sheets, tried));
        this.target!.preview(this.hex, outlook.colours);
      } catch (error) {
        words.unshift((error as Error).message);
      }
    } else if (swatch?.follows) {
      words.unshift(`Tied to ${swatch.follows}: ${swatch.how}.`);
    }
    this.said.textContent = words.join(" ").trim();
  }

  private asChange(swatch: SwatchState): Edit {
    return { kind: "CHANGE", swatch: swatch.id, colour: this.hex };
  }

  private async takeChange(): Promise<void> {
    const { swatch, cards, instead } = this.target!;
    const own = cards.find((card) => card.swatches.some((each) => each.id === swatch!.id));
    await this.finish(
      () => (instead ? instead.take(this.hex) : this.make(own, this.asChange(swatch!))),
      undefined,
    );
  }

  private async takeNew(): Promise<void> {
    const { swatch } = this.target!;
    const id = crypto.randomUUID();
    const name = this.name.value.trim() || this.name.placeholder || "Colour";
    const card = this.onto.value ? { card: this.onto.value } : {};
    const follows = this.tie.checked && swatch ? { follows: swatch.id } : {};
    const edit: Edit = { kind: "ADD", swatch: id, name, colour: this.hex, ...card, ...follows };
    const onto = this.target!.cards.find((each) => each.id === this.onto.value);
    await this.finish(() => this.make(onto, edit), this.mustAsk(onto) ? undefined : id);
  }

  /** Makes an edit of a card, or asks the lead for it; what was done, in words, or undefined if it was left. */
  private async make(card: CardState | undefined, edit: Edit): Promise<string | undefined> {
    return this.mustAsk(card)
      ? propose(this.calls, card!.name, [edit])
      : (await this.calls.make([edit])).words;
  }

  private async finish(act: () => Promise<string | undefined>, swatch: string | undefined): Promise<void> {
    try {
      const words = await act();
      if (words === undefined) {
        return;
      }
      clearTimeout(this.settling);
      this.asked++;
      this.element.hidden = true;
      this.target!.taken(words, swatch);
      this.target!.closed();
    } catch (error) {
      this.said.textContent = (error as Error).message;
    }
  }

  private onKey(event: KeyboardEvent): void {
    if (event.key === "Escape") {
      this.close();
    } else if (event.key === "Enter" && event.target === this.name) {
      void this.takeNew();
    }
    // Letters typed here are no tools of the desk.
    event.stopPropagation();
  }
}
