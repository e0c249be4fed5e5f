import type { SplitMessage, SplitOff } from "messages";
import htmx, { type HtmxContext, type HtmxEvent } from "htmx.org";
import { all, byId } from "../../shared/dom";
import { call, callHeaders, onLayer, PAGE, Refusal } from "../../shared/http";
import type { Gathering } from "../hand/gathering";
import { cellsAmong } from "../model/places";
import type { Work } from "../model/work";
import type { Point } from "../geometry/camera";
import type { Drawer } from "../view/column";
import type { SheetView } from "../view/sheet-view";
import { Beside, type Others } from "./beside";
import { LayerMove } from "./layer-move";
import type { Stack } from "../model/stack";

/** The layers of the sheet: the list is the server's; what is done in it is told to the desk. */
export class LayersPanel implements Drawer {
  readonly move: LayerMove;
  private readonly panel = byId("layers");
  private readonly button = byId("layers-button");
  /** What to do when an act in the list has come back. */
  private readonly ends = new WeakMap<HtmxContext, () => void>();

  constructor(
    private readonly path: string,
    private readonly stack: Stack,
    private readonly beside: Beside,
    private readonly work: Work,
    private readonly view: SheetView,
    private readonly gathering: Gathering,
  ) {
    this.move = new LayerMove(view, beside, (x, y) => this.moveBy(x, y));
    all<HTMLButtonElement>("[data-others]", this.panel).forEach((each) =>
      each.addEventListener("click", () => beside.others.set(each.dataset["others"] as Others)),
    );
    beside.others.subscribe((others) =>
      all<HTMLButtonElement>("button[data-others]", this.panel).forEach((each) =>
        each.setAttribute("aria-pressed", String(each.dataset["others"] === others)),
      ),
    );
    stack.layers.subscribe((layers) => {
      byId("layers-others").hidden = layers.length === 1;
      this.button.textContent =
        layers.length === 1
          ? "Layers"
          : `${stack.present.name}, ${stack.index + 1} of ${layers.length}${stack.present.isLocked ? ", locked" : ""}`;
    });
    this.panel.addEventListener("click", (event) => {
      if ((event.target as Element).closest("#layer-move")) {
        this.toggleMove();
      }
    });
    this.move.isOn.listen(() => this.showMove());
    this.panel.addEventListener("htmx:before:request", ({ detail }: CustomEventInit<HtmxEvent>) =>
      this.act(detail!.ctx),
    );
    // When the answer is there, or none comes; the list itself is gone when it has been put in its place.
    ["htmx:after:request", "htmx:error"].forEach((end) =>
      this.panel.addEventListener(end, ({ detail }: CustomEventInit<HtmxEvent>) =>
        this.ends.get(detail!.ctx)?.(),
      ),
    );
  }

  get isOpen(): boolean {
    return !this.panel.hidden;
  }

  show(open: boolean): void {
    this.panel.hidden = !open;
    this.button.setAttribute("aria-expanded", String(open));
    if (open) {
      this.load();
    } else {
      this.move.isOn.set(false);
    }
  }

  /** Shows only the layer that is worked on, or the others again. */
  toggleOthers(): void {
    this.beside.others.set(this.beside.others.get() === "none" ? "whole" : "none");
  }

  toggleMove(): void {
    this.move.isOn.set(this.stack.isLayered && !this.move.isOn.get());
    byId("sheet").focus({ preventScroll: true });
  }

  /** Somebody has changed the layers. A name that is being typed is left alone until it is done. */
  async renew(): Promise<void> {
    await this.stack.renew();
    const typed = this.panel.querySelector("input[name='name']:focus");
    if (typed) {
      typed.addEventListener("blur", () => this.isOpen && this.load(), { once: true });
    } else if (this.isOpen) {
      this.load();
    }
  }

  /** Tells what lies at a place on every layer, in the menu of the region. */
  tellHere(at: Point): void {
    byId("layers-here").replaceChildren();
    const { x, y } = this.view.camera.toSheet(at);
    if (this.stack.isLayered) {
      const address = onLayer(`${this.path}/layers/here?x=${Math.floor(x)}&y=${Math.floor(y)}`);
      void htmx.ajax("GET", address, { target: "#layers-here", swap: "outerHTML" });
    }
  }

  private load(): void {
    void htmx
      .ajax("GET", onLayer(`${this.path}/layers`), { target: "#layers-list", swap: "outerHTML" })
      .then(() => this.showMove());
  }

  /** Something is done in the list, which comes back as it is then. It takes its turn, so that what is undone next is this. */
  private act(context: HtmxContext): void {
    if (context.request.method === "POST") {
      // What this page does itself it need not be told.
      context.request.headers["X-Pond-Page"] = PAGE;
      const done = new Promise<void>((end) => this.ends.set(context, end));
      void this.work
        .inTurn(() => done)
        .then(() => this.stack.renew())
        .then(() => this.showMove());
    }
  }

  private showMove(): void {
    document.getElementById("layer-move")?.setAttribute("aria-pressed", String(this.move.isOn.get()));
  }

  private async moveBy(x: number, y: number): Promise<void> {
    const body = new FormData();
    const values = { of: this.stack.present.layer, act: "MOVE", x: String(x), y: String(y) };
    Object.entries(values).forEach(([name, value]) => body.set(name, value));
    const address = onLayer(`${this.path}/layers/change`);
    await this.work.inTurn(async () => {
      const answer = await fetch(address, { method: "POST", headers: callHeaders(), body });
      if (!answer.ok) {
        this.work.notice.set("The layer could not be moved; it is where it was.");
      }
    });
    await this.renew();
  }

  async splitOff(): Promise<void> {
    const cells = cellsAmong(this.gathering.gathered);
    const body: SplitMessage = { name: `Layer ${this.stack.layers.get().length + 1}`, cells };
    this.work.notice.set("Splitting off. The ink of both layers is looked at anew.");
    try {
      const { layer } = await this.work.inTurn(() => call<SplitOff>(`${this.path}/layers/split`, body));
      this.stack.go(layer);
    } catch (error) {
      this.work.notice.set(
        error instanceof Refusal ? error.message : "It could not be split off. Nothing was changed.",
      );
    }
  }
}
