import { Colours, Values } from "rules";
import { chip } from "../../shared/build";
import { all, byId } from "../../shared/dom";
import { oncePerFrame } from "../../shared/frames";
import type { ReferenceLayer } from "../blockin/reference";
import type { Overlay } from "../view/overlay";
import type { Fills } from "../model/fills";
import type { Mixing } from "../shore/mixing";
import type { Point } from "../geometry/camera";
import type { SheetView } from "../view/sheet-view";
import type { Hand } from "../hand/hand";
import type { Drawing } from "../hand/tools";

/** A card colour nearer than this (CIEDE2000) is offered. */
const NEAR = 8;
const MOST_KEPT = 12;
const LOOSE = "";

type Over = "visible" | "layer" | "reference";

/** Takes the mean of a disc out of whatever is seen, tells its values, and puts it where it is wanted. */
export class Sampling implements Drawing {
  private readonly panel = byId("sampling");
  private readonly beside = byId("values-beside");
  private readonly alwaysBeside = byId<HTMLInputElement>("sampling-beside");
  private readonly scratch = document.createElement("canvas");
  private kept: string[] = [];
  private sampled: string | undefined;
  private near: string | undefined;
  private inks = "";

  constructor(
    private readonly view: SheetView,
    private readonly overlay: Overlay,
    private readonly hand: Hand,
    private readonly fills: Fills,
    private readonly mixing: Mixing,
    private readonly reference: ReferenceLayer,
  ) {
    hand.whenHeld("colour", (isPicking) => {
      this.panel.hidden = !isPicking;
      if (isPicking) {
        this.offerCards();
      } else {
        this.overlay.showBrush(undefined);
        this.beside.hidden = true;
      }
    });
    byId("sampling-radius").addEventListener("input", () => {
      byId("sampling-radius-said").textContent = `${this.radius} px`;
    });
    byId("sampling-numbers").addEventListener("change", () => this.show());
    all<HTMLButtonElement>("[data-sampled]", this.panel).forEach((each) =>
      each.addEventListener("click", () => void this.put(each.dataset["sampled"]!)),
    );
    byId("sampling-take-near").addEventListener("click", () => this.near && hand.hold(this.near));
    this.panel.addEventListener("submit", (event) => event.preventDefault());
    const canvas = byId("sheet");
    let at: MouseEvent | undefined;
    const followSoon = oncePerFrame(() => at && this.follow(at));
    canvas.addEventListener("pointermove", (event) => {
      at = event;
      followSoon();
    });
    canvas.addEventListener("pointerleave", () => {
      at = undefined;
      this.beside.hidden = true;
    });
    this.offerScreen();
    this.show();
  }

  private get radius(): number {
    return Number(byId<HTMLInputElement>("sampling-radius").value);
  }

  private get over(): Over {
    return byId<HTMLSelectElement>("sampling-over").value as Over;
  }

  begin(screen: Point): void {
    this.move(screen);
  }

  move(screen: Point): void {
    this.sampled = this.colourAt(screen) ?? this.sampled;
    this.show();
  }

  end(screen: Point): void {
    this.move(screen);
    this.take(this.sampled);
  }

  cancel(): void {}

  private take(colour: string | undefined): void {
    if (!colour) {
      this.hand.said.set("Nothing lies here to be sampled");
      return;
    }
    this.sampled = colour;
    this.kept = [colour, ...this.kept.filter((each) => each !== colour)].slice(0, MOST_KEPT);
    this.inks = "";
    this.show();
    this.hand.said.set(`Sampled ${colour}`);
    void this.mixing.about(colour).then(({ name, inks }) => {
      if (this.sampled === colour) {
        const of = (ink: number) => Math.round(100 * ink);
        const printed = inks
          ? `\nC ${of(inks.cyan)} M ${of(inks.magenta)} Y ${of(inks.yellow)} K ${of(inks.black)} %`
          : "";
        this.inks = `${printed}\n${name}`;
        this.show();
      }
    });
  }

  /** The mean of a disc at a place of the view, in linear light; undefined where nothing is. */
  private colourAt(screen: Point): string | undefined {
    const radius = Math.max(0, Math.round(this.radius * this.view.camera.scale * devicePixelRatio));
    const size = 2 * radius + 1;
    this.scratch.width = size;
    this.scratch.height = size;
    const context = this.scratch.getContext("2d", { willReadFrequently: true })!;
    context.setTransform(
      devicePixelRatio,
      0,
      0,
      devicePixelRatio,
      radius - screen.x * devicePixelRatio,
      radius - screen.y * devicePixelRatio,
    );
    const { over } = this;
    if (over !== "reference") {
      this.view.paintOn(context, over === "visible" ? ["behind", "front"] : []);
    }
    if (over !== "layer") {
      this.reference.paintOn(context, over === "reference");
    }
    const { data } = context.getImageData(0, 0, size, size);
    const pixels = Int32Array.from(
      { length: size * size },
      (_, i) => (data[4 * i + 3]! << 24) | (data[4 * i]! << 16) | (data[4 * i + 1]! << 8) | data[4 * i + 2]!,
    );
    return Values.mean(pixels, size, radius, radius, radius) || undefined;
  }

