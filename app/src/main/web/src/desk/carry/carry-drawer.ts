import type { Along, Choice, Proposal, ProposedMessage, Proposals, SourceSheet } from "messages";
import { button, el } from "../../shared/build";
import { all, byId } from "../../shared/dom";
import { call } from "../../shared/http";
import type { Crop } from "../view/crop";
import type { Gathering } from "../hand/gathering";
import type { Hand } from "../hand/hand";
import type { NewCells } from "../hand/new-cells";
import type { Fills } from "../model/fills";
import { hexOf } from "../model/looks";
import type { Regions } from "../model/regions";
import { countedPlaces } from "../model/places";
import { NO_FILL, type Fill } from "../model/state";
import type { Work } from "../model/work";
import type { SheetView } from "../view/sheet-view";
import type { Groups } from "../ledger/groups";
import { fillRow } from "../ledger/fill-row";
import type { ShadowCalls } from "../shadows/shadow-calls";
import { CarryRun } from "./carry-run";
import { paintSource } from "./source-picture";

const MOST_ROWS = 60;
const NOTHING_ALONG: Along = { gaps: 0, groups: 0 };

/** Carries fills from other sheets: what is sure is laid in one act, what is doubtful is hatched and gone through with two keys. */
export class CarryDrawer {
  private readonly place = byId("carry");
  private readonly button = byId("carry-button");
  private sources: SourceSheet[] = [];
  /** Whoever asks before the list of sheets is there means what it will offer. */
  private loaded = Promise.resolve();
  private sure: Proposal[] = [];
  /** Strokes by the swatch that they get along with what is sure. */
  private lines = new Map<Fill, number[]>();
  /** Shadows that come along with it. */
  private shadows: Proposals["shadows"] = [];
  /** What else does: gaps as they were decided there, and groups. */
  private along = NOTHING_ALONG;
  private doubtful: Proposal[] = [];
  /** Of the doubtful ones: which is looked at, and which of its choices. */
  private at = 0;
  private choice = 0;
  private isAsking = false;

  constructor(
    private readonly path: string,
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly gathering: Gathering,
    private readonly crop: Crop,
    private readonly shadowCalls: ShadowCalls,
    private readonly groups: Groups,
    private readonly newCells: NewCells,
  ) {
    new CarryRun(path, () => this.chosenSources);
    byId("carry-ask").addEventListener("click", () => void this.ask());
    byId("carry-sure").addEventListener("click", () => this.laySure());
    byId("carry-take").addEventListener("click", () => this.take());
    byId("carry-next").addEventListener("click", () => this.nextChoice());
    byId("carry-leave").addEventListener("click", () => this.leave());
    hand.laid.listen((laid) => laid && this.noteOther(laid.fill, laid.cells));
    regions.changed.listen(() => {
      if (this.isBusy && !this.isAsking) {
        this.forget();
        this.renew();
      }
    });
  }

  get isOpen(): boolean {
    return !this.place.hidden;
  }

  /** Whether proposals are waiting, so that keys are about them. */
  get isBusy(): boolean {
    return this.isOpen && this.sure.length + this.doubtful.length > 0;
  }

  show(open: boolean): void {
    this.place.hidden = !open;
    this.button.setAttribute("aria-expanded", String(open));
    if (open) {
      this.loaded = this.loadSources().catch((error: unknown) => this.tell((error as Error).message));
    } else if (this.sure.length + this.doubtful.length > 0) {
      this.forget();
    }
    this.renew();
  }

  /** Goes to the next doubtful one, or the one before. */
  step(by: 1 | -1): void {
    if (this.doubtful.length > 0) {
      this.at = (this.at + by + this.doubtful.length) % this.doubtful.length;
      this.choice = 0;
      this.renew();
      this.goThere();
    }
  }

  /** Lays the present choice. */
  take(): void {
    const proposal = this.doubtful[this.at];
    const choice = proposal?.choices[this.choice];
    if (!proposal || !choice || !this.work.lay(choice.fill, proposal.cells)) {
      return;
    }
    this.doubtful.splice(this.at, 1);
    this.fills.tryOnCells(new Map());
    this.hand.said.set(`Filled with ${this.fills.nameOf(choice.fill)}`);
    if (this.choice > 0) {
      this.learn(proposal, choice.fill);
    }
    this.choice = 0;
    this.at = Math.min(this.at, Math.max(0, this.doubtful.length - 1));
    this.renew();
    this.goThere();
  }

