import type { Named } from "messages";
import { el } from "../../shared/build";
import { all, byId } from "../../shared/dom";
import { call, send } from "../../shared/http";
import type { Fills } from "../model/fills";
import type { Pattern } from "../model/made";
import type { MotifPictures } from "../view/motif-pictures";

export type { Named };

const THUMB_PX = 46;

/** The motifs to choose from, and the swatches of the chosen one. */
export class MotifChoice {
  chosen = 0;
  known: Named[] = [];
  private pattern: Pattern | undefined;

  constructor(
    private readonly path: string,
    private readonly fills: Fills,
    private readonly pictures: MotifPictures,
    private readonly take: (motif: Named) => void,
    private readonly tell: (message: string) => void,
  ) {
    const file = byId<HTMLInputElement>("kinds-file");
    file.addEventListener("change", () => {
      if (file.files?.[0]) {
        void this.bring(file.files[0]);
      }
      file.value = "";
    });
    pictures.came.listen(() => this.paint());
  }

  /** One more, in front of the others. */
  async add(motif: Named): Promise<void> {
    await this.load();
    this.known = [motif, ...this.known.filter(({ name }) => name !== motif.name)];
    await this.pictures.fetch(motif.name);
  }

  async load(): Promise<void> {
    if (this.known.length === 0) {
      this.known = await call<Named[]>(this.path);
      this.known.forEach((motif) => void this.pictures.fetch(motif.name));
    }
  }

  show(pattern: Pattern): void {
    this.pattern = pattern;
    this.chosen = Math.min(this.chosen, pattern.inks.length - 1);
    byId("kinds-motifs").replaceChildren(
      ...this.known.map((motif) =>
        el(
          "button",
          {
            type: "button",
            className:
              "kinds-motif w-[50px] h-[50px] p-[2px] rounded-[12px] overflow-hidden [&_canvas]:w-[46px] [&_canvas]:h-[46px] [&_canvas]:rounded-[10px] aria-pressed:shadow-[0_0_0_2.5px_black]",
            title: motif.title,
            "aria-label": `Pattern ${motif.title}`,
            "aria-pressed": String(motif.name === pattern.motif),
            click: () => this.take(motif),
          },
          el("canvas", { width: THUMB_PX, height: THUMB_PX, "data-motif": motif.name }),
        ),
      ),
    );
    byId("kinds-inks").replaceChildren(...pattern.inks.map((ink, i) => this.stone(ink, i)));
    this.paint();
  }

  private stone(ink: string, i: number): HTMLElement {
    const stone = el("button", {
      type: "button",
      className:
        "kinds-stone w-[32px] h-[32px] border-[3px] border-white rounded-[48%_52%_50%_50%] shadow-[0_0_0_1px_oklch(0_0_0_/_0.45)] cursor-pointer aria-pressed:shadow-[0_0_0_2.5px_black] [&.is-lost]:[background:repeating-linear-gradient(45deg,_white_0_4px,_black_4px_6px)]",
      "aria-pressed": String(i === this.chosen),
      "aria-label": `Colour ${i + 1}, ${this.fills.nameOf(ink)}`,
      title: this.fills.nameOf(ink),
      click: () => {
        this.chosen = i;
        this.show(this.pattern!);
      },
    });
    const colour = this.fills.swatch(ink)?.colour;
    stone.style.backgroundColor = colour ?? "transparent";
    stone.classList.toggle("is-lost", !colour);
    return stone;
  }

  private async bring(file: File): Promise<void> {
    const motif = await send<Named>(this.path, file).catch((error: unknown) => {
      this.tell((error as Error).message);
      return undefined;
    });
    if (!motif) {
      return;
    }
    this.known.push(motif);
    await this.pictures.fetch(motif.name);
    this.take(motif);
  }

  /** Paints each motif in the colours of the present pattern, the last one standing for those that are missing. */
  private paint(): void {
    for (const canvas of all<HTMLCanvasElement>("canvas", byId("kinds-motifs"))) {
      const picture = this.pictures.pictures.get(canvas.dataset["motif"]!);
      if (picture && this.pattern) {
        const context = canvas.getContext("2d", { willReadFrequently: true })!;
        context.drawImage(picture, 0, 0, THUMB_PX, THUMB_PX);
        const image = context.getImageData(0, 0, THUMB_PX, THUMB_PX);
        const inks = this.fills.looks.look({ ...this.pattern, opacity: 100 }).colours;
        for (let at = 0; at < image.data.length; at += 4) {
          const shares = [0, image.data[at]!, image.data[at + 1]!, image.data[at + 2]!];
          shares[0] = Math.max(0, 255 - shares[1]! - shares[2]! - shares[3]!);
          for (let channel = 0; channel < 3; channel++) {
            image.data[at + channel] =
              shares.reduce((sum, share, ink) => sum + share * inks[4 * ink + channel]!, 0) / 255;
          }
        }
        context.putImageData(image, 0, 0);
      }
    }
  }
}
