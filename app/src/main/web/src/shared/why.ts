import { el } from "./build";

/** Asks why something should be changed; undefined if it is left. */
export function askWhy(title: string, text: string): Promise<string | undefined> {
  const reason = el("textarea", { maxlength: 600, required: true, "aria-label": "Why" });
  const dialog = el(
    "dialog",
    // Letters typed here are no tools of the desk.
    {
      className: "ask why m-auto max-w-104 py-[1.4rem] px-[1.6rem] rounded-[20px] [&_select]:max-w-full",
      keydown: (event: KeyboardEvent) => event.stopPropagation(),
    },
    el(
      "form",
      { method: "dialog" },
      el("h2", {}, title),
      el("p", { className: "quiet" }, text),
      reason,
      el(
        "p",
        { className: "flex gap-2 mt-[1.2rem]" },
        el("button", { className: "button strong", value: "yes" }, "Send it to the lead"),
        el("button", { className: "button", value: "no", formnovalidate: true }, "Leave it"),
      ),
    ),
  );
  document.body.append(dialog);
  dialog.showModal();
  return new Promise((resolve) =>
    dialog.addEventListener("close", () => {
      dialog.remove();
      resolve(dialog.returnValue === "yes" && reason.value.trim() ? reason.value.trim() : undefined);
    }),
  );
}
