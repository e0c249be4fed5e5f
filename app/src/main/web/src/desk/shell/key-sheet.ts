import type { KeysMessage } from "messages";
import { button, el } from "../../shared/build";
import { byId } from "../../shared/dom";
import { call } from "../../shared/http";
import { CHAPTERS, type Command, type Commands, type Told } from "../hand/commands";
import { written } from "../hand/keys";

const MODIFIERS = ["Shift", "Control", "Alt", "Meta"];
/** What these mean lies in the nature of things. */
const FIXED = ["Esc", "Tab", "Enter", "Space"];

/** The sheet of keys, made of what all parts of the desk tell of themselves; each can be given another key there. */
export class KeySheet {
  private readonly letters = byId<HTMLInputElement>("keys-letters");
  /** The command for which a key is waited for, and its button. */
  private asked: { command: Command; button: HTMLButtonElement } | undefined;

  constructor(
    private readonly dialog: HTMLDialogElement,
    private readonly commands: Commands,
  ) {
    this.letters.addEventListener("change", () =>
      this.keep({ ...commands.ownKeys, letters: this.letters.checked }, "Kept."),
    );
    byId("keys-as-they-come").addEventListener("click", () =>
      this.keep({ letters: true, pressed: {} }, "All keys are as they come."),
    );
    dialog.addEventListener("keydown", (event) => this.onKey(event));
    dialog.addEventListener("close", () => (this.asked = undefined));
  }

  open(): void {
    this.renew();
    this.dialog.showModal();
  }

  private renew(): void {
    this.asked = undefined;
    this.letters.checked = this.commands.ownKeys.letters;
    byId("keys-list").replaceChildren(
      ...CHAPTERS.map((chapter) => ({ chapter, told: this.commands.chapter(chapter) }))
        .filter(({ told }) => told.length > 0)
        .map(({ chapter, told }) =>
          el(
            "section",
            { className: "mb-4" },
            el("h3", { className: "font-semibold" }, chapter),
            el("dl", {}, ...told.map((each) => this.row(each))),
          ),
        ),
    );
  }

  private row(told: Told & Partial<Command>): HTMLElement {
    const { written: many, gesture, tells } = told;
    const pressed = many === undefined ? this.keys(told) : [many];
    const said = [...pressed, ...(gesture === undefined ? [] : [gesture])];
    const parts = said.flatMap((part, at) => (at === 0 ? [part] : [", ", part]));
    return el(
      "div",
      { className: "grid grid-cols-[9rem_1fr] items-center gap-3 break-inside-avoid py-0.5" },
      el("dt", {}, ...parts),
      el("dd", { className: "text-quiet" }, tells!),
    );
  }

  /** A button with the key, or all keys if it has several. */
  private keys(told: Told & Partial<Command>): HTMLElement[] {
    if (told.name === undefined || (told.keys ?? []).length === 0) {
      return [];
    }
    const command = told as Command;
    const keys = this.commands.keysOf(command);
    const made = button(
      "inline-flex min-h-[26px] items-center gap-1 rounded-[8px] px-1 hover:bg-sunk",
      "",
      () => this.ask(command, made),
      { "aria-label": `${keys.join(" ") || "none"}: ${command.tells}. Choose another key` },
    );
    made.append(...(keys.length > 0 ? keys.flatMap((key) => [el("kbd", {}, key), " "]) : ["none"]));
    return [made];
  }

  private ask(command: Command, made: HTMLButtonElement): void {
    this.renewAsked();
    this.asked = { command, button: made };
    made.textContent = "press a key";
    this.say("Press the key that is to do it. Del takes its key away, Esc leaves it.");
  }

  private renewAsked(): void {
    if (this.asked) {
      this.renew();
    }
  }

  private onKey(event: KeyboardEvent): void {
    if (!this.asked || MODIFIERS.includes(event.key)) {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
    const key = written(event);
    const { command } = this.asked;
    if (key === "Esc") {
      this.renew();
      this.say("Left as it was.");
    } else if (key === "Del") {
      this.give(command, "", `It has no key now.`);
    } else if (FIXED.includes(key)) {
      this.say(`${key} cannot be given to anything else. Press another one, or Esc.`);
    } else {
      const before = this.commands.whoHas(key);
      const loses =
        before && before.name !== command.name
          ? ` What had it has none now: ${before.tells ?? before.name}.`
          : "";
      this.give(command, key, `${key}: ${command.tells}.${loses}`);
    }
  }

  private give(command: Command, key: string, words: string): void {
    const own = this.commands.ownKeys;
    const others = Object.entries(own.pressed).filter(
      ([name, had]) => name !== command.name && (had !== key || key === ""),
    );
    this.keep({ ...own, pressed: { ...Object.fromEntries(others), [command.name]: key } }, words);
  }

  private keep(own: KeysMessage, words: string): void {
    this.commands.become(own);
    this.renew();
    this.say(words);
    call("/keys", own).catch((error: unknown) =>
      this.say(`${words} It could not be kept for the next time: ${(error as Error).message}`),
    );
  }

  private say(words: string): void {
    byId("keys-said").textContent = words;
  }
}
