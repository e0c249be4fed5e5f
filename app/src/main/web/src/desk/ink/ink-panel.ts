import type { Adopted, LostFill } from "messages";
import type { ReadableAtom } from "nanostores";
import { byId } from "../../shared/dom";
import { ask, callHeaders, Refusal } from "../../shared/http";
import type { InkPlane } from "../model/planes";
import type { InkSettings } from "../model/state";
import type { SheetView } from "../view/sheet-view";
import { keepLost, keepPlaces } from "./lost";
import { asksToStretch } from "./stretching";

const PRECONDITION_FAILED = 412;

/** How ink is told from paper. The threshold is seen on the sheet while it is dragged; nothing changes before it is taken. */
export class InkPanel {
  private readonly panel = byId<HTMLFormElement>("ink-panel");
  private readonly button = byId<HTMLButtonElement>("ink-button");
  private readonly cut = byId<HTMLInputElement>("ink-threshold");
  private readonly specks = byId<HTMLInputElement>("ink-specks");
  private readonly pencil = byId<HTMLSelectElement>("ink-pencil");
  private readonly file = byId<HTMLInputElement>("ink-file");
  private readonly flats = byId<HTMLInputElement>("flats-file");
  private isSet: boolean;

  constructor(
    private readonly path: string,
    private readonly sheet: string,
    private readonly view: SheetView,
    private readonly ink: ReadableAtom<InkPlane>,
    settings: InkSettings,
  ) {
    this.isSet = settings.threshold !== null;
    this.cut.value = String(ink.get().threshold);
    this.specks.value = settings.speckPx === null ? "" : String(settings.speckPx);
    this.pencil.value = settings.pencil;
    this.button.addEventListener("click", () => this.toggle());
    this.cut.addEventListener("input", () => this.preview(true));
    byId("ink-found").addEventListener("click", () => {
      this.cut.value = String(this.ink.get().threshold);
      this.preview(false);
    });
    this.panel.addEventListener("submit", (event) => {
      event.preventDefault();
      void this.recut("ink", JSON.stringify(this.wanted), "Analysing the ink again");
    });
    this.panel.addEventListener("keydown", (event) => {
      if (event.key === "Escape") {
        this.toggle();
        event.preventDefault();
      }
    });
    this.file.addEventListener("change", () => this.replace());
    this.flats.addEventListener("change", () => void this.adopt());
  }

  private toggle(): void {
    this.panel.hidden = !this.panel.hidden;
    this.button.setAttribute("aria-expanded", String(!this.panel.hidden));
    if (this.panel.hidden) {
      this.view.look({ inkCut: 0 });
      this.button.focus();
    } else {
      this.preview(this.isSet);
      this.cut.focus();
    }
  }

  private preview(isSet: boolean): void {
    this.isSet = isSet;
    const threshold = Number(this.cut.value);
    byId("ink-threshold-said").textContent =
      `${Math.round((100 * threshold) / 255)} %, ${isSet ? "set by hand" : "found from the picture"}`;
    this.view.look({ inkCut: threshold / 255 });
  }

  private get wanted(): InkSettings {
    return {
      threshold: this.isSet ? Number(this.cut.value) : null,
      speckPx: this.specks.value === "" ? null : Number(this.specks.value),
      pencil: this.pencil.value as InkSettings["pencil"],
      isThrough: document.querySelector<HTMLInputElement>("#ink-through")?.checked ?? false,
    };
  }

  private replace(): void {
    const chosen = this.file.files?.[0];
    if (chosen) {
      const form = new FormData();
      form.set("file", chosen);
      void this.recut("line-art", form, `Bringing ${chosen.name} in its place`);
    }
  }

  /** Takes over flats that were laid elsewhere; of another size they are shown over the sheet, and it is asked first. */
  private async adopt(): Promise<void> {
    const chosen = this.flats.files?.[0];
    if (chosen) {
      const other = await this.adoptAs("flats", chosen);
      if (other && (await asksToStretch(chosen, other.message))) {
        await this.adoptAs("flats?stretched=true", chosen);
      }
    }
  }

  /** Returns why not, if it is only for its size. */
  private async adoptAs(what: string, chosen: File): Promise<Refusal | undefined> {
    const form = new FormData();
    form.set("file", chosen);
    const refused = await this.send<Adopted>(what, form, `Taking over ${chosen.name}`, (adopted) =>
      keepPlaces(this.sheet, {
        title: `${adopted.cells} pieces wear the flats of ${chosen.name}`,
        note: described(adopted),
        places: adopted.mixed,
      }),
    );
    return refused?.status === PRECONDITION_FAILED ? refused : undefined;
  }

  private recut(what: string, body: BodyInit, progress: string): Promise<void> {
    return this.send<LostFill[]>(what, body, progress, (lost) => keepLost(this.sheet, lost)).then(
      () => undefined,
    );
  }

  private async send<T>(
    what: string,
    body: BodyInit,
    progress: string,
    keep: (answer: T) => void,
  ): Promise<Refusal | undefined> {
    const said = byId("ink-said");
    said.textContent = progress;
    this.panel.inert = true;
    try {
      const json = typeof body === "string" ? { "Content-Type": "application/json" } : undefined;
      const response = await ask(`${this.path}/${what}`, {
        method: "POST",
        headers: { ...callHeaders(), ...json },
        body,
      });
      if (!response.ok) {
        const problem = (await response.json().catch(() => ({}))) as { detail?: string };
        throw new Refusal(response.status, problem.detail ?? "The server could not do it.");
      }
      keep((await response.json()) as T);
      location.reload();
      return undefined;
    } catch (error) {
      said.textContent = `${(error as Error).message} The sheet is as it was.`;
      this.panel.inert = false;
      this.file.value = "";
      this.flats.value = "";
      return error instanceof Refusal ? error : undefined;
    }
  }
}

function described({ added, folded, edges, mixed }: Adopted): string {
  const some = (count: number, one: string, more: string) => (count === 1 ? `1 ${one}` : `${count} ${more}`);
  const parts = [
    added > 0
      ? `${some(added, "new swatch lies", "new swatches lie")} on a card of their own.`
      : "No new swatch was needed.",
    folded > 0 ? `${some(folded, "near twin was", "near twins were")} folded.` : "",
    edges > 0 ? `${some(edges, "colour", "colours")} of soft edges were left out.` : "",
    mixed.length > 0
      ? `${some(mixed.length, "place holds", "places hold")} more than one colour; look at them:`
      : "",
  ];
  return parts.filter(Boolean).join(" ");
}
