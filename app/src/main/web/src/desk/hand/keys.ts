import type { SheetView } from "../view/sheet-view";
import type { Hand } from "./hand";
import type { Direction } from "../model/regions";

const ZOOM_STEP = 1.25;
const ARROWS: Record<string, Direction> = {
  ArrowLeft: "LEFT",
  ArrowRight: "RIGHT",
  ArrowUp: "UP",
  ArrowDown: "DOWN",
};

/** What the keys reach besides the hand and the view. */
export interface KeyTargets {
  holdByKey(key: string): void;
  stepSwatch(by: 1 | -1): void;
  /** Changes how the sheet is looked at; false if the key has no such meaning. */
  look(key: string): boolean;
  lookOnly(): boolean;
  showKeys(): void;
  /** Keys about gaps; false if the key has no such meaning. */
  gaps(key: string): boolean;
  escape(): void;
  /** Drops what was drawn last of something unfinished; returns whether there was something. */
  drops(): boolean;
  /** Finishes what is being drawn point by point; returns whether there was something. */
  finishes(): boolean;
  /** Whether filling a cell is held back because it would run out. */
  holdsBack(cell: number): boolean;
  /** A key about shapes in the hand; false if it has no such meaning. */
  shapes(event: KeyboardEvent): boolean;
  /** Gathers the region pointed at, or drops it. */
  gatherHere(): void;
}

/** Keys for the whole desk; those that walk over the sheet act only while nothing else has the focus. */
export class KeyInput {
  private space = false;

  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly hand: Hand,
    private readonly view: SheetView,
    private readonly targets: KeyTargets,
  ) {
    window.addEventListener("keydown", (event) => this.onDown(event));
    window.addEventListener("keyup", (event) => this.onUp(event));
    window.addEventListener("blur", () => this.holdSpace(false));
  }

  readonly spaceHeld = (): boolean => this.space;

  private onDown(event: KeyboardEvent): void {
    if (
      isTyping(event.target) ||
      this.targets.lookOnly() ||
      document.querySelector("dialog[open], .region-menu:not([hidden])")
    ) {
      return;
    }
    const handled = event.ctrlKey || event.metaKey ? this.withControl(event) : this.plain(event);
    if (handled) {
      event.preventDefault();
    }
  }

  private onUp(event: KeyboardEvent): void {
    if (event.key === " ") {
      this.holdSpace(false);
    }
  }

  private withControl(event: KeyboardEvent): boolean {
    switch (event.key.toLowerCase()) {
      case "z":
        if (event.shiftKey) {
          this.hand.redo();
        } else {
          this.hand.undo();
        }
        return true;
      case "y":
        this.hand.redo();
        return true;
      case "c":
        this.hand.copy();
        return true;
      case "v":
        this.hand.paste();
        return true;
      default:
        return false;
    }
  }

  private plain(event: KeyboardEvent): boolean {
    if (/^\d$/.test(event.key)) {
      this.targets.holdByKey(event.key);
      return true;
    }
    if (this.targets.shapes(event) || this.onSheet(event)) {
      return true;
    }
    if (event.shiftKey && (event.code === "Comma" || event.code === "Period")) {
      this.hand.tone(event.code === "Comma" ? -1 : 1);
      return true;
    }
    // Whatever caps lock says.
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    switch (key) {
      case "+":
      case "=":
        this.view.zoomBy(ZOOM_STEP);
        return true;
      case "-":
        this.view.zoomBy(1 / ZOOM_STEP);
        return true;
      case "Home":
        this.view.fit();
        return true;
      case "End":
        this.view.zoomTo(1 / devicePixelRatio);
        return true;
      case ".":
        this.targets.stepSwatch(1);
        return true;
      case ",":
        this.targets.stepSwatch(-1);
        return true;
      case "o":
        if (event.shiftKey) {
          return this.targets.gaps("shift o");
        }
        this.hand.swap();
        return true;
      case "a":
        if (!event.shiftKey || this.hand.walkToEmpty()) {
          this.hand.again();
        }
        return true;
      case "e":
        this.hand.walkToEmpty();
        return true;
      case "s":
        if (event.shiftKey) {
          return this.targets.gaps("shift s");
        }
        this.hand.sampleOrWait();
        return true;
      case "Delete":
      case "Backspace":
        if (!this.targets.drops()) {
          this.hand.clearHere();
        }
        return true;
      case "?":
        this.targets.showKeys();
        return true;
      case "Escape":
        this.hand.cancelSweep();
        this.hand.sampling.set(false);
        this.targets.escape();
        return true;
      default:
        return (
          (event.shiftKey && this.targets.gaps(`shift ${key}`)) ||
          this.targets.look(key) ||
          this.targets.gaps(key)
        );
    }
  }

  private onSheet(event: KeyboardEvent): boolean {
    const focus = document.activeElement;
    if (focus !== this.canvas && focus !== document.body) {
      return false;
    }
    const direction = ARROWS[event.key];
    if (direction) {
      this.hand.walk(direction);
      return true;
    }
    if (event.key === "Enter" && this.targets.finishes()) {
      return true;
    }
    if (event.key === "Enter" && (event.shiftKey || this.hand.gathering.get())) {
      this.targets.gatherHere();
      return true;
    }
    if (event.key === "Enter") {
      const cell = this.hand.cell.get();
      if (this.hand.sampling.get() || cell === undefined || !this.targets.holdsBack(cell)) {
        this.hand.fillHere();
      }
      return true;
    }
    if (event.key === " ") {
      this.holdSpace(true);
      return true;
    }
    return false;
  }

  private holdSpace(held: boolean): void {
    this.space = held;
    this.canvas.classList.toggle("can-pan", held);
  }
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLInputElement ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement
  );
}
