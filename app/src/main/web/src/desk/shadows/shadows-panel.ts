import { Shapes } from "rules";
import { el, whilePointedAt } from "../../shared/build";
import { all, byId } from "../../shared/dom";
import type { Overlay } from "../view/overlay";
import type { Gathering } from "../hand/gathering";
import type { Hand } from "../hand/hand";
import type { Groups } from "../ledger/groups";
import type { Fills } from "../model/fills";
import { placeOfShadow } from "../model/places";
import type { Regions } from "../model/regions";
import { isRim, isSurface, kindOf, type Shadow, type Shadows } from "../model/shadows";
import { NO_FILL, type Fill } from "../model/state";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import { pointsOf } from "../geometry/way";
import { Knots } from "./knots";
import type { ShadowCalls } from "./shadow-calls";
import { ShadowList } from "./shadow-list";
import type { ShadowTargets } from "./shadow-tool";
import { ShadowWidth } from "./shadow-width";

const MOST_NUMBER = 2 ** 29;
const SEEDS = 10_000;
/** More of it looks like holes. */
const GRAIN_STRENGTH = 45;

/** What the shadow that is open looks like; without one, what the next will look like. */
export class ShadowsPanel implements ShadowTargets {
  private readonly panel = byId("shadows");
  private readonly base = byId<HTMLSelectElement>("shadow-base");
  private readonly name = byId<HTMLInputElement>("shadow-name");
  private readonly darker = byId<HTMLInputElement>("shadow-darker");
  private readonly mode = byId<HTMLSelectElement>("shadow-mode");
  private readonly strength = byId<HTMLInputElement>("shadow-strength");
  private readonly edge = byId<HTMLInputElement>("shadow-edge");
  private readonly width: ShadowWidth;
  private readonly corners = byId<HTMLSelectElement>("shadow-corners");
  private readonly filled = byId<HTMLInputElement>("shadow-filled");
  private readonly under = byId<HTMLInputElement>("shadow-under");
  private readonly knots: Knots;
  private readonly list: ShadowList;
  private opened: number | undefined;
  /** The cell pointed at last: the pointer has to leave the sheet to press a button about it. */
  private pointed: number | undefined;
  private side = 90;
  private seed = anySeed();
  /** What the next shadow wears. */
  private next: Fill = NO_FILL;

