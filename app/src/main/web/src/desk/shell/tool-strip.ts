import { el } from "../../shared/build";
import type { Command, Commands } from "../hand/commands";
import type { Hand } from "../hand/hand";
import type { Tools } from "../hand/tools";

/** The strip of tools, made of whatever has a place in it; that in the hand is pressed. */
export function showStrip(place: HTMLElement, hand: Hand, tools: Tools, commands: Commands): void {
  const buttons = commands.inStrip.map((command) => ({ command, button: buttonOf(command, commands) }));
  place.replaceChildren(...buttons.map(({ button }) => button));
  for (const { command, button } of buttons.filter((each) => tools.has(each.command.name))) {
    hand.tool.subscribe(() => button.setAttribute("aria-pressed", String(hand.has(command.name))));
  }
}

const BUTTON =
  "flex h-[32px] min-w-24 items-center gap-2 rounded-[9px] px-2 text-[0.88rem] hover:bg-sunk aria-pressed:bg-strong aria-pressed:text-white";
const ICON =
  "w-[19px] fill-none stroke-current stroke-[1.8] [stroke-linecap:round] [stroke-linejoin:round] [&_.solid]:fill-current";
const KEY = "ml-auto in-aria-pressed:border-[oklch(0.6_0_0)] in-aria-pressed:bg-transparent";

function buttonOf(command: Command, commands: Commands): HTMLButtonElement {
  const { name, strip, run } = command;
  const { label, help, icon } = strip!;
  const key = commands.ownKeys.pressed[name] ?? strip!.key ?? commands.keysOf(command)[0];
  const made = el("button", { type: "button", className: BUTTON, id: `tool-${name}`, "data-help": help });
  made.innerHTML = `<svg class="${ICON}" viewBox="0 0 24 24" aria-hidden="true">${icon}</svg>`;
  made.append(label, key ? el("kbd", { className: KEY, title: key }, key.replace("Shift ", "⇧")) : "");
  made.addEventListener("click", () => run());
  return made;
}