  /** Chooses the next best for the present one; after the last, the first again. */
  nextChoice(): void {
    const proposal = this.doubtful[this.at];
    if (proposal) {
      this.choice = (this.choice + 1) % proposal.choices.length;
      this.renew();
    }
  }

  /** Shows the row of the doubtful region that a cell is in. */
  pointAt(cell: number | undefined): void {
    const here = this.doubtful.findIndex((each) => cell !== undefined && each.cells.includes(cell));
    if (this.isOpen && here >= 0 && here !== this.at) {
      this.at = here;
      this.choice = 0;
      this.renew();
    }
    const sure = this.sure.find((each) => cell !== undefined && each.cells.includes(cell));
    const from = byId("carry-from");
    from.hidden = !this.isOpen || !sure;
    if (this.isOpen && sure) {
      from.replaceChildren(...this.pictures(sure, sure.choices[0]!));
    }
  }

  private get chosenSources(): string[] {
    return all<HTMLInputElement>("input:checked", byId("carry-sources")).map((input) => input.value);
  }

  private async loadSources(): Promise<void> {
    if (this.sources.length > 0) {
      return;
    }
    this.sources = await call<SourceSheet[]>(`${this.path}/carry/sources`);
    const project = this.path.split("/")[2]!;
    byId("carry-none").hidden = this.sources.length > 0;
    byId("carry-sources").replaceChildren(
      ...this.sources.map(({ sheet, title, isModel, isOffered }) =>
        el(
          "label",
          {
            className:
              "grid grid-cols-[auto_64px_1fr] gap-[10px] items-center min-h-[52px] py-[4px] px-[14px] leading-[1.25] hover:bg-white [&_img]:w-[64px] [&_img]:rounded-[6px] [&_.quiet]:block",
          },
          el("input", { type: "checkbox", value: sheet, checked: isOffered }),
          el("img", { alt: "", src: `/projects/${project}/sheets/${sheet}/small.png` }),
          el("span", {}, title, el("span", { className: "quiet" }, isModel ? "model sheet" : "")),
        ),
      ),
    );
  }

  private async ask(): Promise<void> {
    await this.loaded;
    const sources = this.chosenSources;
    if (sources.length === 0) {
      this.tell("Choose a sheet to carry from.");
      return;
    }
    this.forget();
    this.isAsking = true;
    this.tell("Looking for the same things");
    try {
      const overFilled = byId<HTMLInputElement>("carry-over").checked;
      const uncovered = byId<HTMLInputElement>("carry-uncovered").checked;
      const { proposals: proposed, along } = await call<ProposedMessage>(`${this.path}/carry`, {
        sources,
        overFilled,
        uncovered,
      });
      const { layer, proposals, lines, shadows } = proposed;
      const known = proposals
        .map((each) => ({
          ...each,
          cells: each.cells.filter((cell) => this.changes(cell, each.choices[0]!)),
        }))
        .filter((each) => layer === this.fills.layer && each.cells.length > 0);
      this.sure = known.filter((each) => each.isSure);
      this.lines = new Map(layer === this.fills.layer ? Object.entries(lines) : []);
      this.shadows = layer === this.fills.layer ? shadows : [];
      this.along = layer === this.fills.layer ? along : NOTHING_ALONG;
      this.doubtful = known.filter((each) => !each.isSure).sort((a, b) => this.area(b) - this.area(a));
      this.tell(known.length + this.besides === 0 ? "Nothing on this sheet looks like anything there." : "");
    } catch (error) {
      this.tell((error as Error).message);
    }
    this.isAsking = false;
    this.renew();
  }

  private changes(cell: number, choice: Choice): boolean {
    return this.fills.of(cell) !== choice.fill;
  }

  private area(proposal: Proposal): number {
    return proposal.cells.reduce((sum, cell) => sum + this.regions.map.layer.cell(cell).area, 0);
  }

