import type { AddedLayer } from "messages";
import { all, byId } from "../../shared/dom";
import { call, Refusal } from "../../shared/http";
import type { Overlay } from "../view/overlay";
import type { Hand } from "../hand/hand";
import type { Ramp } from "../shore/ramp";
import type { Stack } from "../model/stack";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import { pointsOf } from "../geometry/way";
import { DividedShape } from "./divided-shape";
import type { EvenHandles } from "../view/even-handles";
import { ShapeArm } from "./shape-arm";
import { ShapeKnots } from "./shape-knots";
import type { ShapeSheet } from "./shape-sheet";
import { ShapeTool, type ShapeMode, type ShapeWays } from "./shape-tool";

const ARROWS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** What can be done to the shapes of the layer, beside the sheet while the shape tool is in the hand. */
export class ShapesPanel {
  readonly tool: ShapeTool;
  private readonly panel = byId("shapes");
  private readonly knots: ShapeKnots;
  private readonly arm: ShapeArm;
  private readonly divided: DividedShape;

  constructor(
    private readonly path: string,
    private readonly sheet: ShapeSheet,
    private readonly stack: Stack,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly work: Work,
    private readonly overlay: Overlay,
    private readonly ramp: Ramp,
    handles: EvenHandles,
  ) {
    this.tool = new ShapeTool(sheet, view, overlay, hand, () => this.ways);
    this.knots = new ShapeKnots(sheet, this.tool, view);
    this.divided = new DividedShape(sheet, handles);
    this.arm = new ShapeArm(sheet, this.tool, view);
    hand.whenHeld("shape", (isShaping) => void this.turn(isShaping));
    sheet.chosen.listen(() => this.show());
    sheet.shown.listen(() => this.show());
    this.tool.mode.subscribe((mode) =>
      all<HTMLInputElement>("input[name='shape-mode']", this.panel).forEach(
        (each) => (each.checked = each.value === mode),
      ),
    );
    this.panel.addEventListener("change", (event) => {
      const input = event.target as HTMLInputElement;
      if (input.name === "shape-mode") {
        this.tool.mode.set(input.value as ShapeMode);
        byId("sheet").focus({ preventScroll: true });
      }
    });
    this.panel.addEventListener("submit", (event) => event.preventDefault());
    all<HTMLButtonElement>("[data-shape-act]", this.panel).forEach((each) =>
      each.addEventListener("click", () => this.act(each.dataset["shapeAct"]!)),
    );
    all<HTMLButtonElement>("[data-shapes-at]", this.panel).forEach((each) =>
      each.addEventListener("click", () => void this.addLayer(each.dataset["shapesAt"] === "under")),
    );
    for (const id of ["shape-edge", "shape-tapered"]) {
      byId(id).addEventListener("change", () => this.outline());
    }
  }

  private get ways(): ShapeWays {
    return {
      isUnder: byId<HTMLInputElement>("shape-under").checked,
      sharesBorders: byId<HTMLInputElement>("shape-share").checked,
      sides: Number(byId<HTMLInputElement>("shape-sides").value),
    };
  }

  private async turn(isShaping: boolean): Promise<void> {
    this.panel.hidden = !isShaping;
    this.knots.turnOn(isShaping);
    this.arm.turnOn(isShaping);
    byId("shapes-none").hidden = this.sheet.isBlockedIn;
    byId("shapes-here").hidden = !this.sheet.isBlockedIn;
    if (!isShaping) {
      this.tool.letGo();
      this.sheet.choose([]);
    } else if (this.sheet.isBlockedIn) {
      await this.sheet.open().catch((error: Error) => this.work.notice.set(error.message));
    }
    this.show();
  }

  /** A key for what is chosen; returns whether it has a meaning. */
  key(event: KeyboardEvent): boolean {
    const chosen = [...this.sheet.chosen.get()];
    const step = ARROWS[event.key];
    if (!this.hand.has("shape") || chosen.length === 0) {
      return false;
    }
    if (step) {
      const far = event.shiftKey ? 10 : 1;
      this.sheet.make("Moved shapes", (rules) => rules.move(chosen, step[0] * far, step[1] * far));
      return true;
    }
    if (event.key === "Delete" || event.key === "Backspace") {
      this.act("remove");
      return true;
    }
    return false;
  }

  /** Lets go of what is begun or chosen; returns whether there was something. */
  letGo(): boolean {
    if (this.tool.letGo()) {
      return true;
    }
    const hadSome = this.sheet.chosen.get().length > 0;
    this.sheet.choose([]);
    return hadSome;
  }