  constructor(
    private readonly shadows: Shadows,
    private readonly calls: ShadowCalls,
    private readonly fills: Fills,
    private readonly regions: Regions,
    private readonly work: Work,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly gathering: Gathering,
    private readonly groups: Groups,
    overlay: Overlay,
  ) {
    this.knots = new Knots(
      view,
      overlay,
      (shape) => this.tried(shape),
      (shape) => this.changed(shape),
    );
    hand.whenHeld("shadow", (shading) => {
      this.panel.hidden = !shading;
      this.open(undefined);
    });
    hand.cell.listen((cell) => (this.pointed = cell ?? this.pointed));
    regions.changed.listen(() => (this.pointed = hand.cell.get()));
    shadows.changed.listen(() => this.show());
    fills.painted.listen(() => !this.panel.hidden && this.showWorn());
    gathering.count.listen(() => this.offerBases());
    groups.changed.listen(() => this.offerBases());
    hand.present.subscribe(
      (fill) =>
        (byId("shadow-wear").textContent = `Wear ${fills.swatch(fill) ? fills.nameOf(fill) : "a swatch"}`),
    );
    this.width = new ShadowWidth(() => regions.strokePx);
    for (const control of [this.darker, this.strength, this.edge, this.width.slider]) {
      control.addEventListener("input", () => this.edit((shadow) => this.shadows.try(shadow)));
    }
    for (const control of [
      this.name,
      this.darker,
      this.mode,
      this.strength,
      this.edge,
      this.width.slider,
      this.corners,
      this.filled,
      this.under,
    ]) {
      control.addEventListener("change", () => this.edit((shadow) => void this.calls.change(shadow)));
    }
    this.panel.addEventListener("input", () => this.sayNumbers());
    this.base.addEventListener("change", () => this.rebase());
    all<HTMLButtonElement>("[data-side]", this.panel).forEach((each) =>
      each.addEventListener("click", () => this.turn(Number(each.dataset["side"]))),
    );
    byId("shadow-wear").addEventListener("click", () => this.wear(hand.present.get()));
    byId("shadow-bare").addEventListener("click", () => this.wear(NO_FILL));
    for (const [id, form] of [
      ["shadow-strip", () => `side ${this.side} ${this.width.px}`],
      ["shadow-rim", () => this.rim()],
      ["shadow-grain", () => `grain ${this.width.px} ${this.seed}`],
      ["shadow-soft", () => `soft ${this.width.px}`],
    ] as const) {
      byId(id).addEventListener("click", () => this.add(form()));
      whilePointedAt(
        byId(id),
        () => this.opened === undefined && this.shadows.try(this.draft(form())),
        () => this.opened === undefined && this.shadows.try(undefined),
      );
    }
    byId("shadow-back").addEventListener("click", () => this.order(-1));
    byId("shadow-front").addEventListener("click", () => this.order(1));
    byId("shadow-remove").addEventListener("click", () => this.remove());
    byId("shadow-close").addEventListener("click", () => this.open(undefined));
    this.list = new ShadowList(shadows, calls, fills, hand, view, gathering, groups, (number) =>
      this.open(number),
    );
    this.offerBases();
    this.sayNumbers();
    this.show();
  }

  /** Lets go of the one that is open; returns whether one was. */
  letGo(): boolean {
    const wasOpen = this.opened !== undefined;
    this.open(undefined);
    return wasOpen;
  }

  open(number: number | undefined): void {
    this.opened = number;
    const shadow = this.shadows.find(number);
    if (shadow) {
      const { name, darker, mode, strength, edgePx, form } = shadow;
      this.name.value = name;
      this.darker.value = String(darker);
      this.mode.value = mode;
      this.strength.value = String(strength);
      this.edge.value = String(edgePx);
      const parts = form.split(" ");
      if (parts[0] === "grain" || parts[0] === "soft") {
        this.width.set(Number(parts[1]));
        this.seed = Number(parts[2] ?? this.seed);
      } else if (parts[0] === "side") {
        this.side = Number(parts[1]);
        this.width.set(Number(parts[2]));
      } else if (parts[0] === "rim") {
        this.width.set(Number(parts[1]));
        this.corners.value = parts[2]!;
        this.filled.checked = parts.includes("filled");
        this.under.checked = parts.includes("under");
      }
    }
    this.sayNumbers();
    this.offerBases();
    this.show();
  }

  private show(): void {
    const shadow = this.shadows.find(this.opened);
    if (this.opened !== undefined && !shadow) {
      this.open(undefined);
      return;
    }
    const form = shadow?.form;
    this.panel.dataset["form"] = form?.split(" ")[0] ?? "none";
    byId<HTMLDetailsElement>("shadow-more").open ||= form !== undefined && !form.startsWith("drawn");
    byId("shadows-title").textContent = shadow ? kindOf(shadow) : "Shadows and rims";
    if (!this.panel.hidden) {
      this.knots.show(form);
      this.showWorn();
      this.list.show(this.opened);
    } else {
      this.knots.show(undefined);
    }
  }

  private showWorn(): void {
    const shadow = this.shadows.find(this.opened);
    const fill = shadow ? this.fills.of(placeOfShadow(shadow.number)) : this.next;
    this.panel.dataset["worn"] = fill === NO_FILL ? "none" : "swatch";
    byId("shadow-worn").textContent =
      fill !== NO_FILL
        ? this.fills.nameOf(fill)
        : shadow && isRim(shadow)
          ? "Black"
          : shadow && isSurface(shadow)
            ? "The paper shows"
            : "The base, darker";
    byId("shadow-bare").textContent =
      shadow && (isRim(shadow) || isSurface(shadow)) ? "No swatch" : "Base, darker";
    byId("shadow-stone").style.background = fill === NO_FILL ? "" : this.fills.css(fill);
  }

