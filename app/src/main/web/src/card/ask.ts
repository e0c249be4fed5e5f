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
  choice.hidden = false;
  byId("ask-name").hidden = true;
  return answered(dialog, choice);
}

/** Asks for a name; undefined if it is left, or left empty. */
export function askName(title: string, label: string, present = ""): Promise<string | undefined> {
  const dialog = byId<HTMLDialogElement>("ask");
  const name = byId<HTMLInputElement>("ask-name");
  byId("ask-title").textContent = title;
  byId("ask-text").textContent = "";
  byId("ask-label").textContent = label;
  byId("ask-choice").hidden = true;
  name.hidden = false;
  name.value = present;
  const answer = answered(dialog, name);
  name.select();
  return answer.then((text) => text?.trim() || undefined);
}

function answered(
  dialog: HTMLDialogElement,
  field: HTMLSelectElement | HTMLInputElement,
): Promise<string | undefined> {
  dialog.returnValue = "";
  dialog.showModal();
  field.focus();
  return new Promise((resolve) =>
    dialog.addEventListener("close", () => resolve(dialog.returnValue === "yes" ? field.value : undefined), {
      once: true,
    }),
  );
}