  private laySure(): void {
    const byFill = new Map<Fill, number[]>(this.lines);
    for (const { cells, choices } of this.sure) {
      const { fill } = choices[0]!;
      byFill.set(fill, [...(byFill.get(fill) ?? []), ...cells]);
    }
    // What is locked keeps its fills, so nothing is laid; what is proposed stays, to be laid once it is open.
    if (!this.work.layAll(byFill)) {
      return;
    }
    const said = `Laid ${this.counted}`;
    const { shadows, along } = this;
    this.sure = [];
    this.lines = new Map();
    this.shadows = [];
    this.along = NOTHING_ALONG;
    this.fills.tryOnCells(new Map());
    if (shadows.length > 0) {
      void this.shadowCalls.addAll(shadows);
    }
    if (along.gaps + along.groups > 0) {
      void this.layAlong(along, said);
    } else {
      this.hand.said.set(said);
    }
    this.renew();
    this.goThere();
  }

  private async layAlong({ gaps }: Along, said: string): Promise<void> {
    const message = { sources: this.chosenSources, overFilled: false };
    try {
      await this.work.inTurn(() => call(`${this.path}/carry/along`, message));
      this.hand.said.set(said);
      await Promise.all([this.groups.load(), this.newCells.takeOver().then(() => this.work.resync())]);
      if (gaps > 0 && this.isOpen) {
        // Other dams make other regions.
        await this.ask();
      }
    } catch (error) {
      this.work.notice.set((error as Error).message);
    }
  }

  private leave(): void {
    this.forget();
    this.renew();
  }

  private get strokes(): number {
    return [...this.lines.values()].flat().length;
  }

  /** What is sure, in words. */
  private get counted(): string {
    return countedPlaces(this.sure.length, this.strokes, this.shadows.length, this.along);
  }

  /** How much comes along with what is sure. */
  private get besides(): number {
    return this.strokes + this.shadows.length + this.along.gaps + this.along.groups;
  }

  private forget(): void {
    this.sure = [];
    this.lines = new Map();
    this.shadows = [];
    this.along = NOTHING_ALONG;
    this.doubtful = [];
    this.at = 0;
    this.choice = 0;
    this.fills.tryOnCells(new Map());
    this.gathering.veil(false);
    byId("carry-from").hidden = true;
  }

  /** Somebody filled a region otherwise than was proposed: that counts for the next carry. */
  private noteOther(fill: Fill, cells: readonly number[]): void {
    const touched = this.doubtful.filter((each) => each.cells.some((cell) => cells.includes(cell)));
    if (touched.length === 0) {
      return;
    }
    touched
      .filter((each) => fill !== NO_FILL && each.choices[0]!.fill !== fill)
      .forEach((each) => this.learn(each, fill));
    this.doubtful = this.doubtful.filter((each) => !touched.includes(each));
    this.at = Math.min(this.at, Math.max(0, this.doubtful.length - 1));
    this.choice = 0;
    this.renew();
  }

  private learn({ choices }: Proposal, fill: Fill): void {
    const { sheet, layer, cell } = choices[0]!;
    void call(`${this.path}/carry/corrections`, { source: sheet, layer, cell, fill }).catch(() => undefined);
  }

  private goThere(): void {
    const proposal = this.doubtful[this.at];
    if (proposal) {
      const shape = this.regions.shape(this.regions.of(proposal.cells[0]!));
      this.hand.goToCell(proposal.cells[0]!);
      this.view.showClose({ x: shape.deepestX, y: shape.deepestY }, Math.min(shape.width, shape.height));
    }
  }

