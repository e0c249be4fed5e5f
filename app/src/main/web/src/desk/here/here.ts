import type { LaidBy, ReplaceMessage, Replaced } from "messages";
import { byId } from "../../shared/dom";
import { call } from "../../shared/http";
import type { Fills } from "../model/fills";
import { countedPlaces } from "../model/places";
import type { Opening } from "../model/openings";
import type { Regions } from "../model/regions";
import { NO_FILL, type Fill } from "../model/state";
import type { Work } from "../model/work";
import type { Gathering } from "../hand/gathering";
import type { Command } from "../hand/commands";
import type { Hand } from "../hand/hand";

type Scope = "SCENE" | "PROJECT";

/** All that lies at the place pointed at, and where one can go from there. */
export class Here {
  constructor(
    private readonly path: string,
    private readonly hand: Hand,
    private readonly fills: Fills,
    private readonly regions: Regions,
    private readonly work: Work,
    private readonly gathering: Gathering,
    private readonly showOpenings: (openings: Opening[]) => void,
    private readonly colourInk: (cells: readonly number[], fill: Fill) => void,
  ) {}

  /** Tells what lies here. */
  tell(): void {
    const card = this.fills.cardOf(this.fill);
    byId("here-stone").style.background = this.fills.css(this.fill);
    const where = card ? `${card.name}${card.subject ? `, ${card.subject}` : ""}. ` : "";
    byId("here-where").textContent = where + (this.isOnInk ? this.aboutInk() : this.aboutRegion());
    byId("here-fill").textContent = this.name;
    void this.tellWho(this.cell);
  }

  /** Says who changed it last; nothing where that cannot be asked just now. */
  private async tellWho(cell: number): Promise<void> {
    const place = byId("here-who");
    place.textContent = "";
    try {
      const query = `layer=${this.fills.layer}&cell=${cell}`;
      const { words } = await call<LaidBy>(`${this.path}/laid-by?${query}`);
      if (this.hand.cell.get() === cell) {
        place.textContent = words;
      }
    } catch {
      // It is said beside what can be done, which goes on without it.
    }
  }

  commands(): Command[] {
    const inMenu = (name: string, label: () => string | undefined, run: () => void): Command => ({
      name,
      chapter: "Fill",
      entry: { menu: "region", label, part: name === "ink-here" ? 1 : 2 },
      run,
    });
    const project = `/projects/${this.path.split("/")[2]}`;
    return [
      inMenu(
        "ink-here",
        () => this.inkLabel(),
        () => this.colourInk(this.regions.cellsWith(this.cell), this.held),
      ),
      inMenu(
        "alike",
        () => this.alikeLabel(),
        () => this.gatherAlike(),
      ),
      inMenu(
        "replace-here",
        () => this.replaceLabel("on this sheet"),
        () => this.work.layAll(this.fills.replacing(this.fill, this.held)),
      ),
      inMenu(
        "replace-scene",
        () => this.replaceLabel("in this scene"),
        () => void this.replace("SCENE"),
      ),
      inMenu(
        "replace-project",
        () => this.replaceLabel("everywhere"),
        () => void this.replace("PROJECT"),
      ),
      inMenu(
        "find",
        () => this.fills.swatch(this.fill) && `Find ${this.name} on every sheet`,
        () => location.assign(`${project}/find?swatch=${this.fill}`),
      ),
      inMenu(
        "openings",
        () => this.openingsLabel(),
        () => this.showOpenings(this.openings()),
      ),
      inMenu(
        "card",
        () => this.cardLabel(),
        () => location.assign(`${project}/cards/${this.fills.cardOf(this.fill)!.id}`),
      ),
    ];
  }

  private get held(): Fill {
    return this.hand.present.get();
  }

  private get name(): string {
    return this.isOnInk && this.fill === NO_FILL ? "Black ink" : this.fills.nameOf(this.fill);
  }

  private replaceLabel(where: string): string | undefined {
    const { fill, held } = this;
    return this.fills.swatch(fill) && held !== fill && this.fills.swatch(held)
      ? `Replace ${this.name} by ${this.fills.nameOf(held)} ${where}`
      : undefined;
  }

  private alikeLabel(): string {
    const bare = this.isOnInk ? "black ink" : "without a fill";
    return `Gather all ${this.fill === NO_FILL ? bare : `that wears ${this.name}`}`;
  }

  private inkLabel(): string | undefined {
    return this.isOnInk || !this.fills.swatch(this.held)
      ? undefined
      : `Colour its ink ${this.fills.nameOf(this.held)}`;
  }

  private openingsLabel(): string | undefined {
    const openings = this.isOnInk ? 0 : this.openings().length;
    return openings === 0 ? undefined : openings === 1 ? "See its opening" : `See its ${openings} openings`;
  }

  private cardLabel(): string | undefined {
    const card = this.fills.cardOf(this.fill);
    return card?.isEditable ? `Go to the card ${card.name}` : undefined;
  }

  private gatherAlike(): void {
    if (this.isOnInk && this.fill === NO_FILL) {
      this.gathering.gather(this.fills.strokes().filter((place) => this.fills.of(place) === NO_FILL));
    } else {
      this.gathering.wearing(this.fill);
    }
  }

  private get cell(): number {
    return this.hand.cell.get()!;
  }

  private get isOnInk(): boolean {
    return this.hand.stroke.get() !== undefined;
  }

  private get fill(): Fill {
    return this.fills.of(this.hand.stroke.get() ?? this.cell);
  }

  private aboutRegion(): string {
    const { area, cells } = this.regions.shape(this.regions.of(this.cell));
    const share = ((100 * area) / this.regions.area).toFixed(1);
    return `${share} % of the sheet, ${cells.length === 1 ? "1 piece" : `${cells.length} pieces`}`;
  }

  private aboutInk(): string {
    const alike = this.fills.strokes().filter((place) => this.fills.of(place) === this.fill).length;
    return `Ink, ${countedPlaces(0, alike)} alike on this sheet`;
  }

  private openings(): Opening[] {
    return this.regions.openingsAt(this.regions.of(this.cell));
  }

  private async replace(scope: Scope): Promise<void> {
    const body: ReplaceMessage = { swatch: this.fill, by: this.hand.present.get(), scope };
    const replacing = () => call<Replaced>(`${this.path}/replace`, body);
    const done = await this.work
      .inTurn(replacing)
      .catch((error: unknown) => void this.work.notice.set((error as Error).message));
    if (done) {
      await this.work.resync();
      const sheets = done.sheets === 1 ? "1 sheet" : `${done.sheets} sheets`;
      this.hand.said.set(`Replaced in ${done.regions} regions on ${sheets}`);
      this.work.notice.set(
        `Replaced in ${done.regions} regions on ${sheets}. It is one step to take back, on all of them.`,
      );
    }
  }
}
