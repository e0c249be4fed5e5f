import { Stagings } from "rules";
import type { Figure } from "messages";
import { all, byId } from "../shared/dom";
import { call } from "../shared/http";

/** Shows what the choices on the page of a scene would do to its sheets, before they are taken. */
export function stageScene(form: HTMLFormElement): void {
  const scene = form.dataset["scene"]!;
  const sheets = all(".stage-sheet", form);
  const chosen = () => all<HTMLInputElement>("input[type=radio]:checked", form);
  const kept = new Map(chosen().map((each) => [each.name, each.value]));

  form.addEventListener("change", show);
  form.addEventListener("click", (event) => {
    if ((event.target as Element).matches("[data-figures]")) {
      void dress(event.target as HTMLImageElement, event);
    }
    const run = (event.target as Element).closest<HTMLElement>("[data-run]");
    if (run) {
      carryOn(run.parentElement!.querySelector<HTMLInputElement>("input:checked")!);
      show();
    }
  });

  /** Goes to the clothes of whoever is at the place of a picture that was clicked. */
  async function dress(picture: HTMLImageElement, at: MouseEvent): Promise<void> {
    const sheet = picture.closest<HTMLElement>(".stage-sheet")!;
    const id = sheet.dataset["sheet"]!;
    const box = picture.getBoundingClientRect();
    const x = (at.clientX - box.left) / box.width;
    const y = (at.clientY - box.top) / box.height;
    try {
      const figure = await call<Figure>(`${location.pathname}/sheets/${id}/figure?x=${x}&y=${y}`);
      tell(
        figure.card
          ? choose(sheet, `wear.${id}.${figure.card}`, figure.name)
          : "Nobody's colours are worn there.",
      );
    } catch (failure) {
      tell(String((failure as Error).message));
    }
  }

  function choose(sheet: HTMLElement, clothes: string, who: string): string {
    const worn = sheet.querySelector<HTMLInputElement>(`input[name="${clothes}"]:checked`);
    if (!worn) {
      return `${who} has no wardrobe yet. It is made on the card of ${who}.`;
    }
    sheet.querySelector<HTMLDetailsElement>("[data-others]")!.open = true;
    worn.focus();
    worn.closest("fieldset")!.scrollIntoView({ block: "center" });
    return `What ${who} wears here is chosen beside the picture.`;
  }

  function tell(words: string): void {
    byId("stage-said").textContent = words;
  }

  /** Says the same for every sheet after this one. */
  function carryOn(said: HTMLInputElement): void {
    const from = sheets.findIndex((sheet) => sheet.contains(said));
    for (const sheet of sheets.slice(from + 1)) {
      const name = said.name.replace(sheets[from]!.dataset["sheet"]!, sheet.dataset["sheet"]!);
      const others = form.elements.namedItem(name);
      if (others instanceof RadioNodeList) {
        others.value = said.value;
      }
    }
  }

  function choice(name: string): string {
    const choices = form.elements.namedItem(name);
    return choices instanceof RadioNodeList && choices.value !== "" ? choices.value : "follow";
  }

  function settled(before: string, sheet: string, after = ""): string {
    return Stagings.settled(choice(`${before}.${sheet}${after}`), choice(`${before}.${scene}${after}`));
  }

  function show(): void {
    let others = 0;
    for (const sheet of sheets) {
      const id = sheet.dataset["sheet"]!;
      const cards = all<HTMLInputElement>("input[data-card]:checked", sheet).map(
        (each) => each.dataset["card"]!,
      );
      const query = [
        `light=${settled("light", id)}`,
        ...cards.map((card) => `wear=${card}:${settled("wear", id, `.${card}`)}`),
      ].join("&");
      const picture = sheet.querySelector("img")!;
      const src = `${picture.src.split("?")[0]}?${query}`;
      const isOther = chosen().some(
        (each) =>
          (sheet.contains(each) || !each.closest(".stage-sheet")) && each.value !== kept.get(each.name),
      );
      others += Number(isOther);
      sheet.classList.toggle("is-tried", isOther);
      if (picture.src !== src) {
        picture.src = src;
      }
    }
    tell(
      others === 0
        ? "As it is kept."
        : `${others === 1 ? "1 sheet is" : `${others} sheets are`} seen as it would be. Nothing is taken yet.`,
    );
  }
}