  private show(): void {
    const chosen = [...this.sheet.chosen.get()];
    const rules = this.sheet.present;
    const isOn = this.hand.has("shape") && rules !== undefined;
    byId("shapes-chosen").hidden = chosen.length === 0;
    byId("shapes-many").hidden = chosen.length < 2;
    byId("shapes-said").textContent =
      chosen.length === 0
        ? `${rules?.order().length ?? 0} shapes. A click chooses one; with Alt, whatever you draw with.`
        : chosen.length === 1
          ? "1 shape in the hand"
          : `${chosen.length} shapes in the hand`;
    const borders: Point[][] = [];
    if (isOn) {
      for (const number of this.sheet.marked) {
        for (let loop = 0; loop < rules.loops(number); loop++) {
          borders.push(pointsOf(rules.border(number, loop)));
        }
      }
      if (chosen.length > 0 && rules.loops(chosen[0]!) > 0) {
        const edge = rules.edgeOf(chosen[0]!);
        byId<HTMLInputElement>("shape-edge").value = String(Math.abs(edge));
        byId<HTMLInputElement>("shape-tapered").checked = edge < 0;
      }
    }
    const lines = isOn ? Array.from({ length: rules.lineCount() }, (_, i) => pointsOf(rules.line(i))) : [];
    this.overlay.shapes(borders, lines, isOn ? endsOf(rules.looseEnds()).map(({ at }) => at) : []);
    byId("shapes-loose").hidden = !isOn || lines.length === 0;
    if (isOn && lines.length > 0) {
      const ends = endsOf(rules.looseEnds()).length;
      byId("shapes-loose-said").textContent =
        ends === 1 ? "1 end of a line meets nothing" : `${ends} ends of lines meet nothing`;
    }
  }

  private act(act: string): void {
    const chosen = [...this.sheet.chosen.get()];
    const { sheet } = this;
    const one = chosen[0] ?? 0;
    const acts: Record<string, () => unknown> = {
      forward: () => sheet.make("Moved shapes forward", (rules) => rules.reorder(chosen, 1)),
      back: () => sheet.make("Moved shapes back", (rules) => rules.reorder(chosen, -1)),
      tuck: () => sheet.make("Tucked a shape under", (rules) => rules.tuck(one)),
      share: () =>
        sheet.make("Shared borders", (rules) => rules.shareBorders(one, 24 / this.view.camera.scale)),
      duplicate: () => sheet.make("Duplicated shapes", (rules) => rules.duplicate(chosen)),
      join: () => sheet.make("Joined shapes", (rules) => rules.join(chosen)),
      subtract: () => sheet.make("Cut a shape out of others", (rules) => rules.subtract(chosen)),
      mirror: () => sheet.make("Mirrored shapes", (rules) => rules.turn(chosen, 0, -1, 1)),
      flip: () => sheet.make("Mirrored shapes", (rules) => rules.turn(chosen, 0, 1, -1)),
      remove: () => sheet.make("Removed shapes", (rules) => rules.remove(chosen)),
      all: () => sheet.choose([...(sheet.present?.order() ?? [])]),
      evenly: () => this.divided.divide(),
      extend: () => this.extend(),
      next: () => this.goToLoose(),
      ramp: () => this.openRamp(chosen),
      drop: () => sheet.make("Took a line away", (rules) => rules.dropLine(0)),
    };
    acts[act]!();
  }

  private outline(): void {
    const width = Number(byId<HTMLInputElement>("shape-edge").value) || 0;
    const tapered = byId<HTMLInputElement>("shape-tapered").checked;
    const chosen = [...this.sheet.chosen.get()];
    this.sheet.make(width > 0 ? "Outlined shapes" : "Took outlines away", (rules) =>
      rules.outlined(chosen, width, tapered),
    );
  }

  private openRamp(chosen: readonly number[]): void {
    const rules = this.sheet.present!;
    const middles = pointsOf(rules.centres([...chosen]));
    const parts = chosen.map((number, i) => {
      const [, , width] = rules.around([number]) as unknown as [number, number, number];
      return { cells: [number], ...middles[i]!, width };
    });
    this.ramp.open(parts, () => {});
  }

  private extend(): void {
    const [end] = endsOf(this.sheet.present!.looseEnds());
    if (end) {
      this.sheet.make("Extended a line", (rules) => rules.extend(end.line, end.isStart));
    }
  }

  private goToLoose(): void {
    const [end] = endsOf(this.sheet.present!.looseEnds());
    if (end) {
      this.view.showClose(end.at, 60);
    }
  }

  private async addLayer(isUnder: boolean): Promise<void> {
    try {
      const { layer } = await this.work.inTurn(() =>
        call<AddedLayer>(`${this.path}/layers/shapes?under=${isUnder}`, {}),
      );
      this.stack.goToShapes(layer);
    } catch (error) {
      this.work.notice.set(
        error instanceof Refusal ? error.message : "The layer could not be added. Nothing was changed.",
      );
    }
  }
}

interface End {
  readonly line: number;
  readonly isStart: boolean;
  readonly at: Point;
}

/** @param told four numbers of each */
function endsOf(told: ArrayLike<number>): End[] {
  return Array.from({ length: told.length / 4 }, (_, i) => ({
    line: told[4 * i]!,
    isStart: told[4 * i + 1] === 1,
    at: { x: told[4 * i + 2]!, y: told[4 * i + 3]! },
  }));
}
