import { Stagings } from "rules";
import { all, byId } from "../shared/dom";

/** Shows what the choices on the page of a scene would do to its sheets, before they are taken. */
export function stageScene(form: HTMLFormElement): void {
  const scene = form.dataset["scene"]!;
  const sheets = all(".stage-sheet", form);
  const selects = all<HTMLSelectElement>("select", form);
  const kept = new Map(selects.map((select) => [select.name, select.value]));

  form.addEventListener("change", show);
  form.addEventListener("click", (event) => {
    const run = (event.target as Element).closest<HTMLElement>("[data-run]");
    if (run) {
      carryOn(run.parentElement!.querySelector("select")!);
      show();
    }
  });

  /** Says the same for every sheet after this one. */
  function carryOn(select: HTMLSelectElement): void {
    const from = sheets.findIndex((sheet) => sheet.contains(select));
    for (const sheet of sheets.slice(from + 1)) {
      const place = sheet.dataset["sheet"]!;
      const name = select.name.replace(sheets[from]!.dataset["sheet"]!, place);
      const other = form.elements.namedItem(name);
      if (other instanceof HTMLSelectElement) {
        other.value = select.value;
      }
    }
  }

  function choice(name: string): string {
    const select = form.elements.namedItem(name);
    return select instanceof HTMLSelectElement ? select.value : "follow";
  }

  function settled(before: string, sheet: string, after = ""): string {
    return Stagings.settled(choice(`${before}.${sheet}${after}`), choice(`${before}.${scene}${after}`));
  }

  function show(): void {
    let others = 0;
    for (const sheet of sheets) {
      const id = sheet.dataset["sheet"]!;
      const cards = all<HTMLSelectElement>("select[data-card]", sheet).map((each) => each.dataset["card"]!);
      const query = [
        `light=${settled("light", id)}`,
        ...cards.map((card) => `wear=${card}:${settled("wear", id, `.${card}`)}`),
      ].join("&");
      const picture = sheet.querySelector("img")!;
      const src = `${picture.src.split("?")[0]}?${query}`;
      const isOther = selects.some(
        (select) =>
          (sheet.contains(select) || !select.closest(".stage-sheet")) &&
          select.value !== kept.get(select.name),
      );
      others += Number(isOther);
      sheet.classList.toggle("is-tried", isOther);
      if (picture.src !== src) {
        picture.src = src;
      }
    }
    byId("stage-said").textContent =
      others === 0
        ? "As it is kept."
        : `${others === 1 ? "1 sheet is" : `${others} sheets are`} seen as it would be. Nothing is taken yet.`;
  }
}
