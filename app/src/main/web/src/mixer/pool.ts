import { el } from "../shared/build";
import { Colours } from "rules";
import type { Polar } from "./models";

const MOST_CHROMA = 0.32;
/** As fine as a screen of two pixels to one shows it. */
const WIDTH = 420;
const HEIGHT = 300;
const STEP = { l: 0.01, c: 0.005, h: 2 };

/** A pool of all lightnesses and chromas of one hue, with the hues along its bank. */
export class Pool {
  readonly element: HTMLElement;
  private readonly water = el("canvas", {
    className: "block w-full h-[150px] cursor-crosshair touch-none [&:focus]:[outline:none]",
    width: WIDTH,
    height: HEIGHT,
    tabindex: 0,
    role: "slider",
    "aria-label": "Lightness and chroma: arrows move, with Shift further",
  });
  private readonly mark = el("span", {
    className:
      "absolute w-[18px] h-[18px] m-[-9px] border-[2.5px] border-white rounded-full shadow-[0_0_0_1.5px_black,inset_0_0_0_1.5px_black] pointer-events-none",
  });
  private readonly bank = el("input", {
    type: "range",
    className:
      "pool-bank [&::-webkit-slider-thumb]:[appearance:none] [&::-webkit-slider-thumb]:w-[14px] [&::-webkit-slider-thumb]:h-[26px] [&::-webkit-slider-thumb]:border-2 [&::-webkit-slider-thumb]:border-black [&::-webkit-slider-thumb]:rounded-[7px] [&::-webkit-slider-thumb]:bg-white",
    min: 0,
    max: 360,
    step: 1,
    "aria-label": "Hue",
    "data-unit": "°",
  });
  private colour: Polar = { l: 0.5, c: 0, h: 0 };
  private drawnHue = -1;

  constructor(private readonly taken: (colour: Polar) => void) {
    this.element = el(
      "div",
      {
        className:
          "pool [&_input.pool-bank]:w-full [&_input.pool-bank]:h-[20px] [&_input.pool-bank]:p-0 [&_input.pool-bank]:border-0 [&_input.pool-bank]:mt-[8px] [&_input.pool-bank]:rounded-[11px] [&_input.pool-bank]:[appearance:none] [&_input.pool-bank]:[background:linear-gradient(to_right_in_oklch_longer_hue,_oklch(0.72_0.13_0),_oklch(0.72_0.13_360))]",
      },
      el(
        "div",
        {
          className:
            "relative rounded-[16px_16px_60px_60px_/_16px_16px_34px_34px] overflow-hidden [background:repeating-linear-gradient(45deg,_oklch(0.9_0_0)_0_4px,_oklch(0.94_0_0)_4px_8px)] focus-within:[outline:2.5px_solid_var(--color-strong)] focus-within:[outline-offset:2px]",
        },
        this.water,
        this.mark,
      ),
      this.bank,
    );
    this.water.addEventListener("pointerdown", (event) => {
      this.water.setPointerCapture(event.pointerId);
      this.takeAt(event);
    });
    this.water.addEventListener("pointermove", (event) => {
      if (this.water.hasPointerCapture(event.pointerId)) {
        this.takeAt(event);
      }
    });
    this.water.addEventListener("keydown", (event) => this.onKey(event));
    this.bank.addEventListener("input", () => this.taken({ ...this.colour, h: Number(this.bank.value) }));
  }

  show(colour: Polar): void {
    this.colour = colour;
    this.bank.value = String(Math.round(colour.h));
    this.mark.style.left = `${Math.min(100, (100 * colour.c) / MOST_CHROMA)}%`;
    this.mark.style.top = `${100 * (1 - colour.l)}%`;
    this.water.setAttribute(
      "aria-valuetext",
      `lightness ${Math.round(100 * colour.l)}, chroma ${Math.round(100 * colour.c)}`,
    );
    if (Math.round(colour.h) !== this.drawnHue) {
      this.drawnHue = Math.round(colour.h);
      this.paint();
    }
  }

  private takeAt(event: PointerEvent): void {
    const box = this.water.getBoundingClientRect();
    const within = (value: number) => Math.min(1, Math.max(0, value));
    this.taken({
      l: 1 - within((event.clientY - box.top) / box.height),
      c: MOST_CHROMA * within((event.clientX - box.left) / box.width),
      h: this.colour.h,
    });
  }

  private onKey(event: KeyboardEvent): void {
    const far = event.shiftKey ? 5 : 1;
    const { l, c, h } = this.colour;
    const moved: Record<string, Polar> = {
      ArrowUp: { l: Math.min(1, l + far * STEP.l), c, h },
      ArrowDown: { l: Math.max(0, l - far * STEP.l), c, h },
      ArrowLeft: { l, c: Math.max(0, c - far * STEP.c), h },
      ArrowRight: { l, c: c + far * STEP.c, h },
    };
    const next = moved[event.key];
    if (next) {
      event.preventDefault();
      event.stopPropagation();
      this.taken(next);
    }
  }

  /** What sRGB cannot show is left as dry land. */
  private paint(): void {
    const { width, height } = this.water;
    const picture = new ImageData(width, height);
    Colours.ofHue(this.drawnHue, MOST_CHROMA, width, height).forEach((argb, i) => {
      picture.data.set([(argb >> 16) & 255, (argb >> 8) & 255, argb & 255, (argb >>> 24) & 255], 4 * i);
    });
    this.water.getContext("2d")!.putImageData(picture, 0, 0);
  }
}