  /** What is pointed at, beside the pointer. */
  private follow(event: MouseEvent): void {
    const isPicking = this.hand.has("colour");
    if (!isPicking && !this.alwaysBeside.checked) {
      this.beside.hidden = true;
      return;
    }
    const box = byId("sheet").getBoundingClientRect();
    const screen = { x: event.clientX - box.left, y: event.clientY - box.top };
    const colour = this.colourAt(screen);
    this.beside.hidden = colour === undefined;
    if (isPicking) {
      this.overlay.showBrush({ at: this.view.camera.toSheet(screen), radius: Math.max(1, this.radius) });
    }
    if (colour) {
      const cell = this.hand.cell.get();
      const fill = cell === undefined ? undefined : this.fills.of(cell);
      const name = fill && this.fills.swatch(fill) ? `\n${this.fills.nameOf(fill)}` : "";
      this.beside.textContent = this.values(colour) + name;
      const left = event.clientX + 190 > innerWidth ? event.clientX - 190 : event.clientX + 26;
      this.beside.style.transform = `translate(${left}px, ${event.clientY + 30}px)`;
    }
  }

  private values(colour: string): string {
    const most = Number(byId<HTMLSelectElement>("sampling-numbers").value);
    const rgb = [1, 3, 5].map((at) => Math.round((parseInt(colour.slice(at, at + 2), 16) / 255) * most));
    const [lightness, chroma, hue] = Colours.polar(colour) as unknown as [number, number, number];
    return `${colour}\nRGB ${rgb.join(" ")}\nOKLCH ${lightness.toFixed(3)} ${chroma.toFixed(3)} ${hue.toFixed(0)}\u00b0`;
  }

  private show(): void {
    const { sampled } = this;
    byId("sampling-one").hidden = !sampled;
    byId("sampling-acts").hidden = !sampled;
    const ranges = byId<HTMLAnchorElement>("sampling-ranges");
    ranges.hidden = this.kept.length === 0;
    const colours = this.kept.map((each) => `colour=${encodeURIComponent(each)}`).reverse();
    ranges.href = `${this.panel.dataset["ranges"]}?${colours.join("&")}`;
    byId("sampling-kept").replaceChildren(
      ...this.kept.map((each) => chip(each, `Sampled ${each}`, () => this.take(each))),
    );
    this.near = undefined;
    if (sampled) {
      byId("sampling-stone").setAttribute("fill", sampled);
      byId("sampling-values").textContent = this.values(sampled) + this.inks;
      const swatches = this.fills.cardSwatches();
      const nearest = Colours.nearest(
        sampled,
        swatches.map(({ colour }) => colour),
      );
      if (nearest && nearest.difference < NEAR) {
        const swatch = swatches[nearest.index]!;
        this.near = swatch.id;
        byId("sampling-take-near").textContent =
          nearest.difference < 0.05
            ? `It is ${swatch.name}: take it`
            : `${swatch.name} is ${nearest.difference.toFixed(1)} away: take it`;
      }
    }
    byId("sampling-near").hidden = !this.near;
  }

  private offerCards(): void {
    const select = byId<HTMLSelectElement>("sampling-card");
    const chosen = select.value;
    select.replaceChildren(
      new Option("loose colours", LOOSE),
      ...this.fills.editableCards().map((name) => new Option(name, name)),
    );
    select.value = [...select.options].some(({ value }) => value === chosen) ? chosen : LOOSE;
  }

  private async put(where: string): Promise<void> {
    const { sampled } = this;
    if (!sampled) {
      return;
    }
    const card = byId<HTMLSelectElement>("sampling-card").value;
    const { name } = await this.mixing.about(sampled);
    const ids = await this.mixing.swatchesOn(card, [{ colour: sampled, name }]);
    const swatch = ids?.get(sampled);
    if (!swatch) {
      return;
    }
    if (where === "hand") {
      this.hand.hold(swatch);
    } else if (where === "other") {
      this.hand.other.set(swatch);
      this.hand.said.set(`${name} is the other swatch`);
    }
    this.show();
  }

  private offerScreen(): void {
    const button = byId<HTMLButtonElement>("sampling-screen");
    const Dropper = (window as { EyeDropper?: new () => { open(): Promise<{ sRGBHex: string }> } })
      .EyeDropper;
    button.hidden = !Dropper;
    button.addEventListener("click", () => {
      // Given up, it is rejected: then nothing was sampled.
      void new Dropper!().open().then(
        ({ sRGBHex }) => this.take(Colours.read(sRGBHex) ?? undefined),
        () => {},
      );
    });
  }
}
