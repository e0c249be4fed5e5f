import type { ReplaceMessage, Replaced } from "messages";
import { byId } from "../../shared/dom";
import { call } from "../../shared/http";
import type { Fills } from "../model/fills";
import { countedPlaces } from "../model/places";
import type { Opening } from "../model/openings";
import type { Regions } from "../model/regions";
import { NO_FILL, type Fill } from "../model/state";
import type { Work } from "../model/work";
import type { Gathering } from "./gathering";
import type { Hand } from "./hand";

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

  /** Tells what lies here, and returns the names of what can be done; undefined where it cannot. */
  show(): Record<string, string | undefined> {
    const fill = this.fill;
    const card = this.fills.cardOf(fill);
    const swatch = this.fills.swatch(fill);
    byId("here-stone").style.background = this.fills.css(fill);
    const where = card ? `${card.name}${card.subject ? `, ${card.subject}` : ""}. ` : "";
    byId("here-where").textContent = where + (this.isOnInk ? this.aboutInk() : this.aboutRegion());
    const openings = this.isOnInk ? 0 : this.openings().length;
    const present = this.hand.present.get();
    const name = this.isOnInk && fill === NO_FILL ? "Black ink" : this.fills.nameOf(fill);
    byId("here-fill").textContent = name;
    const replaces = swatch && present !== fill && this.fills.swatch(present);
    const replace = (where: string) =>
      replaces ? `Replace ${name} by ${this.fills.nameOf(present)} ${where}` : undefined;
    return {
      gather: `Gather all ${fill === NO_FILL ? (this.isOnInk ? "black ink" : "without a fill") : `that wears ${name}`}`,
      ink:
        this.isOnInk || !this.fills.swatch(present)
          ? undefined
          : `Colour its ink ${this.fills.nameOf(present)}`,
      replaceHere: replace("on this sheet"),
      replaceScene: replace("in this scene"),
      replaceProject: replace("everywhere"),
      find: swatch && `Find ${name} on every sheet`,
      gaps: openings === 0 ? undefined : openings === 1 ? "See its opening" : `See its ${openings} openings`,
      card: card?.isEditable ? `Go to the card ${card.name}` : undefined,
    };
  }

  readonly acts: Record<string, () => void> = {
    gather: () =>
      this.isOnInk && this.fill === NO_FILL
        ? this.gathering.gather(this.fills.strokes().filter((place) => this.fills.of(place) === NO_FILL))
        : this.gathering.wearing(this.fill),
    ink: () => this.colourInk(this.regions.cellsWith(this.cell), this.hand.present.get()),
    replaceHere: () => this.work.layAll(this.fills.replacing(this.fill, this.hand.present.get())),
    replaceScene: () => void this.replace("SCENE"),
    replaceProject: () => void this.replace("PROJECT"),
    find: () => {
      location.href = `/projects/${this.path.split("/")[2]}/find?swatch=${this.fill}`;
    },
    gaps: () => this.showOpenings(this.openings()),
    card: () => {
      location.href = `/projects/${this.path.split("/")[2]}/cards/${this.fills.cardOf(this.fill)!.id}`;
    },
  };

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
