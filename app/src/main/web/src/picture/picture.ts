import alpine from "@alpinejs/csp";
import type { Main, Mean, Sample as KeptSample } from "messages";
import { button, el } from "../shared/build";
import { PaletteCalls, type Edit } from "../mixer/palette-calls";
import { byId } from "../shared/dom";
import { call } from "../shared/http";
import { tellRanges } from "../shared/ranges";
import { registerMenu } from "../shared/menu";
import { goToSearchByKey } from "../shared/search-key";
import { registerSubmits } from "../shared/submits";
import { Lens } from "./lens";

registerMenu(alpine);
goToSearchByKey();
registerSubmits(alpine);
alpine.start();
tellRanges();

/** A sample that is moved, and the name that suggests itself for it. */
type Sample = { -readonly [K in keyof KeptSample]: KeptSample[K] } & { name?: string };

const page = byId("picture-page");
const project = page.dataset["project"]!;
const id = page.dataset["picture"];
const path = `/projects/${project}/pictures/${id}`;

/** Taking colours out of the picture shown. */
class Sampling {
  private readonly picture = byId<HTMLImageElement>("picture");
  private readonly marks = byId("marks");
  private readonly radius = byId<HTMLInputElement>("radius");
  private readonly calls = new PaletteCalls(project);
  private readonly samples: Sample[] = JSON.parse(page.dataset["samples"] ?? "[]") as Sample[];
  private chosen = -1;

  constructor() {
    const lens = new Lens(byId<HTMLCanvasElement>("lens"), this.picture);
    this.marks.addEventListener("pointermove", (event) =>
      lens.show(this.at(event), Number(this.radius.value)),
    );
    this.marks.addEventListener("pointerleave", () => lens.hide());
    this.marks.addEventListener("pointerdown", (event) => this.onDown(event));
    this.marks.addEventListener("keydown", (event) => this.onKey(event));
    this.radius.addEventListener(
      "input",
      () => (byId("radius-said").textContent = `${this.radius.value} px`),
    );
    byId("put").addEventListener("submit", (event) => {
      event.preventDefault();
      void this.put();
    });
    const card = byId<HTMLSelectElement>("put-card");
    const name = byId<HTMLInputElement>("put-name");
    card.addEventListener("change", () => (name.hidden = card.value !== ""));
    name.hidden = card.value !== "";
    byId<HTMLInputElement>("most").addEventListener("change", () => void this.showMain());
    this.show();
    void this.showMain();
  }

  private at(event: MouseEvent): { x: number; y: number } {
    const box = this.picture.getBoundingClientRect();
    const along = (value: number, size: number) => Math.min(size - 1, Math.max(0, Math.floor(value)));
    return {
      x: along(((event.clientX - box.left) / box.width) * this.width, this.width),
      y: along(((event.clientY - box.top) / box.height) * this.height, this.height),
    };
  }

  private get width(): number {
    return Number(this.picture.getAttribute("width"));
  }

  private get height(): number {
    return Number(this.picture.getAttribute("height"));
  }

  /** On a mark: moves it; elsewhere: takes the colour there. */
  private onDown(event: PointerEvent): void {
    const mark = (event.target as Element).closest<HTMLElement>(".mark");
    if (!mark) {
      void this.take(this.at(event));
      return;
    }
    this.chosen = Number(mark.dataset["index"]);
    this.show();
    const sample = this.samples[this.chosen]!;
    this.marks.setPointerCapture(event.pointerId);
    const move = (moved: PointerEvent) => {
      Object.assign(sample, this.at(moved));
      this.place();
    };
    this.marks.addEventListener("pointermove", move);
    this.marks.addEventListener(
      "pointerup",
      () => {
        this.marks.removeEventListener("pointermove", move);
        void this.measure(sample);
      },
      { once: true },
    );
  }