  private renew(): void {
    const waiting = this.sure.length + this.doubtful.length + this.besides;
    this.button.querySelector(".count")!.textContent = waiting === 0 ? "" : String(this.doubtful.length);
    if (!this.isOpen) {
      return;
    }
    byId("carry-setup").hidden = waiting > 0;
    byId("carry-answer").hidden = waiting === 0;
    const sure = byId<HTMLButtonElement>("carry-sure");
    sure.hidden = this.sure.length + this.besides === 0;
    sure.textContent = `Lay what is sure: ${this.counted}`;
    byId("carry-doubtful").hidden = this.doubtful.length === 0;
    byId("carry-left").textContent = `${this.at + 1} of ${this.doubtful.length} in doubt`;
    this.showOnSheet();
    const proposal = this.doubtful[this.at];
    const choice = proposal?.choices[this.choice];
    if (proposal && choice) {
      byId("carry-take").firstChild!.textContent = `Take ${this.fills.nameOf(choice.fill)} `;
      byId<HTMLButtonElement>("carry-next").disabled = proposal.choices.length < 2;
      byId("carry-pictures").replaceChildren(...this.pictures(proposal, choice));
      byId("carry-choices").replaceChildren(...proposal.choices.map((each, i) => this.stone(each, i)));
    }
    byId("carry-rows").replaceChildren(
      ...this.doubtful.slice(0, MOST_ROWS).map((each, i) => this.row(each, i)),
    );
  }

  /** The sheet shows what would be laid, the doubtful hatched. */
  private showOnSheet(): void {
    const colours = new Map<number, string>();
    this.sure.forEach(({ cells, choices }) => this.colour(colours, cells, choices[0]!));
    this.doubtful.forEach(({ cells, choices }, i) =>
      this.colour(colours, cells, choices[i === this.at ? this.choice : 0]!),
    );
    this.lines.forEach((strokes, fill) =>
      strokes.forEach((place) => colours.set(place, hexOf(this.fills.colour(fill)))),
    );
    this.fills.tryOnCells(colours);
    this.view.gather(this.doubtful.flatMap((each) => each.cells));
  }

  private colour(colours: Map<number, string>, cells: readonly number[], { fill }: Choice): void {
    const hex = hexOf(this.fills.colour(fill));
    cells.forEach((cell) => colours.set(cell, hex));
  }

  /** The region here, and the one that it is taken for, each from close by. */
  private pictures({ cells }: Proposal, choice: Choice): HTMLElement[] {
    const here = el("canvas", { width: 240, height: 180, className: "w-full rounded-[10px]" });
    const shape = this.regions.shape(this.regions.of(cells[0]!));
    this.crop.paintAround(
      here,
      { x: shape.deepestX, y: shape.deepestY },
      Math.max(80, 2.2 * Math.max(shape.width, shape.height)),
    );
    const there = el("canvas", { width: 240, height: 180, className: "w-full rounded-[10px]" });
    void paintSource(there, `/projects/${this.path.split("/")[2]!}/sheets/${choice.sheet}/small.png`, choice);
    const title = this.sources.find((each) => each.sheet === choice.sheet)?.title ?? "";
    return [
      el("figure", {}, here, el("figcaption", { className: "quiet" }, "here")),
      el("figure", {}, there, el("figcaption", { className: "quiet" }, `as on ${title}`)),
    ];
  }

  private stone({ fill, share }: Choice, i: number): HTMLElement {
    const choose = () => {
      this.choice = i;
      this.renew();
    };
    const percent = Math.round(100 * share);
    const stone = button(
      "kinds-stone w-[32px] h-[32px] border-[3px] border-white rounded-[48%_52%_50%_50%] shadow-[0_0_0_1px_oklch(0_0_0_/_0.45)] cursor-pointer aria-pressed:shadow-[0_0_0_2.5px_black] [&.is-lost]:[background:repeating-linear-gradient(45deg,_white_0_4px,_black_4px_6px)]",
      "",
      choose,
      {
        title: `${this.fills.nameOf(fill)}, ${percent} %`,
        "aria-label": `${this.fills.nameOf(fill)}, ${percent} percent likely`,
        "aria-pressed": String(i === this.choice),
      },
    );
    stone.style.background = this.fills.css(fill);
    return stone;
  }

  private row({ choices, cells }: Proposal, i: number): HTMLElement {
    const { fill, share } = choices[0]!;
    const note = `${Math.round(100 * share)} % likely`;
    return fillRow(
      this.fills,
      this.view,
      { fill, name: this.fills.nameOf(fill), note, places: cells },
      {
        "aria-current": String(i === this.at),
        click: () => {
          this.at = i;
          this.choice = 0;
          this.renew();
          this.goThere();
        },
      },
    );
  }

  private tell(message: string): void {
    byId("carry-said").textContent = message;
  }
}
