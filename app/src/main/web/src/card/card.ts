import alpine from "@alpinejs/csp";
import "htmx.org";
import { Mixer } from "../mixer/mixer";
import { describe, PaletteCalls, type CardState, type Edit, type SwatchState } from "../mixer/palette-calls";
import { propose } from "../mixer/proposing";
import { byId } from "../shared/dom";
import { call } from "../shared/http";
import { Live } from "../shared/live";
import { component } from "../shared/components";
import { tellRanges } from "../shared/ranges";
import { registerMenu } from "../shared/menu";
import { goToSearchByKey } from "../shared/search-key";
import { renewPart } from "../shared/page-part";
import { ask, askName } from "./ask";
import { registerParts } from "./parts";

const NEW_GREY = "#b0b0b0";

const project = byId("card").dataset["project"]!;
const cardId = byId("card").dataset["card"]!;
const calls = new PaletteCalls(project);
const mixer = new Mixer(calls);
document.body.append(mixer.element);
mixer.element.classList.add("on-page");

/** Shows the card as the server has it now. */
function renew(): Promise<void> {
  return renewPart("card");
}

function say(text: string): void {
  byId("said").textContent = text;
}

async function make(edits: Edit[]): Promise<void> {
  try {
    const mayEdit = byId("card").dataset["mayedit"] === "true";
    const words = mayEdit
      ? (await calls.make(edits)).words
      : await propose(calls, document.querySelector("h1")!.textContent, edits);
    await renew();
    say(words ? `${words}.` : "");
  } catch (error) {
    await renew();
    say((error as Error).message);
  }
}

async function swatches(): Promise<{ cards: CardState[]; isLead: boolean; own: SwatchState[] }> {
  const { cards, isLead } = await calls.palette();
  return { cards, isLead, own: cards.find((card) => card.id === cardId)?.swatches ?? [] };
}

async function mix(id: string | undefined): Promise<void> {
  const { cards, isLead, own } = await swatches();
  const swatch = own.find((each) => each.id === id);
  mixer.open({
    isLead,
    swatch,
    colour: swatch?.colour ?? NEW_GREY,
    cards,
    card: cardId,
    preview: (hex, colours) => paint(hex && id ? { ...colours, [id]: hex } : {}, own),
    taken: (words) => void renew().then(() => say(`${words}.`)),
    closed: () => {},
  });
}

/** Mixes the colour that a part has in a wardrobe. */
async function wear(button: HTMLElement): Promise<void> {
  const { cards, isLead, own } = await swatches();
  const part = button.dataset["part"]!;
  const swatch = own.find((each) => each.id === part)!;
  const stone = button.querySelector("path")!;
  const wardrobe = button.closest<HTMLElement>("[data-wardrobe]")!;
  const name = wardrobe.querySelector("h3")!.textContent;
  mixer.open({
    swatch,
    colour: button.dataset["colour"]!,
    cards,
    isLead,
    card: cardId,
    preview: (hex) => stone.setAttribute("fill", hex ?? button.dataset["colour"]!),
    taken: (words) => void renew().then(() => say(`${words}.`)),
    closed: () => {},
    instead: {
      label: `Give it to ${name}`,
      take: async (colour) => {
        await call(`${wardrobePath(wardrobe)}/parts`, { swatch: part, colour });
        return `${swatch.name} is another in ${name}`;
      },
    },
  });
}

async function share(button: HTMLElement): Promise<void> {
  try {
    const wardrobe = button.closest<HTMLElement>("[data-wardrobe]")!;
    await call(`${wardrobePath(wardrobe)}/parts`, { swatch: button.dataset["part"], colour: null });
    await renew();
  } catch (error) {
    say((error as Error).message);
  }
}

function wardrobePath(wardrobe: HTMLElement): string {
  return `/projects/${project}/cards/${cardId}/wardrobes/${wardrobe.dataset["wardrobe"]}`;
}

/** Shows parts in other colours for now, and the model sheet too. */
function paint(colours: Record<string, string>, own: readonly SwatchState[]): void {
  for (const swatch of own) {
    const stone = document.querySelector(`[data-swatch="${swatch.id}"] .stone-drawing path`);
    stone?.setAttribute("fill", colours[swatch.id] ?? swatch.colour);
  }
  const model = document.getElementById("model") as HTMLImageElement | null;
  if (model) {
    const tried = Object.entries(colours).map(([id, hex]) => `try=${id}${encodeURIComponent(hex)}`);
    const path = model.src.split("?")[0]!;
    model.src = tried.length > 0 ? `${path}?${tried.join("&")}` : path;
  }
}

