import { byId } from "../../shared/dom";
import { callHeaders } from "../../shared/http";
import type { HereMessage, Presence } from "messages";
import type { Live } from "../../shared/live";
import type { Hand } from "../hand/hand";
import type { Regions } from "../model/regions";
import type { SheetView } from "../view/sheet-view";

/** Where somebody points is told at most so often, and that one is still there now and then. */
const LEAST_MS = 1200;
const STILL_HERE_MS = 20_000;
/** Whoever was not heard of for so long has gone. */
const GONE_MS = 50_000;
/** Where a browser keeps that its person does not want to be seen. */
const UNSEEN = "pond/unseen";

interface Companion {
  readonly presence: Presence;
  readonly heardMs: number;
  readonly stone: HTMLElement;
}

/** Who else is on the sheet, and which region each points at. */
export class Company {
  private readonly said = byId("company");
  private readonly stones = byId("stones");
  private readonly model = byId<HTMLTemplateElement>("company-stone");
  private readonly others = new Map<string, Companion>();
  private telling: number | undefined;

  constructor(
    private readonly path: string,
    sheet: string,
    self: string,
    live: Live,
    private readonly hand: Hand,
    private readonly regions: Regions,
    private readonly view: SheetView,
  ) {
    live.onPresence((presence) => {
      if (presence.sheet === sheet && presence.person !== self) {
        this.hear(presence);
      }
    });
    hand.cell.listen(() => this.tellSoon());
    view.onMove(() => this.place());
    regions.changed.listen(() => this.place());
    setInterval(() => this.look(), STILL_HERE_MS);
    window.addEventListener("pagehide", () => this.tell(true));
    this.tell();
  }

  /** Whether others see which region is pointed at here. */
  get isSeen(): boolean {
    return localStorage.getItem(UNSEEN) === null;
  }

  /** Tells others where this person points, or no longer; that they are on the sheet is told in any case. */
  turn(): void {
    if (this.isSeen) {
      localStorage.setItem(UNSEEN, "yes");
    } else {
      localStorage.removeItem(UNSEEN);
    }
    this.tell();
  }

  private hear(presence: Presence): void {
    const page = presence.page ?? "";
    const known = this.others.get(page);
    if (presence.isGone) {
      known?.stone.remove();
      this.others.delete(page);
    } else {
      const stone = known?.stone ?? this.stone(presence.name);
      this.others.set(page, { presence, heardMs: Date.now(), stone });
      if (!known) {
        // Whoever has just come does not know yet who is here.
        this.tellSoon();
      }
    }
    this.show();
  }

  private stone(name: string): HTMLElement {
    const stone = this.model.content.firstElementChild!.cloneNode(true) as HTMLElement;
    stone.textContent = name.slice(0, 1);
    this.stones.append(stone);
    return stone;
  }

  private look(): void {
    for (const [page, { heardMs, stone }] of this.others) {
      if (Date.now() - heardMs > GONE_MS) {
        stone.remove();
        this.others.delete(page);
      }
    }
    this.show();
    this.tell();
  }

  private show(): void {
    const names = [...new Set([...this.others.values()].map(({ presence }) => presence.name))].sort();
    this.said.hidden = names.length === 0;
    this.said.textContent = `With ${names.join(", ")}`;
    this.place();
  }

  private place(): void {
    for (const { presence, stone } of this.others.values()) {
      const { cell } = presence;
      stone.hidden = cell === null || cell >= this.regions.map.layer.count();
      if (!stone.hidden) {
        const { deepestX, deepestY } = this.regions.shape(this.regions.of(cell!));
        const at = this.view.camera.toScreen({ x: deepestX, y: deepestY });
        stone.style.transform = `translate(${at.x}px, ${at.y}px) translate(-50%, -50%)`;
      }
    }
  }

  private tellSoon(): void {
    this.telling ??= setTimeout(() => this.tell(), LEAST_MS);
  }

  private tell(leaves = false): void {
    clearTimeout(this.telling);
    this.telling = undefined;
    // Nobody waits for it, and it may get lost.
    void fetch(`${this.path}/here`, {
      method: "POST",
      keepalive: leaves,
      headers: { ...callHeaders(), "Content-Type": "application/json" },
      body: JSON.stringify({
        region: this.isSeen ? (this.hand.cell.get() ?? null) : null,
        leaves,
      } satisfies HereMessage),
    }).catch(() => {});
  }
}
