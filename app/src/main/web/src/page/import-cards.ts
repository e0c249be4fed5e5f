import type { Plan } from "messages";
import { button, el } from "../shared/build";
import { callHeaders, Refusal } from "../shared/http";

const MOST_PROBLEMS = 12;

/** Brings cards in from a file: shows what would come of it, and changes nothing before the user says so. */
export function importCards(place: HTMLElement): void {
  const project = place.dataset["project"]!;
  const input = place.querySelector<HTMLInputElement>("input[type=file]")!;
  const plan = place.querySelector<HTMLElement>(".import-plan")!;

  input.addEventListener("change", () => {
    const file = input.files?.[0];
    input.value = "";
    if (file) {
      send<Plan>("plan", file).then(
        (found) => show(found, file),
        (error: Error) => plan.replaceChildren(el("p", { role: "alert" }, error.message)),
      );
    }
  });

  function show({ cards, problems }: Plan, file: File): void {
    plan.replaceChildren(
      el("h3", {}, `${file.name} would add`),
      ...cards.map((card) =>
        el(
          "div",
          { className: "my-[0.6rem] mx-0 [&_.chips]:flex-wrap" },
          el("strong", {}, card.name),
          card.was
            ? el("span", { className: "quiet" }, ` renamed, since there is a ${card.was} already`)
            : "",
          el("div", { className: "chips flex gap-[3px]" }, ...card.swatches.slice(0, 40).map(stone)),
        ),
      ),
      ...(problems.length > 0 ? [cannot(problems)] : []),
      el(
        "p",
        { className: "flex gap-2 mt-[1.2rem]" },
        button(
          "button strong",
          cards.length === 1 ? "Add this card" : `Add ${cards.length} cards`,
          () => void take(file),
        ),
        button("button", "Leave it", () => plan.replaceChildren()),
      ),
    );
  }

  async function take(file: File): Promise<void> {
    try {
      await send("take", file);
      location.reload();
    } catch (error) {
      plan.replaceChildren(el("p", { role: "alert" }, (error as Error).message));
    }
  }

  async function send<T>(what: "plan" | "take", file: File): Promise<T> {
    const body = new FormData();
    body.append("file", file);
    const response = await fetch(`/projects/${project}/cards/${what}`, {
      method: "POST",
      headers: callHeaders(),
      body,
    });
    if (!response.ok) {
      const problem = (await response.json().catch(() => ({}))) as { detail?: string };
      throw new Refusal(
        response.status,
        problem.detail ?? "The file could not be read. Nothing was changed.",
      );
    }
    return (await response.json()) as T;
  }
}

function stone(swatch: { name: string; colour: string }): HTMLElement {
  const chip = el("span", {
    className:
      "w-[26px] h-[26px] border border-[oklch(0_0_0_/_0.25)] rounded-[46%_54%_51%_49%_/_50%_47%_53%_50%]",
    title: `${swatch.name}, ${swatch.colour}`,
  });
  chip.style.backgroundColor = swatch.colour;
  return chip;
}

function cannot(problems: Plan["problems"]): HTMLElement {
  const more = problems.length - MOST_PROBLEMS;
  return el(
    "details",
    { className: "text-[0.9rem]", open: true },
    el(
      "summary",
      {},
      problems.length === 1 ? "1 thing cannot be read" : `${problems.length} things cannot be read`,
    ),
    el(
      "ul",
      {},
      ...problems
        .slice(0, MOST_PROBLEMS)
        .map((each) => el("li", {}, el("strong", {}, each.place), ` ${each.message}`)),
      ...(more > 0 ? [el("li", {}, `and ${more} more`)] : []),
    ),
  );
}