  private sayNumbers(): void {
    const darker = Number(this.darker.value);
    byId("shadow-darker-said").textContent = darker < 0 ? `${-darker} lighter` : `${darker}`;
    byId("shadow-strength-said").textContent = `${this.strength.value} %`;
    byId("shadow-edge-said").textContent = Number(this.edge.value) === 0 ? "hard" : `${this.edge.value} px`;
    this.width.say();
    all<HTMLButtonElement>("[data-side]", this.panel).forEach((each) =>
      each.setAttribute("aria-pressed", String(Number(each.dataset["side"]) === this.side)),
    );
  }

  private offerBases(): void {
    const shadow = this.shadows.find(this.opened);
    const offers: [string, string][] = [
      ...(shadow ? [["", "as it is"] as [string, string]] : []),
      ["region", shadow ? "the region pointed at" : "the region under it"],
      ...(this.gathering.count.get() > 0 ? [["gathered", "what is gathered"] as [string, string]] : []),
      ...this.groups.all.map(({ id, name }) => [`group ${id}`, `the group ${name}`] as [string, string]),
      ["laid", "all that is laid"],
    ];
    const before = this.base.value;
    this.base.replaceChildren(...offers.map(([value, label]) => el("option", { value }, label)));
    const isThere = offers.some(([value]) => value === before);
    this.base.value = shadow ? "" : this.gathering.count.get() > 0 ? "gathered" : isThere ? before : "region";
  }

  /** A base as text. @param shape that lies on it, if one was drawn */
  private baseFor(shape: string | undefined): string | undefined {
    const { value } = this.base;
    if (value === "gathered") {
      return `cells ${this.gathering.gathered.join(" ")}`;
    }
    if (value.startsWith("group ")) {
      const group = this.groups.all.find(({ id }) => value === `group ${id}`);
      return group && `${value} ${group.cells.join(" ")}`;
    }
    if (value === "laid") {
      return "laid";
    }
    const cells = shape ? this.cellsUnder(shape) : this.cellsHere();
    return cells.length > 0 ? `cells ${[...cells].join(" ")}` : undefined;
  }

  private cellsUnder(shape: string): ArrayLike<number> & Iterable<number> {
    const at = pointsOf(Shapes.samples(shape)).map((point) =>
      this.view.cellAt(this.view.camera.toScreen(point)),
    );
    const cells = at.filter((cell): cell is number => cell !== undefined);
    return this.regions.mostOf(cells, this.fills.numbers());
  }

  private cellsHere(): number[] {
    return this.pointed === undefined ? [] : this.regions.cellsWith(this.pointed);
  }

  drawn(shape: string): void {
    this.add(shape);
    if (Shapes.crossesItself(shape)) {
      this.hand.said.set("This line crosses itself; all that it runs around is in shadow");
    }
  }

  /** What the controls would make of a form; undefined without a base. */
  private draft(form: string): Shadow | undefined {
    const base = this.baseFor(form.startsWith("drawn") ? form : undefined);
    const rim = form.startsWith("rim");
    const kind = kindOf({ form });
    const count = this.shadows.stored.filter((each) => kindOf(each) === kind).length + 1;
    return base === undefined
      ? undefined
      : {
          number: Math.floor(Math.random() * MOST_NUMBER),
          rank: 0,
          name: `${kind} ${count}`,
          base,
          form,
          mode: this.mode.value,
          darker: Number(this.darker.value),
          strength: rim ? 100 : form.startsWith("grain") ? GRAIN_STRENGTH : Number(this.strength.value),
          edgePx: form.startsWith("drawn") || form.startsWith("side") ? Number(this.edge.value) : 0,
        };
  }

