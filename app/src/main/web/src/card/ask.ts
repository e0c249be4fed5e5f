import { byId } from "../shared/dom";

/** Asks to choose one of several; undefined if it is left. */
export function ask(
  title: string,
  text: string,
  label: string,
  choices: { value: string; label: string }[],
): Promise<string | undefined> {
  const dialog = byId<HTMLDialogElement>("ask");
  const choice = byId<HTMLSelectElement>("ask-choice");
  byId("ask-title").textContent = title;
  byId("ask-text").textContent = text;
  byId("ask-label").textContent = label;
  choice.replaceChildren(...choices.map((each) => new Option(each.label, each.value)));
  dialog.returnValue = "";
  dialog.showModal();
  return new Promise((resolve) =>
    dialog.addEventListener("close", () => resolve(dialog.returnValue === "yes" ? choice.value : undefined), {
      once: true,
    }),
  );
}
