import type { CellGroup, GroupMessageUnion } from "messages";
import { SheetGroups } from "rules";
import { atom } from "nanostores";
import { button, el } from "../../shared/build";
import { byId } from "../../shared/dom";
import { call } from "../../shared/http";
import type { Gathering } from "../hand/gathering";
import type { Hand } from "../hand/hand";
import type { Fills } from "../model/fills";
import type { Regions } from "../model/regions";
import type { Work } from "../model/work";
import type { SheetView } from "../view/sheet-view";
import { lightUp } from "./fill-row";

/** The groups of the sheet, in the ledger: found from the list and from the sheet. */
export class Groups {
  /** Counts up whenever they do. */
  readonly changed = atom(0);
  private groups: readonly CellGroup[] = [];
  private readonly rows = new Map<string, HTMLElement>();
  private known = new SheetGroups();

  constructor(
    private readonly path: string,
    private readonly regions: Regions,
    private readonly fills: Fills,
    private readonly work: Work,
    hand: Hand,
    private readonly view: SheetView,
    private readonly gathering: Gathering,
  ) {
    byId("groups-each").addEventListener("click", () => void this.act({ act: "FOR_EACH_COLOUR" }));
    const name = byId<HTMLInputElement>("gather-name");
    byId("gather-group").addEventListener("submit", (event) => {
      event.preventDefault();
      void this.act({ act: "MAKE", name: name.value, cells: gathering.gathered }).then(() => {
        name.value = "";
        gathering.letGo();
      });
    });
    hand.cell.listen((cell) => this.markRow(cell));
    let layer = fills.layer;
    regions.changed.listen(() => {
      if (fills.layer !== layer) {
        layer = fills.layer;
        void this.load();
      }
    });
    void this.load();
  }

  /** As the rules know them. */
  get rules(): SheetGroups {
    return this.known;
  }

  get all(): readonly CellGroup[] {
    return this.groups;
  }

  async load(): Promise<void> {
    await this.work.settled;
    this.take(await call<CellGroup[]>(`${this.path}/groups`));
  }

  private async act(message: GroupMessageUnion): Promise<void> {
    try {
      this.take(await this.work.inTurn(() => call<CellGroup[]>(`${this.path}/groups`, message)));
    } catch (error) {
      this.work.notice.set((error as Error).message);
    }
  }

  private take(groups: CellGroup[]): void {
    this.groups = groups;
    this.fills.hide(groups.filter((group) => group.isHidden).flatMap((group) => group.cells));
    const known = new SheetGroups();
    groups.forEach(({ id, name, isHidden, isLocked, cells }) =>
      known.add(id, name, isHidden, isLocked, cells),
    );
    this.known = known;
    this.work.lock((cells) => known.objectionTo(cells) ?? undefined);
    byId("groups-none").hidden = groups.length > 0;
    this.changed.set(this.changed.get() + 1);
    this.rows.clear();
    byId("groups").replaceChildren(...groups.map((group) => this.row(group)));
  }

  private row(group: CellGroup): HTMLElement {
    const { id, cells } = group;
    const regions = new Set(cells.map((cell) => this.regions.of(cell))).size;
    const name = el("input", {
      className:
        "group-name flex-[1_0_75%] min-h-[30px] py-0 px-[6px] border-transparent bg-transparent font-semibold hover:border-edge [&:focus]:border-edge",
      value: group.name,
      maxlength: 120,
      "aria-label": "Name of the group",
      change: () => void this.act({ act: "RENAME", group: id, name: name.value }),
    });
    const act = (label: string, title: string, click: (event: MouseEvent) => void, pressed?: boolean) =>
      button(
        "group-act min-w-[32px] min-h-[32px] py-0 px-[6px] rounded-[8px] text-[0.84rem] hover:bg-line aria-pressed:bg-line",
        label,
        click,
        {
          title,
          "aria-label": `${title}: ${group.name}`,
          ...(pressed === undefined ? {} : { "aria-pressed": String(pressed) }),
        },
      );
    const row = el(
      "li",
      {
        className:
          "group-row flex flex-wrap gap-[4px] items-center py-[6px] px-[14px] border-l-[4px] border-l-transparent [&.is-here]:border-l-strong [&.is-here]:bg-white",
      },
      name,
      act("×", "Take apart", () => void this.act({ act: "REMOVE", group: id })),
      act(regions === 1 ? "1 region" : `${regions} regions`, "Gather; with Shift, these too", (event) =>
        this.gathering.gather(cells, event.shiftKey),
      ),
      act(
        group.isHidden ? "Show" : "Hide",
        group.isHidden ? "Show" : "Hide",
        () => void this.act({ act: "HIDE", group: id, hides: !group.isHidden }),
        group.isHidden,
      ),
      act(
        group.isLocked ? "Unlock" : "Lock",
        group.isLocked ? "Unlock" : "Lock",
        () => void this.act({ act: "LOCK", group: id, locks: !group.isLocked }),
        group.isLocked,
      ),
      act("Cut", "Cut from film", () =>
        location.assign(
          `${this.path}/hand-on?${new URLSearchParams({ cutBy: "GROUP", cut: group.name }).toString()}#cut`,
        ),
      ),
      act("↑", "To the front", () => void this.act({ act: "MOVE", group: id, by: -1 })),
      act("↓", "To the back", () => void this.act({ act: "MOVE", group: id, by: 1 })),
    );
    lightUp(this.view, row, cells);
    this.rows.set(id, row);
    return row;
  }

  /** Marks the row of the group that is pointed at on the sheet. */
  private markRow(cell: number | undefined): void {
    const here = this.groups.find((group) => cell !== undefined && group.cells.includes(cell));
    this.rows.forEach((row, id) => row.classList.toggle("is-here", id === here?.id));
  }
}