  private add(form: string): void {
    const shadow = this.draft(form);
    if (!shadow) {
      this.work.notice.set("Gather the regions that it is to lie on, or choose a group as its base.");
      return;
    }
    const rim = isRim(shadow);
    const held = this.hand.present.get();
    const fill = rim && this.next === NO_FILL && this.fills.swatch(held) ? held : this.next;
    void this.calls.add(shadow, fill).then((taken) => {
      if (taken) {
        this.gathering.drop(this.gathering.gathered);
        this.seed = anySeed();
        this.open(shadow.number);
        this.hand.said.set(`${shadow.name} laid`);
      }
    });
  }

  private rim(): string {
    const holes = (this.filled.checked ? " filled" : "") + (this.under.checked ? " under" : "");
    return `rim ${this.width.px} ${this.corners.value}${holes}`;
  }

  /** The one that is open, as the controls have it. */
  private edit(act: (shadow: Shadow) => void): void {
    const shadow = this.shadows.find(this.opened);
    if (shadow) {
      act({
        ...shadow,
        form: this.formLike(shadow.form),
        name: this.name.value.trim() || shadow.name,
        mode: this.mode.value,
        darker: Number(this.darker.value),
        strength: Number(this.strength.value),
        edgePx: Number(this.edge.value),
      });
    }
  }

  /** A form of the same kind, as the controls have it. */
  private formLike(form: string): string {
    switch (form.split(" ")[0]) {
      case "rim":
        return this.rim();
      case "side":
        return `side ${this.side} ${this.width.px}`;
      case "grain":
        return `grain ${this.width.px} ${this.seed}`;
      case "soft":
        return `soft ${this.width.px}`;
      default:
        return form;
    }
  }

  private turn(side: number): void {
    this.side = side;
    this.sayNumbers();
    this.edit((shadow) => shadow.form.startsWith("side") && void this.calls.change(shadow));
  }

  private wear(fill: Fill): void {
    if (fill !== NO_FILL && !this.fills.swatch(fill)) {
      this.work.notice.set("Shadows wear plain swatches. Take one into the hand first.");
    } else if (this.opened !== undefined) {
      this.work.lay(fill, [placeOfShadow(this.opened)]);
    } else {
      this.next = fill;
      this.showWorn();
    }
  }

  private rebase(): void {
    const shadow = this.shadows.find(this.opened);
    if (shadow && this.base.value !== "") {
      const base = this.baseFor(shadow.form.startsWith("drawn") ? shadow.form : undefined);
      if (base) {
        void this.calls.change({ ...shadow, base }).then(() => this.offerBases());
      }
    }
  }

  private order(by: number): void {
    if (this.opened !== undefined) {
      void this.calls.act({ act: "MOVE", number: this.opened, by });
    }
  }

  private remove(): void {
    const number = this.opened;
    if (number !== undefined) {
      this.open(undefined);
      void this.calls.act({ act: "REMOVE", number });
    }
  }

  shape(): string | undefined {
    const form = this.shadows.find(this.opened)?.form;
    return form?.startsWith("drawn") ? form : undefined;
  }

  tried(shape: string | undefined): void {
    const shadow = this.shadows.find(this.opened);
    this.shadows.try(shadow && shape ? { ...shadow, form: shape } : undefined);
  }

  changed(shape: string): void {
    const shadow = this.shadows.find(this.opened);
    if (shadow) {
      void this.calls.change({ ...shadow, form: shape });
    }
  }

  take(at: Point): boolean {
    const found = [...this.shadows.stored].reverse().find(({ form }) => Shapes.has(form, at.x, at.y));
    if (found && found.number !== this.opened) {
      this.open(found.number);
    }
    return found !== undefined;
  }
}

function anySeed(): number {
  return Math.floor(Math.random() * SEEDS);
}
