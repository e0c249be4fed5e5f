import { el } from "../../shared/build";
import type { Command, Commands, MenuName } from "./commands";

/** The entries of a menu. */
export class Entries {
  readonly buttons: readonly HTMLButtonElement[];
  private readonly made: readonly { command: Command; button: HTMLButtonElement }[];

  /** @param done called when one was chosen, after it was done */
  constructor(list: HTMLElement, commands: Commands, menu: MenuName, done: () => void = () => {}) {
    const parts = commands
      .in(menu)
      .map((part) =>
        part.map((command) => ({ command, button: entryOf(command, commands.keysOf(command)[0]) })),
      );
    this.made = parts.flat();
    this.buttons = this.made.map(({ button }) => button);
    parts.forEach((part, at) => {
      list.append(...(at > 0 ? [el("hr")] : []), ...part.map(({ button }) => button));
    });
    this.made.forEach(({ command, button }) =>
      button.addEventListener("click", () => {
        command.run();
        done();
      }),
    );
    this.renew();
  }

  /** Says again what each would do now; hides those that would do nothing. */
  renew(): void {
    for (const { command, button } of this.made) {
      const { label, state, isIdle } = command.entry!;
      const said = label();
      button.hidden = said === undefined;
      button.disabled = isIdle?.() ?? false;
      button.querySelector(".menu-label")!.textContent = said ?? "";
      if (state) {
        button.querySelector(".look-state")!.textContent = state();
      }
    }
  }
}

function entryOf({ name, entry }: Command, key: string | undefined): HTMLButtonElement {
  return el(
    "button",
    {
      type: "button",
      className: "menu-item flex! min-h-9 items-center gap-3 py-1!",
      id: `entry-${name}`,
      "data-help": entry!.help,
    },
    el("span", { className: "menu-label min-w-0 grow" }),
    entry!.state ? el("span", { className: "look-state quiet m-0!" }) : "",
    key ? el("kbd", {}, key) : "",
  );
}
