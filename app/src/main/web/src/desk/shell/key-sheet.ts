import { el } from "../../shared/build";
import { byId } from "../../shared/dom";
import { CHAPTERS, type Command, type Commands, type Told } from "../hand/commands";

/** The sheet of keys, made of what all parts of the desk tell of themselves. */
export class KeySheet {
  constructor(
    private readonly dialog: HTMLDialogElement,
    private readonly commands: Commands,
  ) {}

  open(): void {
    byId("keys-list").replaceChildren(
      ...CHAPTERS.map((chapter) => ({ chapter, told: this.commands.chapter(chapter) }))
        .filter(({ told }) => told.length > 0)
        .map(({ chapter, told }) =>
          el(
            "section",
            { className: "mb-4" },
            el("h3", { className: "font-semibold" }, chapter),
            el("dl", {}, ...told.map(rowOf)),
          ),
        ),
    );
    this.dialog.showModal();
  }
}

function rowOf({ keys = [], written, gesture, tells }: Told & Partial<Command>): HTMLElement {
  const pressed = written === undefined ? keys.map((key) => el("kbd", {}, key)) : [written];
  const said = [...pressed, ...(gesture === undefined ? [] : [gesture])];
  const parts = said.flatMap((part, at) => (at === 0 ? [part] : [", ", part]));
  return el(
    "div",
    { className: "grid grid-cols-[9rem_1fr] gap-3 break-inside-avoid py-0.5" },
    el("dt", {}, ...parts),
    el("dd", { className: "text-quiet" }, tells!),
  );
}