  private onKey(event: KeyboardEvent): void {
    const sample = this.samples[this.chosen];
    const step = event.shiftKey ? 10 : 1;
    const moves: Record<string, [number, number]> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    };
    const move = moves[event.key];
    if (event.key === "Enter") {
      void this.take({ x: Math.floor(this.width / 2), y: Math.floor(this.height / 2) });
    } else if (event.key === "Delete" && sample) {
      this.drop(this.chosen);
    } else if (move && sample) {
      event.preventDefault();
      sample.x = Math.min(this.width - 1, Math.max(0, sample.x + move[0]));
      sample.y = Math.min(this.height - 1, Math.max(0, sample.y + move[1]));
      this.place();
      void this.measure(sample);
    }
  }

  private async take(at: { x: number; y: number }): Promise<void> {
    const sample: Sample = { ...at, radiusPx: Number(this.radius.value), colour: "" };
    if (await this.read(sample)) {
      this.chosen = this.samples.push(sample) - 1;
      this.show();
      this.keep();
    } else {
      this.say("Nothing opaque lies there, so there is no colour to take.");
    }
  }

  private async measure(sample: Sample): Promise<void> {
    if (await this.read(sample)) {
      this.show();
      this.keep();
    }
  }

  private async read(sample: Sample): Promise<boolean> {
    const { x, y, radiusPx } = sample;
    const mean = await call<Mean>(`${path}/mean?x=${x}&y=${y}&radius=${radiusPx}`);
    sample.colour = mean.colour ?? sample.colour;
    sample.name = mean.name ?? "Colour";
    return mean.colour !== null;
  }

  private drop(index: number): void {
    this.samples.splice(index, 1);
    this.chosen = -1;
    this.show();
    this.keep();
  }

  private keep(): void {
    const kept = this.samples.map(({ x, y, radiusPx, colour }) => ({ x, y, radiusPx, colour }));
    void call(`${path}/samples`, kept);
  }

  private show(): void {
    byId("none").hidden = this.samples.length > 0;
    byId("samples").replaceChildren(
      ...this.samples.map((sample, i) => {
        const row = line(sample.colour, `${i + 1}`, sample.name ?? "", sample.colour, i === this.chosen);
        row.append(button("button", "×", () => this.drop(i), { "aria-label": `Drop sample ${i + 1}` }));
        return row;
      }),
    );
    this.marks.replaceChildren(
      ...this.samples.map((sample, i) => {
        const mark = el(
          "span",
          {
            className:
              "mark absolute grid place-items-center w-[28px] h-[28px] m-[-14px] border-[2.5px] border-white rounded-full shadow-[0_0_0_1.5px_black] text-[0.8rem] font-bold text-white [text-shadow:0_0_3px_black,_0_0_3px_black] cursor-grab [&.is-chosen]:shadow-[0_0_0_1.5px_black,0_0_0_5px_white,0_0_0_6.5px_black]",
            "data-index": i,
          },
          `${i + 1}`,
        );
        mark.classList.toggle("is-chosen", i === this.chosen);
        mark.style.backgroundColor = sample.colour;
        return mark;
      }),
    );
    this.place();
  }

  private place(): void {
    [...this.marks.children].forEach((mark, i) => {
      const { x, y } = this.samples[i]!;
      (mark as HTMLElement).style.left = `${(100 * (x + 0.5)) / this.width}%`;
      (mark as HTMLElement).style.top = `${(100 * (y + 0.5)) / this.height}%`;
    });
  }

  private async showMain(): Promise<void> {
    const found = await call<Main[]>(`${path}/main?most=${byId<HTMLInputElement>("most").value}`);
    byId("main-colours").replaceChildren(
      ...found.map((main) => {
        const share = main.share < 0.01 ? "under 1 %" : `${Math.round(100 * main.share)} %`;
        const row = line(main.colour, "", main.name, `${main.colour}, ${share}`, false);
        row.append(button("button", "Take", () => this.adopt(main)));
        return row;
      }),
    );
  }

  private adopt(main: Main): void {
    this.chosen =
      this.samples.push({ x: main.x, y: main.y, radiusPx: 0, colour: main.colour, name: main.name }) - 1;
    this.show();
    this.keep();
  }

  /** Puts all samples on a card, under the names that suggest themselves. */
  private async put(): Promise<void> {
    if (this.samples.length === 0) {
      this.say("No colour is taken yet.");
      return;
    }
    const chosen = byId<HTMLSelectElement>("put-card").value;
    const card = chosen || crypto.randomUUID();
    const name = byId<HTMLInputElement>("put-name").value.trim();
    const adding: Edit[] = chosen ? [] : [{ kind: "ADD_CARD", card, name, subject: "" }];
    try {
      await this.calls.make([
        ...adding,
        ...this.samples.map((sample): Edit => ({
          kind: "ADD",
          card,
          name: sample.name ?? "Colour",
          colour: sample.colour,
        })),
      ]);
      location.assign(`/projects/${project}/cards/${card}`);
    } catch (error) {
      this.say((error as Error).message);
    }
  }

  private say(text: string): void {
    byId("said").textContent = text;
  }
}

function line(colour: string, number: string, name: string, note: string, chosen: boolean): HTMLElement {
  const stone = el(
    "span",
    {
      className:
        "grid flex-none place-items-center w-[42px] h-[41px] border border-[oklch(0_0_0_/_0.2)] rounded-[46%_54%_51%_49%_/_50%_47%_53%_50%] text-[0.85rem] font-bold text-white [text-shadow:0_0_3px_black,_0_0_3px_black]",
    },
    number,
  );
  stone.style.backgroundColor = colour;
  const row = el(
    "li",
    {
      className:
        "sample flex gap-[0.7rem] items-center py-1 px-[0.4rem] rounded-[10px] [&.is-chosen]:bg-sunk [&>span:nth-child(2)]:flex [&>span:nth-child(2)]:flex-col [&>span:nth-child(2)]:flex-1 [&>span:nth-child(2)]:min-w-0 [&>span:nth-child(2)]:leading-[1.25] [&>span:nth-child(2)]:text-[0.92rem]",
    },
    stone,
    el("span", {}, el("strong", {}, name), el("span", { className: "quiet" }, note)),
  );
  row.classList.toggle("is-chosen", chosen);
  return row;
}

if (id) {
  new Sampling();
}
