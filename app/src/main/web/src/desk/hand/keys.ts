import { isOneCharacter, type Commands } from "./commands";

const NAMES: Readonly<Record<string, string>> = {
  Escape: "Esc",
  Delete: "Del",
  Backspace: "Del",
  ArrowLeft: "Left",
  ArrowRight: "Right",
  ArrowUp: "Up",
  ArrowDown: "Down",
  " ": "Space",
};
/** Keys that Shift makes others of; of the rest it is a matter of the keyboard whether they need it. */
const HAS_SHIFTED = /^([A-Z,.]|Enter)$/;

/** Keys for the whole desk. */
export class KeyInput {
  private space = false;
  private isWalking = false;
  /** Whether somebody has come to what has the focus by keyboard. */
  private isWalkedTo = false;

  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly commands: Commands,
  ) {
    window.addEventListener("keydown", (event) => this.onDown(event));
    window.addEventListener("pointerdown", () => (this.isWalking = false), { capture: true });
    window.addEventListener("focusin", () => (this.isWalkedTo = this.isWalking));
    window.addEventListener("keyup", (event) => event.key === " " && this.holdSpace(false));
    window.addEventListener("blur", () => this.holdSpace(false));
  }

  readonly spaceHeld = (): boolean => this.space;

  private onDown(event: KeyboardEvent): void {
    this.isWalking ||= event.key === "Tab";
    if (event.defaultPrevented || document.querySelector("dialog[open], .region-menu:not([hidden])")) {
      return;
    }
    if (isTyping(event.target)) {
      if (event.key === "Escape" && !this.commands.closeTop()) {
        (event.target as HTMLElement).blur();
      }
      return;
    }
    const isOnSheet = [this.canvas, document.body].includes(document.activeElement as HTMLElement);
    const key = written(event);
    if (isOneCharacter(key) && this.isAtControl) {
      return;
    }
    if (key === "Space" && isOnSheet) {
      this.holdSpace(true);
      event.preventDefault();
    } else if (key === "Esc") {
      if (!this.commands.escape() && this.isAtControl) {
        this.canvas.focus();
      }
      event.preventDefault();
    } else if (this.commands.press(key, event, isOnSheet)) {
      event.preventDefault();
    }
  }

  /** Then letters are for the control, and not for the sheet. What a pointer has pressed is no such place: the hand goes on there. */
  private get isAtControl(): boolean {
    return this.isWalkedTo && document.activeElement!.matches("button, a, summary, [role=slider]");
  }

  private holdSpace(held: boolean): void {
    this.space = held;
    this.canvas.classList.toggle("can-pan", held);
  }
}

/** A key as it is written in the sheet of keys, whatever caps lock says. */
export function written(event: KeyboardEvent): string {
  const plain = (event.shiftKey && { Comma: ",", Period: "." }[event.code]) || event.key;
  const key = NAMES[plain] ?? (plain.length === 1 ? plain.toUpperCase() : plain);
  const control = event.ctrlKey || event.metaKey ? "Ctrl " : "";
  return control + (event.shiftKey && HAS_SHIFTED.test(key) ? "Shift " : "") + key;
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLInputElement ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement
  );
}