async function tie(id: string): Promise<void> {
  const { own } = await swatches();
  const swatch = own.find((each) => each.id === id)!;
  const others = own.filter((each) => each.id !== id).map((each) => ({ value: each.id, label: each.name }));
  const source = await ask(
    `Tie ${swatch.name}`,
    "It keeps its colour now and follows from here on.",
    "to",
    others,
  );
  if (source) {
    await make([
      { kind: "CHANGE", swatch: id, paint: `tied ${source} shift 0 0 0` },
      { kind: "CHANGE", swatch: id, colour: swatch.colour },
    ]);
  }
}

async function put(id: string): Promise<void> {
  const { cards } = await swatches();
  const name = cards.flatMap((card) => card.swatches).find((each) => each.id === id)!.name;
  const others = cards
    .filter((card) => card.id !== cardId && !card.neutral && !card.loose)
    .map((card) => ({ value: card.id, label: card.name }));
  const card = await ask(
    `Put ${name} on another card`,
    "Whatever wears it goes on wearing it.",
    "on",
    others,
  );
  if (card) {
    await make([{ kind: "MOVE", swatch: id, card }]);
  }
}

async function remove(id: string): Promise<void> {
  const { cards } = await swatches();
  const all = cards.flatMap((card) => card.swatches);
  const outlook = await calls.outlook([{ kind: "REMOVE", swatch: id, instead: "none" }]);
  const others = all.filter((each) => each.id !== id).map((each) => ({ value: each.id, label: each.name }));
  const name = all.find((each) => each.id === id)!.name;
  const instead = await ask(`Remove ${name}`, describe(outlook), "They wear instead", [
    { value: "none", label: "nothing" },
    ...others,
  ]);
  if (instead) {
    await make([{ kind: "REMOVE", swatch: id, instead }]);
  }
}

async function move(id: string, by: number): Promise<void> {
  const { own } = await swatches();
  const at = own.findIndex((each) => each.id === id) + by;
  if (at >= 0 && at < own.length) {
    await make([{ kind: "MOVE", swatch: id, card: cardId, at }]);
    document.querySelector<HTMLElement>(`[data-swatch="${id}"] .dots`)?.focus();
  }
}

async function act(button: HTMLElement): Promise<void> {
  const id = button.closest<HTMLElement>("[data-swatch]")?.dataset["swatch"];
  const { act: what, colour, paint: painted, name, locked } = button.dataset;
  switch (what) {
    case "mix":
    case "add":
      return mix(id);
    case "wear":
      return wear(button);
    case "share":
      return share(button);
    case "tie":
      return tie(id!);
    case "untie":
      return make([{ kind: "CHANGE", swatch: id!, paint: `process ${colour}` }]);
    case "spot": {
      const ink = await askName("A spot colour", "What the printer calls this ink");
      return ink ? make([{ kind: "CHANGE", swatch: id!, paint: `spot ${colour} ${ink}` }]) : undefined;
    }
    case "copy":
      return make([{ kind: "ADD", card: cardId, name: `${name} copy`, paint: painted! }]);
    case "up":
      return move(id!, -1);
    case "down":
      return move(id!, 1);
    case "put":
      return put(id!);
    case "remove":
      return remove(id!);
    case "lock":
      return make([{ kind: "LOCK_CARD", card: cardId, locked: locked === "true" }]);
    case "name": {
      const title = await askName("Rename", "Name of the card", document.querySelector("h1")!.textContent);
      const subject = document.querySelector(".page-title .quiet")!.textContent;
      return title ? make([{ kind: "NAME_CARD", card: cardId, name: title, subject }]) : undefined;
    }
    case "undo":
      try {
        const { words } = await calls.undo();
        await renew();
        say(`Taken back everywhere: ${words}.`);
      } catch (error) {
        say((error as Error).message);
      }
  }
}

component(alpine, "card", (card) => {
  card.addEventListener("click", (event) => {
    const button = (event.target as Element).closest<HTMLElement>("[data-act]");
    if (button) {
      void act(button);
    }
  });
  card.addEventListener("change", (event) => {
    const input = event.target as HTMLInputElement;
    const field = input.dataset["field"];
    const swatch = input.closest<HTMLElement>("[data-swatch]")?.dataset["swatch"];
    if (field && swatch) {
      void make([{ kind: "CHANGE", swatch, [field]: input.value }]);
    }
  });
  // For whoever drives the page from outside: what is pressed before is not heard.
  card.dataset["ready"] = "true";
});
registerParts(alpine, (swatch, at) => void make([{ kind: "MOVE", swatch, card: cardId, at }]));
registerMenu(alpine);
goToSearchByKey();
alpine.start();
tellRanges();

new Live(project).onPalette(() => {
  if (!mixer.isOpen && !(document.activeElement instanceof HTMLInputElement)) {
    void renew();
  }
});
